import { tickSchema } from '@puntada/core/records';
import { z } from 'zod';

export const ticksBody = z.strictObject({ ticks: z.array(tickSchema).min(1).max(500) });

export const tickRow = z.object({
  id: z.uuid(),
  at: z.number().int(),
  place: z.number().int(),
  from_rows: z.number().int(),
  from_runs: z.number().int(),
  to_rows: z.number().int(),
  to_runs: z.number().int(),
});

export const progressRow = z.object({
  rows_worked: z.number().int(),
  runs_worked: z.number().int(),
  last_place: z.number().int(),
  last_id: z.uuid(),
  steps: z.number().int(),
});
