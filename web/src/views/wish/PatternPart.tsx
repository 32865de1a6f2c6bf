import { findPattern, type StitchPattern, techniques } from '@puntada/core/craft';
import { techniquesFor } from '@puntada/core/plan';
import { techniqueWords, wishSaid } from '@puntada/core/words';
import { Dialog, ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { arrowsAtOnce } from '../../parts/arrowsAtOnce.ts';
import { Button } from '../../parts/Button.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { ownPrefix, type ShelfPattern, useShelf } from '../../parts/useShelf.ts';
import { useSmallScreen } from '../../parts/useSmallScreen.ts';
import { FieldError } from './Field.tsx';
import { MorePart } from './More.tsx';
import { PatternNumbers } from './PatternNumbers.tsx';
import { PlacedPart } from './PlacedPart.tsx';
import { takePattern } from './takePattern.ts';
import { usualYarn } from './usual.ts';
import type { WishFormValues } from './wishForm.ts';

/**
 * The stitch pattern, drawn in the maker's own colours, with the numbers it leaves open. On a small screen the patterns
 * stand on a sheet of their own. @param settled it is on the hook: there is nothing to choose
 */
export function PatternPart({ settled }: { settled: boolean }) {
  const { watch } = useFormContext<WishFormValues>();
  const { key } = watch('pattern');
  const small = useSmallScreen();
  const [open, setOpen] = useState(false);
  const found = findPattern(key);
  const pattern = found.ok ? found.value : undefined;
  return (
    <MorePart
      name="pattern"
      title="Pattern"
      hint={wishSaid.shownInYourColours}
      summary={pattern ? <PatternSummary pattern={pattern} /> : null}
    >
      {small ? (
        <div className="grid gap-3">
          <div className="flex items-center gap-3 text-[16px]">
            {pattern ? <PatternSummary pattern={pattern} /> : null}
          </div>
          {settled ? null : (
            <Dialog.Root open={open} onOpenChange={setOpen}>
              <Dialog.Trigger asChild>
                <Button>Choose another pattern</Button>
              </Dialog.Trigger>
              <Dialog.Portal>
                <Dialog.Content
                  aria-describedby={undefined}
                  className="fixed inset-0 z-20 flex flex-col bg-paper px-4 pt-3"
                >
                  <div className="flex items-center justify-between gap-3 border-b border-ink pb-2">
                    <Dialog.Title className="text-[22px]">Patterns</Dialog.Title>
                    <Dialog.Close asChild>
                      <Button>Close</Button>
                    </Dialog.Close>
                  </div>
                  <div className="min-h-0 flex-1 overflow-y-auto pt-3 pb-6">
                    <PatternList settled={false} onTaken={() => setOpen(false)} />
                  </div>
                </Dialog.Content>
              </Dialog.Portal>
            </Dialog.Root>
          )}
        </div>
      ) : (
        <PatternList settled={settled} className="max-h-[560px] overflow-y-auto sm:grid-cols-2" />
      )}
      {settled ? null : <ChangedSince source={key} />}
      <FieldError name="pattern.key" />
      {pattern ? <PatternNumbers pattern={pattern} /> : null}
      <PlacedPart />
    </MorePart>
  );
}

/** A pattern of the maker's own that was changed after this project took it: the project keeps its own until it is asked. */
function ChangedSince({ source }: { source: string }) {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { own } = useShelf();
  const found = findPattern(source);
  const now = found.ok ? own.find(({ pattern }) => pattern.key === found.value.key) : undefined;
  if (!now || now.source === source) return null;
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-ochre bg-ochre-pale px-3 py-2">
      <p className="flex-1 text-[15px]">{wishSaid.youChangedSinceThis(now.pattern.name)}</p>
      <Button onClick={() => takePattern({ setValue, watch }, now.source)}>Take the change</Button>
    </div>
  );
}

/** The chosen pattern in a line, with a piece of it. */
function PatternSummary({ pattern }: { pattern: StitchPattern }) {
  const { watch } = useFormContext<WishFormValues>();
  const { yarns, pattern: chosen } = watch();
  const told = useCraftWords();
  const numbers = pattern.numbers.map(({ name }) => chosen.numbers[name]).filter(Boolean);
  return (
    <>
      <PatternPicture
        pattern={chosen.key}
        numbers={chosen.numbers}
        stitch={chosen.stitch}
        shades={yarns.map(({ shade }) => shade)}
        side={44}
      />
      <span className="min-w-0">
        <b className="font-semibold text-ink">{pattern.name}</b>
        {numbers.length ? `, ${numbers.join(' × ')}` : ''}, {told(techniqueWords(pattern.technique).name)}
      </span>
    </>
  );
}

/** Whether a pattern is the maker's own, by its key. */
function isOwn({ key }: StitchPattern): boolean {
  return key.startsWith(ownPrefix);
}

interface ListProps {
  readonly settled: boolean;
  readonly className?: string;
  readonly onTaken?: () => void;
}

/** The patterns that suit, or those of one technique, each as cloth. */
function PatternList({ settled, className = '', onTaken }: ListProps) {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { pattern: chosen, yarns, item } = watch();
  const { key, stitch, numbers } = chosen;
  const [technique, setTechnique] = useState('offered');
  const offered = techniquesFor(item);
  const shelf = useShelf();
  const chosenFound = findPattern(key);
  const others = shelf.all.filter(
    ({ source, pattern: each }) =>
      source === key ||
      (!settled &&
        (technique === 'own'
          ? isOwn(each)
          : technique === 'offered'
            ? offered.includes(each.technique)
            : each.technique === technique)),
  );
  // What the project has of a pattern that was changed or deleted since stays its own.
  const left = chosenFound.ok && !others.some(({ source }) => source === key);
  const shown: readonly ShelfPattern[] =
    left && chosenFound.ok ? [{ source: key, pattern: chosenFound.value }, ...others] : others;
  const told = useCraftWords();
  const take = (next: string) => {
    takePattern({ setValue, watch }, next);
    onTaken?.();
  };
  return (
    <>
      <div className="mb-3 max-w-[340px]">
        <SelectField label="Technique" value={technique} onChange={setTechnique}>
          <option value="offered">all that suit</option>
          {shelf.own.length ? <option value="own">my own patterns</option> : null}
          {techniques.map((each) => (
            <option key={each.key} value={each.key}>
              {told(techniqueWords(each.key).name)}
            </option>
          ))}
        </SelectField>
      </div>
      <ToggleGroup.Root
        onKeyDownCapture={arrowsAtOnce}
        type="single"
        value={key}
        onValueChange={(next) => next && take(next)}
        aria-label="Stitch pattern"
        className={`grid gap-3 p-1 ${className}`}
      >
        {shown.map(({ source, pattern: each, stored }) => (
          <ToggleGroup.Item
            key={stored?.id ?? source}
            value={source}
            className="flex items-center gap-4 rounded-md border border-edge bg-field p-2 [contain-intrinsic-block-size:auto_122px] [content-visibility:auto] text-left hover:bg-sheet data-[state=on]:border-ink data-[state=on]:outline-2 data-[state=on]:outline-ink"
          >
            <PatternPicture
              pattern={source}
              numbers={source === key ? numbers : {}}
              stitch={source === key ? stitch : undefined}
              shades={each.colours.map(
                (letter) => (yarns.find((yarn) => yarn.letter === letter) ?? usualYarn(letter)).shade,
              )}
            />
            <span className="min-w-0">
              <span className="block font-display text-[17px] font-semibold">{each.name}</span>
              <span className="block text-[14px] leading-snug text-soft">
                {told(each.about) || (stored ? 'Your own pattern' : '')}
              </span>
            </span>
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </>
  );
}
