/** Patterns that the people of the ferry-house drew themselves, each with a note. */
const own: readonly { readonly name: string; readonly note: string; readonly rest: string }[] = [
  {
    name: 'Firs on the shore',
    note: 'For the kitchen curtain; the firs stand on every other knoll.',
    rest: `technique carried
made flat
stitch sc
colours A B
across 11 "repeats"
up 13 "repeats"
read seen
chart
  AAAAAAAAAAA
  AAAAABAAAAA
  AAAABBBAAAA
  AAABBBBBAAA
  AAAABBBAAAA
  AAABBBBBAAA
  AABBBBBBBAA
  AAABBBBBAAA
  AABBBBBBBAA
  ABBBBBBBBBA
  AAAAABAAAAA
  AAAAABAAAAA
  AAAAAAAAAAA
end
`,
  },
  {
    name: 'Quay lantern',
    note: 'Twelve by ten blocks, from the old lamp at the slip.',
    rest: `technique corner-to-corner
made diagonals
colours A B C
across 12 "repeats"
up 10 "repeats"
read seen
chart
  AAAAABBAAAAA
  AAAABAABAAAA
  AAABBBBBBAAA
  AABBCCCCBBAA
  AABCCCCCCBAA
  AABCCCCCCBAA
  AABBCCCCBBAA
  AAABBBBBBAAA
  AABBBBBBBBAA
  AAAAAAAAAAAA
end
`,
  },
  {
    name: 'TIDE',
    note: 'The word for the corner of the bunk blanket.',
    rest: `technique carried
made flat
stitch sc
colours A B
across 18 "repeats"
up 5 "repeats"
read seen
chart
  BBBBBABBBABBBAABBB
  AABAAAABAABAABABAA
  AABAAAABAABAABABBA
  AABAAAABAABAABABAA
  AABAAABBBABBBAABBB
end
`,
  },
  {
    name: 'Ripple boards',
    note: 'Seen on the boat-shed door.',
    rest: `technique mosaic
made right-side
stitch sc
colours A B
across 6 plus 2 "repeats"
up 6 plus 2 "repeats"
read seen
chart
  BBBBBB
  AAAAAB
  BABBBB
  AAAABA
  BBABBB
  AAABAA
end
`,
  },
];

/** The patterns as they are stored, in the notation, under the key of the id that each is given. */
export function ownPatterns(newId: () => string): { id: string; pattern: { text: string; note: string } }[] {
  return own.map(({ name, note, rest }) => {
    const id = newId();
    return { id, pattern: { text: `pattern own-${id} "${name}"\nabout ""\n${rest}`, note } };
  });
}
