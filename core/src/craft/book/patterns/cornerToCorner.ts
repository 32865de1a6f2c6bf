/** Blocks on the diagonal; a cell of the chart is a block. Heights count blocks. */
export const cornerPatterns = `
pattern flat-calm "Flat calm"
about "Plain blocks in one colour, for a figure of your own."
technique corner-to-corner
made diagonals
colours A
across 1 "blocks"
up 1 "rows of blocks"
read seen
ends "Finish in the far corner; a border of {sc} makes the steps even."
careful "One block too many at a corner makes an oblong of a square."
chart
  A
end

pattern signal-flag "Signal flag"
about "Small flags in a field of blocks, worked from corner to corner."
technique corner-to-corner
made diagonals
colours A B
across 6 "flags"
up 4 "rows of flags"
read seen
ends "Finish in the far corner; a border of {sc} makes the steps even."
careful "One block too many at a corner makes an oblong of a square."
chart
  AAAAAA
  AABBAA
  AABBAA
  AAAAAA
end

pattern storm-lantern "Storm lantern"
about "One lantern with its light burning, in three colours."
technique corner-to-corner
made diagonals
colours A B C
across 9 "lanterns"
up 11 "rows of lanterns"
read seen
ends "Finish in the far corner, with two blocks of ground all round."
careful "The next diagonal comes from the other side: leave the waiting yarn where you can reach it."
chart
  AAAAAAAAA
  AAAABAAAA
  AAABBBAAA
  AABBBBBAA
  AABCCCBAA
  AABCCCBAA
  AABCCCBAA
  AABBBBBAA
  AAABBBAAA
  AABBBBBAA
  AAAAAAAAA
end
`;
