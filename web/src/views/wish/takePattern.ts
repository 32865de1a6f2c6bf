import { findPattern, takesFigures, techniqueNamed } from '@puntada/core/craft';
import type { UseFormReturn } from 'react-hook-form';
import { piecesOf, usualMade, usualNumbers, usualYarn } from './usual.ts';
import { isTubeForm, type WishFormValues } from './wishForm.ts';

/** Takes another pattern into the wish: its usual numbers, and a yarn for each of its colours. */
export function takePattern(
  { setValue, watch }: Pick<UseFormReturn<WishFormValues>, 'setValue' | 'watch'>,
  key: string,
) {
  const found = findPattern(key);
  if (!found.ok) return;
  const { colours } = found.value;
  const kept = watch('yarns');
  const before = isTubeForm(watch());
  setValue('pattern.key', key, { shouldDirty: true });
  setValue('pattern.made', usualMade(watch('item'), found.value));
  const tube = isTubeForm(watch());
  if (tube !== before) setValue('pieces', piecesOf(watch('item'), watch('pieces'), tube));
  setValue('pattern.order', '');
  setValue('pattern.loops', 'both');
  setValue('foundation', '');
  setValue('pattern.numbers', usualNumbers(watch('item'), found.value));
  // What is put on the pattern keeps its yarns, where the new one takes it as well.
  const technique = techniqueNamed(found.value.technique);
  const placed = technique && takesFigures(technique) ? watch('placed') : [];
  setValue('placed', placed);
  const own = placed.flatMap(({ text }) => {
    const figure = findPattern(text);
    return figure.ok ? figure.value.colours : [];
  });
  setValue(
    'yarns',
    [...new Set([...colours, ...own])]
      .sort()
      .map((letter) => kept.find((yarn) => yarn.letter === letter) ?? usualYarn(letter)),
  );
}
