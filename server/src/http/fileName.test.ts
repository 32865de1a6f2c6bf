import { fileName } from './fileName.ts';

it('a title becomes a name that any system can have', () => {
  expect(fileName('Cloth for two hands')).toBe('cloth-for-two-hands');
  expect(fileName(' Mañana: ½ "Täschchen" ')).toBe('manana-taschchen');
  expect(fileName('港')).toBe('project');
  expect(fileName('W'.repeat(90))).toHaveLength(60);
});
