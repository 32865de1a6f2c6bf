import { tickSchema } from '@puntada/core/records';
import { z } from 'zod';

export const ticksBody = z.strictObject({ ticks: z.array(tickSchema).min(1).max(500) });

export const progressRow = z.object({
  rows_worked: z.number().int(),
  runs_worked: z.number().int(),
  last_place: z.number().int(),
  last_id: z.uuid(),
  steps: z.number().int(),
});
