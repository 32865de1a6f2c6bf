import {
  type BoundPattern,
  beginsSmall,
  bindPattern,
  type Foundation,
  findFoundation,
  inRounds,
  isRoundMaking,
  makingsOf,
  type StitchPattern,
  techniqueNamed,
  techniqueOf,
} from '@puntada/core/craft';
import { waysOf } from '@puntada/core/plan';
import { beginningWords, upper, wishSaid } from '@puntada/core/words';
import { useEffect } from 'react';
import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { Field, SelectOf } from './Field.tsx';
import { piecesOf, usualYarn } from './usual.ts';
import { isOnCircle, isTubeForm, lettersOf, type WishFormValues } from './wishForm.ts';

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
  'right-side': wishSaid.rowsAlwaysFromRight,
  'turned-rounds': 'rounds, turning',
  rounds: 'rounds, not turning',
};

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
          const before = isTubeForm(watch());
          setValue('pattern.made', next === pattern.made ? '' : (next as WishFormValues['pattern']['made']), {
            shouldDirty: true,
          });
          const tube = isTubeForm(watch());
          if (tube !== before) setValue('pieces', piecesOf(watch('item'), watch('pieces'), tube));
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
        label={wishSaid.yourOwnStripeOrder}
        placeholder={wishSaid.exampleOfStripes}
        autoComplete="off"
        className="count"
      />
      <p className="mt-1 text-[14px] text-soft">{wishSaid.oneLetterPerRow}</p>
    </div>
  );
}

/** What a pattern leaves open: its numbers, colours and stitch, whether it is in rounds, and how it begins. */
export function PatternNumbers({ pattern }: { pattern: StitchPattern }) {
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
          <SelectOf name="into" label={wishSaid.workIntoChains}>
            <option value="one loop">one loop</option>
            <option value="two loops">two loops</option>
            <option value="back bump">back bump</option>
          </SelectOf>
        </div>
      ) : null}
      {technique.ok && technique.value.loops ? (
        <div className="w-[200px]">
          <SelectOf name="pattern.loops" label={wishSaid.workIntoRowBelows}>
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
