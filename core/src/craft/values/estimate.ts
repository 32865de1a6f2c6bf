/** Where a number comes from. Printed beside it as a small constant mark. */
export type Source = 'typical' | 'label' | 'typed' | 'swatch' | 'piece';

/**
 * A figure with what is known of it: the middle of the forecast and the range that holds nine times out of ten.
 * The unit is the field's own (mm, m or g), as the place where the estimate stands says.
 */
export interface Estimate {
  readonly mid: number;
  readonly low: number;
  readonly high: number;
  readonly source: Source;
}

/** A figure of lognormal spread. @param sd standard deviation of the logarithm */
export function spread(mid: number, sd: number, source: Source): Estimate {
  const factor = Math.exp(ninety * sd);
  return { mid, low: mid / factor, high: mid * factor, source };
}

/** The z of a range that holds 90 %. */
export const ninety = 1.6449;

export function plus(estimate: Estimate, constant: number): Estimate {
  return { ...estimate, mid: estimate.mid + constant, low: estimate.low + constant, high: estimate.high + constant };
}

/** Two figures together; the range is as wide as both. */
export function added(a: Estimate, b: Estimate): Estimate {
  return { ...a, mid: a.mid + b.mid, low: a.low + b.low, high: a.high + b.high };
}

export function times(estimate: Estimate, factor: number): Estimate {
  return { ...estimate, mid: estimate.mid * factor, low: estimate.low * factor, high: estimate.high * factor };
}

/** A figure as it is printed; that it is only typical is marked beside it. */
export interface Printed {
  /** With its unit: `34–40 m`. */
  readonly text: string;
  /** The same without its unit, for a table that names it above. */
  readonly bare: string;
  readonly typical: boolean;
}

/**
 * The one way an estimate becomes words: a typical figure is always a range, and is marked as typical.
 * @param write how one number is written, without its unit
 * @param always a range whatever the source, as yarn is until it has been weighed
 */
export function printed(
  estimate: Estimate,
  write: (value: number) => string,
  unit: string,
  always: 'range' | 'single',
): Printed {
  const { low, high } = estimate;
  const typical = estimate.source === 'typical';
  if (!typical && always === 'single') return withUnit(write(estimate.mid), unit, typical);
  // A range whose ends are written alike is one figure: certain to the last digit, or about so much.
  if (write(low) === write(high)) {
    return withUnit(`${low === high && !typical ? '' : 'about '}${write(low)}`, unit, typical);
  }
  return withUnit(printRange(low, high, write), unit, typical);
}

function withUnit(bare: string, unit: string, typical: boolean): Printed {
  return { text: `${bare} ${unit}`, bare, typical };
}

/** A printed figure in one text, its mark behind it: `34–40 m typical`. */
export function markedText({ text, typical }: Printed): string {
  return typical ? `${text} typical` : text;
}

/** `34–40`, or the one figure where both ends are written alike. */
export function printRange(low: number, high: number, write: (value: number) => string): string {
  return write(low) === write(high) ? write(low) : `${write(low)}–${write(high)}`;
}
