/** Patterns worked with the idle colour carried inside: one cell of the chart is one stitch. */
export const carriedPatterns = `
pattern block-check "Block check"
about "Blocks of two colours by turns, like the tiles of a galley floor."
technique carried
made flat
stitch sc or hdc or dc
colours A B
number b = 4, 1 to 40, "stitches in a block"
number r = 4, 1 to 40, "rows in a block"
across b "blocks", alike 2b plus b
up r "bands"
read seen
ends "Finish after a whole band."
careful "In blocks wider than six stitches dark yarn shows: carry it only where you need it."
row r: | bA bB |
row r: | bB bA |

pattern buoys "Buoys"
about "A row of small lozenges on plain ground, with plain rows between."
technique carried
made flat
stitch sc or hdc
colours A B
across 6 "buoys", alike 6 plus 1
up 8 "rows of buoys"
read seen
ends "Finish with plain rows, as many as below the first buoys."
careful "The plain rows leave B idle: decide whether to let it climb, carry it or cut it."
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

pattern galley-gingham "Galley gingham"
about "Three shades that cross like a woven tea towel: light and middle by turns, then middle and dark."
technique carried
made flat
stitch sc or hdc
colours A B C
number b = 4, 2 to 20, "stitches in a block"
number r = 4, 2 to 20, "rows in a block"
across b "blocks", alike 2b plus b
up r "bands"
read seen
ends "Finish after a whole band."
careful "Hold the three shades against each other in grey light: the middle one must lie between the two."
row r: | bA bB |
row r: | bB bC |

pattern sea-letters "Sea letters"
about "A band of small letters that spell the word on the ferry's stern."
technique carried
made flat
stitch sc
colours A B
across 14 "words"
up 8 "bands of letters"
read seen
ends "Finish with as many plain rows above the letters as below them."
careful "Letters read from the right side only: plan which face goes in front."
chart
  AAAAAAAAAAAAAA
  ABBBABBBAABAAA
  ABAAABAAABABAA
  ABBBABBAABBBAA
  AAABABAAABABAA
  ABBBABBBABABAA
  AAAAAAAAAAAAAA
  AAAAAAAAAAAAAA
end

pattern lone-sail "Lone sail"
about "One small boat to a field, with wide plain ground around it."
technique carried
made flat
stitch sc or hdc
colours A B
across 14 "boats", alike 14 plus 2
up 14 "rows of boats"
read seen
ends "Finish with as much plain ground above as below."
careful "The boats lie far apart: bobbins or cutting keep the ground thin."
chart
  AAAAAAAAAAAAAA
  AAAAAAAAAAAAAA
  AAAAAAABAAAAAA
  AAAAAABBAAAAAA
  AAAAABBBAAAAAA
  AAAABBBBABAAAA
  AAABBBBBABBAAA
  AAAAAAABAAAAAA
  AABBBBBBBBBAAA
  AAABBBBBBBAAAA
  AAAABBBBBAAAAA
  AAAAAAAAAAAAAA
  AAAAAAAAAAAAAA
  AAAAAAAAAAAAAA
end

pattern still-water "Still water"
about "Plain ground in one colour, for a word or a figure of your own."
technique carried
made flat
stitch sc or hdc or dc
colours A
across 1 "stitches"
up 1 "rows"
read seen
ends "Finish after any row."
careful "A figure pulls the rows it stands in together: keep the strands inside it loose."
chart
  A
end

pattern mast-rings "Mast rings"
about "A rising zigzag in turned rounds, for a bread bag or a jar cosy."
technique carried
made turned-rounds
stitch sc or hdc or dc
colours A B
across 8 "peaks"
up 6 "zigzags"
read seen
ends "Finish after a whole zigzag, or one round later to end as you began."
careful "In turned rounds you can pick yarn up only where it hangs: follow the notes on the idle yarn."
chart
  AAAAAAAA
  BAAAAAAB
  BBAAAABB
  ABBAABBA
  AABBBBAA
  AAABBAAA
end
`;
