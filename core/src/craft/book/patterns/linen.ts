/** Linen stitch: single crochet in the chain spaces of the row below. Widths count places. */
export const linenPatterns = `
pattern quay-linen "Quay linen"
about "{Single crochet} in the spaces, two rows of each colour: a close, flat fabric."
technique linen
made flat
colours A B
across 2 "pairs of places"
up 4 "stripes"
read worked
ends "Finish after the second row of a stripe, so both ends match."
careful "Work the last {sc} into the space that the ch 2 made, or you lose a place every row."
row 2 A: | 1ch 1sc@space |
row 2 B: | 1ch 1sc@space |

pattern drift-linen "Drift linen"
about "A new colour every row, two of them or more, that mix like pebbles."
technique linen
made flat
colours A B C, 2 to 8
across 2 "pairs of places"
up 2 "rows"
read worked
ends "Finish after any row: each is a colour of its own."
careful "With two colours carry the idle one on top of the row below, and catch none that lies lower."
row *: | 1ch 1sc@space |

pattern coil-linen "Coil linen"
about "Linen in the round, one colour per round, for a basket liner or a cosy."
technique linen
made rounds
colours A B
across 2 "pairs"
up 2 "rounds"
read worked
ends "Finish after any round; the last joining is in its own colour."
careful "Use an even number of stitches, no extra: one more breaks the turn of {sc} and chain."
row A: | 1sc@space 1ch |
row B: | 1ch 1sc@space |
`;
