/** Blocks of short and of tall stitches, each over the other. */
export const stepCheckPatterns = `
pattern landing-steps "Landing steps"
about "Blocks of low and tall stitches that change places every row, in one colour or in several."
technique step-check
made flat
colours A B C, 1 to 8
number b = 3, 2 to 12, "stitches in a block"
across b "blocks", alike 2b plus b
up 2 "repeats"
read seen
ends "Finish after any row."
careful "A row that begins with {a dc} begins with ch 3, which is that {dc}."
row *: | (b)sc (b)dc |
row *: | (b)dc (b)sc |

pattern long-steps "Long steps"
about "Narrow low treads between wide tall ones, in two-row stripes."
technique step-check
made flat
colours A B
number p = 2, 2 to 12, "stitches in a tread"
number q = 5, 2 to 20, "stitches between"
across p+q "treads", alike p+q plus p
up 4 "repeats"
read seen
ends "Finish after the second row of a colour, so both ends match."
careful "Count the tread before the space between: the two are easily swapped."
row A: | (p)sc (q)dc |
row A: | (p)dc (q)sc |
row B: | (p)sc (q)dc |
row B: | (p)dc (q)sc |
`;
