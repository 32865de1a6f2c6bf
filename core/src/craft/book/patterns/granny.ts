/** Clusters of three dc in the spaces of the row below; a cell is a cluster. */
export const grannyPatterns = `
pattern net-floats "Net floats"
about "Clusters in two colours that sit side by side and climb like floats on a net."
technique granny
made flat
colours A B
across 2 "pairs of clusters"
up 2 "rows"
read seen
ends "Finish after a row of whole clusters."
careful "Pull the idle yarn up evenly between clusters: it shows in the holes."
row: | 1A 1B |
row: | 1A 1B |

pattern anchor-diamonds "Anchor diamonds"
about "A plain row and a row of two colours take turns, and the colours move by one: small diamonds."
technique granny
made flat
colours A B
across 2 "pairs of clusters"
up 4 "diamonds"
read seen
ends "Finish with a plain row."
careful "For matching edges use an even number of clusters."
row: | 1A |
row: | 1A 1B |
row: | 1A |
row: | 1B 1A |

pattern lantern-diamonds "Lantern diamonds"
about "Three colours: a plain row of each, and between them rows of two by turns that move by one each time round."
technique granny
made flat
colours A B C
across 2 "pairs of clusters"
up 6 "rows of diamonds"
read seen
ends "Finish with a plain row."
careful "For matching edges use an even number of clusters; each colour keeps its diamonds one above the other."
row: | 1A |
row: | 1A 1B |
row: | 1B |
row: | 1C 1B |
row: | 1C |
row: | 1C 1A |
row: | 1A |
row: | 1B 1A |
row: | 1B |
row: | 1B 1C |
row: | 1C |
row: | 1A 1C |
`;
