/** Wedges that curl as the circle grows; j is the stitches of a wedge in the round below. */
export const wedgePatterns = `
pattern windlass "Windlass"
about "Wedges of two colours that curl as the circle grows, for round mats and hot pads."
technique wedge-circle
made rounds
stitch dc
colours A B
number n = 12, 6 to 36, "wedges"
across n "wedges"
up 1 "rounds"
read worked
ends "Finish after a whole round; one plain round keeps the edge from waving."
careful "It lies flat only where the wedges fit the {gauge}: too few cup, too many ruffle."
setup: | 1dc@ring:A 1dc@ring:B |
row: | 1inc:A (j-1)dc:A 1inc:B (j-1)dc:B |

pattern compass-rose "Compass rose"
about "Three shades in turn, with a plain round after every three that grow: for hands whose {dc} are short."
technique wedge-circle
made rounds
stitch dc
colours A B C
number n = 15, 6 to 36, "wedges"
across n "wedges"
up 1 "rounds"
read worked
ends "Finish after a plain round."
careful "The number of wedges is a multiple of the three colours."
setup: | 1dc@ring:A 1dc@ring:B 1dc@ring:C |
row 3: | 1inc:A (j-1)dc:A 1inc:B (j-1)dc:B 1inc:C (j-1)dc:C |
row: | (j)dc:A (j)dc:B (j)dc:C |
`;
