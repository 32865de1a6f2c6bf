// The yarns of the ferry-house as its wishes have them; every one is invented.
export const oat = {
  letter: 'A',
  name: 'Oat',
  shade: '#e9dfc4',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 85,
  ballGrams: 50,
} as const;
export const ferryBlue = {
  letter: 'B',
  name: 'Ferry blue',
  shade: '#24476b',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 85,
  ballGrams: 50,
} as const;

export const rope = { ...oat, name: 'Rope', shade: '#d9c19a', ballMetres: 92 } as const;
export const buoyRed = { ...ferryBlue, name: 'Buoy red', shade: '#a8352c', ballMetres: 92 } as const;
export const kelp = { ...ferryBlue, name: 'Kelp', shade: '#2f5a45' } as const;
export const wetSlateCotton = { ...ferryBlue, name: 'Wet slate', shade: '#3d4a4f' } as const;
export const foam = {
  letter: 'A',
  name: 'Foam',
  shade: '#e4e6e0',
  weight: 5,
  fibre: 'wool',
  ballMetres: 120,
  ballGrams: 100,
} as const;
export const wetSlate = { ...foam, letter: 'B', name: 'Wet slate', shade: '#3d4a4f' } as const;
export const lamplight = { ...foam, letter: 'C', name: 'Lamplight', shade: '#e9b949' } as const;
