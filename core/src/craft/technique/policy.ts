/** How the yarn that is not in use is dealt with. docs/strand-routing.md, “The five policies”. */
export const policies = ['carry-always', 'as-needed', 'cut-always', 'bobbins', 'side-only'] as const;
export type Policy = (typeof policies)[number];

/** What the policies are called before people. */
export const policyNames: Readonly<Record<Policy, string>> = {
  'carry-always': 'carry always',
  'as-needed': 'as needed',
  'cut-always': 'cut always',
  bobbins: 'bobbins',
  'side-only': 'side only',
};
