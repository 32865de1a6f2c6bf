import { z } from 'zod';

/** What a clicker or a foot switch can send: the same steps as the keys. */
export const switchSteps = ['run', 'row', 'back'] as const;
export type SwitchStep = (typeof switchSteps)[number];

/** One signal of a device. */
export const signalSchema = z.strictObject({
  device: z.enum(['clicker', 'foot switch']),
  /** Counted up by the device with every press. */
  press: z.number().int().min(0),
  step: z.enum(switchSteps),
  /** Milliseconds since 1970, by the device. */
  sentAt: z.number(),
});
export type Signal = z.infer<typeof signalSchema>;

/** Contacts bounce: a press of one pad so soon after its last is the same one, ms. */
const bounce = 180;
/** A signal that was held up so long is no longer meant, ms. */
const late = 3000;

/**
 * Turns signals into steps, each press once: what is no signal, comes twice, bounces or comes too late is dropped.
 * @param now the clock, ms
 */
export function switchDriver(onStep: (step: SwitchStep) => void, now: () => number): (message: unknown) => void {
  const presses = new Map<Signal['device'], number>();
  const pads = new Map<string, number>();
  return (message) => {
    const read = signalSchema.safeParse(message);
    if (!read.success) return;
    const { device, press, step, sentAt } = read.data;
    const before = presses.get(device);
    // A device that was switched off counts from 0 again.
    const again = before !== undefined && press <= before && press !== 0;
    if (again || now() - sentAt > late) return;
    presses.set(device, press);
    const pad = `${device} ${step}`;
    const bounced = now() - (pads.get(pad) ?? Number.NEGATIVE_INFINITY) < bounce;
    if (bounced) return;
    pads.set(pad, now());
    onStep(step);
  };
}

/** The name of the channel that the simulated devices send on. */
export const switchChannel = 'puntada-switch';
