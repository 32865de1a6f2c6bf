/** Texture in one-row stripes: one row formula, a new colour every row. */
export const stripePatterns = `
pattern houndstooth "Houndstooth"
about "Single and {double crochet} by turns, a new colour every row: small teeth that bite into each other."
technique stripes
made flat
colours A B, 1 to 8
across 2 "pairs"
up 2 "repeats"
read worked
ends "Finish after any row."
careful "The last stitch of every row is {a dc}: mark it, or the edge creeps in."
row *: | 1sc 1dc |

pattern back-teeth "Back teeth"
about "Double before {single crochet}, in two-row stripes: longer teeth with a firm edge."
technique stripes
made flat
colours A B
across 2 "pairs"
up 4 "repeats"
read worked
ends "Finish after the second row of a stripe, so both ends match."
careful "The ch 3 is the first {dc}: the last {sc} of the next row goes into its top."
row 2 A: | 1dc 1sc |
row 2 B: | 1dc 1sc |

pattern round-teeth "Round teeth"
about "Teeth in joined and turned rounds, colours by turns and nothing carried."
technique stripes
made turned-rounds
colours A B, 2 to 8
across 2 "pairs"
up 2 "repeats"
read worked
ends "Finish after any round; the last joining is in its own colour."
careful "Draw the waiting colour through the joining slip stitch, or the seam shows a step."
row *: | 1sc 1dc |
`;
