/** Yarns that are told apart by nothing but their letters. */
export function plainYarns(letters: readonly string[]) {
  return letters.map((letter) => ({
    letter,
    name: letter,
    shade: '#888888',
    weight: 4 as const,
    fibre: 'cotton' as const,
    ballMetres: 85,
    ballGrams: 50,
  }));
}
