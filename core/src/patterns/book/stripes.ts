/** Texture in one-row stripes: one row formula, a new colour every row. */
export const stripePatterns = `
pattern houndstooth "Houndstooth"
about "Single and double crochet by turns, a new colour every row: small teeth that bite into each other."
technique stripes
made flat
colours A B
across 2 "pairs"
up 2 "repeats", alike 2 plus 1
read worked
row A: | 1sc 1dc |
row B: | 1sc 1dc |
`;
