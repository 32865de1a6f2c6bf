/** Normal distribution function, to 1e-7 (Abramowitz and Stegun 7.1.26 carries to 1.5e-7; this uses their 26.2.17). */
export function normalBelow(z: number): number {
  if (z < 0) return 1 - normalBelow(-z);
  const t = 1 / (1 + 0.2316419 * z);
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return 1 - density * poly;
}
