import { drawerYarnSchema } from '@puntada/core/records';
import { z } from 'zod';

export const drawerRow = z.object({ id: z.uuid(), revision: z.number().int(), yarn: drawerYarnSchema });
export const newYarn = z.strictObject({ yarn: drawerYarnSchema });
export const changedYarn = z.strictObject({ revision: z.number().int(), yarn: drawerYarnSchema });
export const manyYarns = z.strictObject({
  yarns: z.array(drawerYarnSchema).min(1).max(500),
});
