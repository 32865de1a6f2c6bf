/** Red, green and blue of a shade as light, 0 to 1 each. */
export type Light = readonly [red: number, green: number, blue: number];

/** The light of a shade written `#rrggbb`. */
export function lightOf(hex: string): Light {
  const n = Number.parseInt(hex.slice(1), 16);
  const linear = (value: number) => {
    const part = (value & 255) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  };
  return [linear(n >> 16), linear(n >> 8), linear(n)];
}

/** Relative luminance, 0 black to 1 white. */
export function luminance([red, green, blue]: Light): number {
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

function lightness(part: number): number {
  return part > 0.008856 ? 116 * Math.cbrt(part) - 16 : 903.3 * part;
}

/** Lightness as eyes feel it, 0 black to 100 white (CIE L*). */
export function lightnessOf(hex: string): number {
  return lightness(luminance(lightOf(hex)));
}

/** The shade written `#rrggbb`; light outside 0 to 1 is cut off. */
export function hexOf(light: Light): string {
  const coded = light.map((part) => {
    const within = Math.min(1, Math.max(0, part));
    const value = within <= 0.0031308 ? within * 12.92 : 1.055 * within ** (1 / 2.4) - 0.055;
    return Math.round(value * 255)
      .toString(16)
      .padStart(2, '0');
  });
  return `#${coded.join('')}`;
}

/** Lightness and two axes of hue (CIE L*a*b*, D65). */
export function lab([red, green, blue]: Light): readonly [number, number, number] {
  const x = (0.4124 * red + 0.3576 * green + 0.1805 * blue) / 0.9505;
  const y = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  const z = (0.0193 * red + 0.1192 * green + 0.9505 * blue) / 1.089;
  const root = (part: number) => (part > 0.008856 ? Math.cbrt(part) : 7.787 * part + 16 / 116);
  return [116 * root(y) - 16, 500 * (root(x) - root(y)), 200 * (root(y) - root(z))];
}

/** How far two lights look apart; about 2 is the least that is seen (CIE 1976). */
export function difference(a: Light, b: Light): number {
  const [first, second] = [lab(a), lab(b)];
  return Math.hypot(...first.map((value, i) => value - (second[i] as number)));
}
