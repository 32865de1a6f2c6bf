/** Groups of dc and loose chains by turns; the groups go down over the chains into the row two below. */
export const chainSpacePatterns = `
pattern portholes "Portholes"
about "Groups of {double crochet} that hide the chains between them, closed at the top by a firm row."
technique chain-space
made flat
colours A B C, 2 to 8
number g = 4, 2 to 8, "stitches in a group"
across 2g plus g "groups"
up 2 plus 2 "pairs of rows"
read seen
ends "Finish with its closing row: {an sc} in each {dc} and {a dc} down into each gap."
careful "Small children: close the top row, or small fingers catch in the loops."
setup *: | (g)dc (g)ch | (g)dc
row *: | (g)ch (g)dc@below2 | (g)ch
row *: | (g)dc@below2 (g)ch | (g)dc@below2
close A: | (g)sc (g)dc@below2 | (g)sc

pattern sluice "Sluice"
about "Wide groups and narrow gates that change places every row; open at the top."
technique chain-space
made flat
colours A B C, 2 to 8
number p = 5, 2 to 10, "stitches in a wide group"
number q = 2, 2 to 8, "stitches in a gate"
across p+q plus p "gates"
up 2 plus 1 "pairs of rows"
read seen
ends "Finish after a row that begins and ends with a wide group; a border takes the open chains in."
careful "Not for small children without a border: the last row has open loops."
setup *: | (p)dc (q)ch | (p)dc
row *: | (p)ch (q)dc@below2 | (p)ch
row *: | (p)dc@below2 (q)ch | (p)dc@below2
`;
