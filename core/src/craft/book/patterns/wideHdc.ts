/** Half double crochet between the posts: a brick grid, drawn in columns that lie half a stitch to and fro. */
export const wideHdcPatterns = `
pattern planks "Planks"
about "Long bricks of two colours, each course laid over the joints of the one below."
technique wide-hdc
made flat
stitch hdc
colours A B
number b = 6, 2 to 30, "stitches in a plank"
across 2b plus b "planks"
up 4 "courses"
read seen
ends "Finish after two rows of one course, then a border."
careful "Dark yarn shows between the posts: carry it only where you need it."
row 2: | bA bB | bA
row 2: | bB bA | bB

pattern spires "Spires"
about "Figures that start two stitches wide and grow by one per row, half a stitch on either side."
technique wide-hdc
made flat
stitch hdc
colours A B
across 14 plus 13 "spires"
up 8 "rows of spires"
read seen
ends "Finish with two plain rows of ground."
careful "A figure that overhangs by more than half a stitch on a side has slipped: check the row below."
row: 13A | 2B 12A |
row: 12A | 3B 11A | 1A
row: 12A | 4B 10A | 1A
row: 11A | 5B 9A | 2A
row: 11A | 6B 8A | 2A
row: 10A | 7B 7A | 3A
row 2: 13A | 14A |
`;
