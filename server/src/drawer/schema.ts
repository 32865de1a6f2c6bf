import { anyVersion, drawerYarnRecord } from '@puntada/core/records';
import { z } from 'zod';

export const drawerRow = z.object({ id: z.uuid(), revision: z.number().int(), yarn: anyVersion(drawerYarnRecord) });
export const newYarn = z.strictObject({ yarn: anyVersion(drawerYarnRecord) });
export const changedYarn = z.strictObject({ revision: z.number().int(), yarn: anyVersion(drawerYarnRecord) });
export const manyYarns = z.strictObject({
  yarns: z.array(anyVersion(drawerYarnRecord)).min(1).max(20_000),
});
