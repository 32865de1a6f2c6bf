import { anyVersion, ownPatternRecord } from '@puntada/core/records';
import { z } from 'zod';

export const patternRow = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  pattern: anyVersion(ownPatternRecord),
  changed_at: z.date(),
});
/** The device makes the id, so that what is asked twice is made once. */
export const newPattern = z.strictObject({ id: z.uuid().optional(), pattern: anyVersion(ownPatternRecord) });
export const changedPattern = z.strictObject({ revision: z.number().int(), pattern: anyVersion(ownPatternRecord) });
