/** How the two side edges are to look. */
export type EdgeRule = 'whole' | 'mirrored' | 'centred';
