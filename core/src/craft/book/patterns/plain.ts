/** A plain cloth in one colour, in the notation; in the stitch of what it belongs to. */
export const plainPattern = `pattern plain "Plain"
about "One stitch in one colour."
technique carried
made flat
stitch sc or hdc or dc
colours A
across 1 "stitches"
up 1 "rows"
read worked
row *: | 1A |
`;
