import {
  type BoundPattern,
  beginsSmall,
  bindPattern,
  type Foundation,
  findFoundation,
  inRounds,
  isRoundMaking,
  makingsOf,
  patternBook,
  type StitchPattern,
  techniqueNamed,
  techniqueOf,
  techniques,
} from '@puntada/core/craft';
import { techniquesFor, waysOf } from '@puntada/core/plan';
import { beginningWords, techniqueWords, upper } from '@puntada/core/words';
import { Dialog, ToggleGroup } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { arrowsAtOnce } from '../../parts/arrowsAtOnce.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { useSmallScreen } from '../../parts/useSmallScreen.ts';
import { Field, FieldError, SelectOf } from './Field.tsx';
import { MorePart } from './More.tsx';
import { takePattern } from './takePattern.ts';
import { usualYarn } from './usual.ts';
import { isOnCircle, lettersOf, type WishFormValues } from './wishForm.ts';

/**
 * The stitch pattern, drawn in the maker's own colours, with the numbers it leaves open. On a small screen the patterns
 * stand on a sheet of their own. @param settled it is on the hook: there is nothing to choose
 */
export function PatternPart({ settled }: { settled: boolean }) {
  const { watch } = useFormContext<WishFormValues>();
  const { key } = watch('pattern');
  const small = useSmallScreen();
  const [open, setOpen] = useState(false);
  const pattern = patternBook.find((each) => each.key === key);
  return (
    <MorePart
      name="pattern"
      title="Pattern"
      hint="Shown in your colours, in true proportion."
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
      <FieldError name="pattern.key" />
      {pattern ? <Numbers pattern={pattern} /> : null}
    </MorePart>
  );
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
  const shown = patternBook.filter(
    (each) =>
      each.key === key ||
      (!settled && (technique === 'offered' ? offered.includes(each.technique) : each.technique === technique)),
  );
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
        {shown.map((each) => (
          <ToggleGroup.Item
            key={each.key}
            value={each.key}
            className="flex items-center gap-4 rounded-md border border-edge bg-field p-2 [contain-intrinsic-block-size:auto_122px] [content-visibility:auto] text-left hover:bg-sheet data-[state=on]:border-ink data-[state=on]:outline-2 data-[state=on]:outline-ink"
          >
            <PatternPicture
              pattern={each.key}
              numbers={each.key === key ? numbers : {}}
              stitch={each.key === key ? stitch : undefined}
              shades={each.colours.map(
                (letter) => (yarns.find((yarn) => yarn.letter === letter) ?? usualYarn(letter)).shade,
              )}
            />
            <span className="min-w-0">
              <span className="block font-display text-[17px] font-semibold">{each.name}</span>
              <span className="block text-[14px] leading-snug text-soft">{told(each.about)}</span>
            </span>
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </>
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
        pattern={pattern.key}
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

/** Whether stitches go into a chain that is as long as the piece is wide. */
function beginsOnChain(way: string | undefined): boolean {
  const found = way === undefined ? undefined : findFoundation(way);
  return found !== undefined && !beginsSmall(found) && found.beyond + found.firstInto > 0;
}

function boundOf(pattern: StitchPattern, { stitch, made }: WishFormValues['pattern']): BoundPattern | undefined {
  const own = pattern.stitches.includes(stitch) ? { stitch } : {};
  const bound = bindPattern(made ? inRounds(pattern, made) : pattern, own);
  return bound.ok ? bound.value : undefined;
}

const makingWords: Readonly<Partial<Record<StitchPattern['made'], string>>> = {
  flat: 'rows, turning',
  'right-side': 'rows, always from the right side',
  'turned-rounds': 'rounds, turning',
  rounds: 'rounds, not turning',
};

/** How it is begun, in the words of what comes of it: a round leaves both ends open, one, or has a bottom. */
/** In rows, or in rounds where the technique can be: in rounds it lies double, and the right side is outside. */
function Making({ pattern }: { pattern: StitchPattern }) {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const makings = [pattern.made, ...makingsOf(pattern.technique).filter((each) => each !== pattern.made)].filter(
    (each) => each === pattern.made || isRoundMaking(each),
  );
  if (makings.length < 2 || techniqueNamed(pattern.technique)?.circle) return null;
  return (
    <div className="w-full">
      <p className="label">Rows or rounds</p>
      <Choice
        label="Rows or rounds"
        value={watch('pattern.made') || pattern.made}
        options={makings.map((value) => ({ value, words: makingWords[value] ?? value }))}
        onChange={(next) => {
          setValue('pattern.made', next === pattern.made ? '' : (next as WishFormValues['pattern']['made']), {
            shouldDirty: true,
          });
          setValue('foundation', '');
        }}
      />
    </div>
  );
}

/** Colours row by row in the maker's own order; a yarn comes for each letter that it names. */
function OrderOfRows() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const {
    pattern: { order },
    yarns,
  } = watch();
  const letters = lettersOf(order)?.join('');
  const have = yarns.map((yarn) => yarn.letter).join('');
  useEffect(() => {
    if (!letters || letters === have) return;
    const now = watch('yarns');
    setValue(
      'yarns',
      [...letters].map((letter) => now.find((yarn) => yarn.letter === letter) ?? usualYarn(letter)),
    );
  }, [letters, have, watch, setValue]);
  return (
    <div className="w-[420px] max-w-full">
      <Field
        name="pattern.order"
        label="Your own stripe order"
        placeholder="A A A | B A | A A"
        autoComplete="off"
        className="count"
      />
      <p className="mt-1 text-[14px] text-soft">One letter per row: start | repeat | end. Or just the repeat.</p>
    </div>
  );
}

/** What a pattern leaves open: its numbers, colours and stitch, whether it is in rounds, and how it begins. */
function Numbers({ pattern }: { pattern: StitchPattern }) {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const values = watch();
  const { yarns, item } = values;
  const { stitch, order, made } = values.pattern;
  const told = useCraftWords();
  const technique = techniqueOf(pattern);
  const bound = boundOf(pattern, values.pattern);
  const ways = technique.ok && bound ? waysOf(technique.value, bound, { item }) : [];
  const round = isRoundMaking(made || pattern.made);
  const { fewestColours: fewest, mostColours: most } = pattern;
  const letters = [...'ABCDEFGH'];
  return (
    <div className="mt-4 flex flex-wrap items-start gap-4">
      {pattern.numbers.map((number) => (
        <div key={number.name} className="w-[150px]">
          <Field
            name={`pattern.numbers.${number.name}`}
            label={upper(number.meaning)}
            placeholder={String(number.usual)}
            inputMode="numeric"
            className="count text-[18px]"
          />
        </div>
      ))}
      {fewest < most && !order.trim() ? (
        <div>
          <p className="label">Colours</p>
          <Choice
            label="Colours"
            value={String(yarns.length)}
            options={Array.from({ length: most - fewest + 1 }, (_, i) => String(fewest + i)).map((value) => ({
              value,
              words: value,
            }))}
            onChange={(next) =>
              setValue(
                'yarns',
                letters
                  .slice(0, Number(next))
                  .map((letter) => yarns.find((yarn) => yarn.letter === letter) ?? usualYarn(letter)),
              )
            }
          />
        </div>
      ) : null}
      {pattern.stitches.length > 1 ? (
        <div>
          <p className="label">Shape</p>
          <Choice
            label="Shape"
            value={pattern.stitches.includes(stitch) ? stitch : (pattern.stitches[0] ?? '')}
            options={pattern.stitches.map((value) => ({ value, words: told(`{${value}}`) }))}
            onChange={(next) => {
              setValue('pattern.stitch', next);
              setValue('foundation', '');
            }}
          />
        </div>
      ) : null}
      <Making pattern={pattern} />
      {ways.length > 1 ? (
        <div className="w-[420px] max-w-full">
          <SelectOf
            name="foundation"
            label={round ? 'First row' : <>First {told(`{${bound?.stitch ?? ''}}`)} goes into</>}
          >
            {ways.map((way, i) => (
              <option key={way} value={i === 0 ? '' : way}>
                {told(beginningWords(findFoundation(way) as Foundation))}
              </option>
            ))}
          </SelectOf>
        </div>
      ) : null}
      {isOnCircle(values) ? (
        <div className="w-[190px]">
          <Field
            name="increases"
            label="Increases per round"
            placeholder="lies flattest"
            inputMode="numeric"
            className="count"
          />
        </div>
      ) : null}
      {beginsOnChain(values.foundation || ways[0]) ? (
        <div className="w-[200px]">
          <SelectOf name="into" label="Work into the chain’s">
            <option value="one loop">one loop</option>
            <option value="two loops">two loops</option>
            <option value="back bump">back bump</option>
          </SelectOf>
        </div>
      ) : null}
      {technique.ok && technique.value.loops ? (
        <div className="w-[200px]">
          <SelectOf name="pattern.loops" label="Work into the row below’s">
            <option value="both">both loops</option>
            <option value="back">back loop only</option>
            <option value="front">front loop only</option>
          </SelectOf>
        </div>
      ) : null}
      {technique.ok && technique.value.ordered && !pattern.chart.length ? <OrderOfRows /> : null}
    </div>
  );
}
