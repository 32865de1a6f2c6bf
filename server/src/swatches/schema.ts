import { anyVersion, swatchRecord } from '@puntada/core/records';
import { z } from 'zod';

export const swatchRow = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  swatch: anyVersion(swatchRecord),
  changed_at: z.date(),
});
/** The device makes the id, so that what is asked twice is made once. */
export const newSwatch = z.strictObject({ id: z.uuid().optional(), swatch: anyVersion(swatchRecord) });
export const changedSwatch = z.strictObject({ revision: z.number().int(), swatch: anyVersion(swatchRecord) });
