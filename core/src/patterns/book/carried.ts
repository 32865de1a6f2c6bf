/** Patterns worked with the idle colour carried inside: one cell of the chart is one stitch. */
export const carriedPatterns = `
pattern block-check "Block check"
about "Blocks of two colours by turns, like the tiles of a galley floor."
technique carried
made flat
stitch sc or hdc
colours A B
number b = 4, 1 to 40, "stitches in a block"
number r = 4, 1 to 40, "rows in a block"
across b "blocks", alike 2b plus b
up r "bands", alike 2r plus r
read seen
row r: | bA bB |
row r: | bB bA |

pattern buoys "Buoys"
about "A row of small lozenges on plain ground, with plain rows between."
technique carried
made flat
stitch sc or hdc
colours A B
across 6 "buoys", alike 6 plus 1
up 8 "rows of buoys", alike 8 plus 1
read seen
chart
  AAAAAA
  AAAAAA
  AABAAA
  ABBBAA
  ABBBAA
  AABAAA
  AAAAAA
  AAAAAA
end
`;
