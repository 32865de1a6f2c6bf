/** Rounds on both sides of a chain, so that the cloth lies double. Widths count the whole round. */
export const tubePatterns = `
pattern sea-chest "Sea chest"
about "Checks that run round a double-thick square, for potholders and covers."
technique tube
made turned-rounds
stitch sc or hdc or dc
colours A B
number b = 5, 2 to 20, "stitches in a block"
across 2b "pairs of blocks"
up b "bands"
read seen
ends "Close it through both tops, once you know which face goes outside."
careful "Make a potholder of cotton or wool only: acrylic melts."
row b: | bA bB |
row b: | bB bA |

pattern barrel-staves "Barrel staves"
about "Upright staves in unturned rounds, which lean a little as the stitches do."
technique tube
made rounds
stitch sc
colours A B
across 6 "pairs of staves"
up 1 "rounds"
read seen
ends "Finish with two plain rounds of A, then close it through both tops."
careful "The staves lean a quarter to half a stitch per round: choose turned rounds to keep them upright."
row: | 3A 3B |
`;
