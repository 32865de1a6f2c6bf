/** How the yarn that is not in use is dealt with. docs/strand-routing.md, “The five policies”. */
export const policies = ['carry-always', 'as-needed', 'cut-always', 'bobbins', 'side-only'] as const;
export type Policy = (typeof policies)[number];
