/** Flecks: stitches drawn up in B and closed in A, on rows of the right side. */
export const fleckPatterns = `
pattern salt-spray "Salt spray"
about "Single flecks on plain ground, set off by half a repeat."
technique flecks
made flat
stitch sc
colours A B
across 6 plus 1 "flecks"
up 4 "rows of flecks"
read seen
ends "Finish with a plain row on the wrong side."
careful "Keep B loose in the plain rows too, or the fabric draws in between the flecks."
row A: | 5sc 1fleck:B | 1sc
row A: | 6sc | 1sc
row A: 1sc | 1sc 1fleck:B 4sc |
row A: | 6sc | 1sc

pattern rain-marks "Rain marks"
about "Flecks in pairs that fall in columns, like rain on a pane."
technique flecks
made flat
stitch sc
colours A B
across 6 plus 1 "pairs of flecks"
up 8 "showers"
read seen
ends "Finish with a plain row on the wrong side."
careful "Two flecks sit close: keep the background stitch between them full."
row A: 1sc | 1sc 1fleck:B 1sc 1fleck:B 2sc |
row A: | 6sc | 1sc
row A: 1sc | 1sc 1fleck:B 1sc 1fleck:B 2sc |
row A: | 6sc | 1sc
row A: 4sc | 1sc 1fleck:B 1sc 1fleck:B 2sc | 3sc
row A: | 6sc | 1sc
row A: 4sc | 1sc 1fleck:B 1sc 1fleck:B 2sc | 3sc
row A: | 6sc | 1sc
`;
