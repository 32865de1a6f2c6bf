/** Interlocked mesh: counts are posts, in front of or behind the other mesh, as seen from the right side. */
export const meshPatterns = `
pattern two-nets "Two nets"
about "Two nets worked through each other, two windows in front and two behind."
technique mesh
made netted
colours A B
across 4 "windows"
up 4 "rows"
read seen
ends "Finish with one row that closes both nets, then a border."
careful "Fronts and backs of a row must add up to its posts: the commonest slip is one short."
row A: | 2fpdc 2bpdc | 1fpdc
row B: | 2bpdc 2fpdc |
row A: | 2bpdc 2fpdc | 1bpdc
row B: | 2fpdc 2bpdc |

pattern hatch-cover "Hatch cover"
about "Broad bars of one net framed by the other, like the lid of a hold."
technique mesh
made netted
colours A B
across 6 "windows"
up 8 "hatches"
read seen
ends "Finish with one row that closes both nets, then a border."
careful "Hold the loop that waits with a marker, or a whole net runs down."
row A: | 3fpdc 3bpdc | 1fpdc
row B: | 1fpdc 4bpdc 1fpdc |
row A: | 1bpdc 4fpdc 1bpdc | 1bpdc
row B: | 3bpdc 3fpdc |
row A: | 3bpdc 3fpdc | 1bpdc
row B: | 1bpdc 4fpdc 1bpdc |
row A: | 1fpdc 4bpdc 1fpdc | 1fpdc
row B: | 3fpdc 3bpdc |
`;
