import { anyVersion, drawerYarnRecord } from '@puntada/core/records';
import { z } from 'zod';

export const drawerRow = z.object({ id: z.uuid(), revision: z.number().int(), yarn: anyVersion(drawerYarnRecord) });
/** The device makes the id, so that what is asked twice is made once. */
export const newYarn = z.strictObject({ id: z.uuid().optional(), yarn: anyVersion(drawerYarnRecord) });
export const changedYarn = z.strictObject({ revision: z.number().int(), yarn: anyVersion(drawerYarnRecord) });
export const manyYarns = z.strictObject({
  yarns: z.array(anyVersion(drawerYarnRecord)).min(1).max(20_000),
});
