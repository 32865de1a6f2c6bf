import { findPattern, type Problem, patternBook } from '@puntada/core/craft';
import { itemKinds, wishFromPiece } from '@puntada/core/plan';
import type { Item } from '@puntada/core/records';
import { givenSaid, itemName } from '@puntada/core/words';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { Craft, useProblemText } from '../../parts/Craft.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';

/** A finished piece counted and measured, to make another like it: it is the best swatch there is. */
export function FinishedPiece() {
  const { units } = usePreferences();
  const navigate = useNavigate();
  const [item, setItem] = useState<Item>('dishcloth');
  const [pattern, setPattern] = useState('block-check');
  const [across, setAcross] = useState('');
  const [acrossOf, setAcrossOf] = useState<'stitches' | 'repeats'>('stitches');
  const [up, setUp] = useState('');
  const [upOf, setUpOf] = useState<'rows' | 'repeats'>('rows');
  const [width, setWidth] = useState('');
  const sentence = useProblemText();
  const [height, setHeight] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const found = findPattern(pattern);
  const words = found.ok
    ? { across: found.value.across.word, up: found.value.up.word }
    : { across: 'repeats', up: 'repeats' };
  const wrong = (path: string) => {
    const problem = problems.find((each) => each.path.startsWith(path));
    return problem && sentence(problem);
  };
  const start = () => {
    const piece = {
      pattern,
      units,
      across: { count: Number(across), of: acrossOf },
      up: { count: Number(up), of: upOf },
      width,
      height,
    };
    const read = wishFromPiece(piece);
    setProblems(read.ok ? [] : read.problems);
    if (!read.ok) return;
    const { gauge, width: wide, height: high } = read.value;
    navigate(`/wish?pattern=${pattern}`, {
      state: {
        form: {
          item,
          width: { by: 'stitches', count: wide.by === 'stitches' ? String(wide.count) : '' },
          height: { by: 'rows', count: high.by === 'rows' ? String(high.count) : '' },
          gauge: {
            from: 'counted',
            stitches: { count: String(gauge.stitches.count), over: gauge.stitches.over },
            rows: { count: String(gauge.rows.count), over: gauge.rows.over },
          },
        },
      },
    });
  };
  return (
    <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_260px]">
      <form
        aria-label="A finished piece"
        noValidate
        className="grid content-start gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          start();
        }}
      >
        <div className="grid gap-4 sm:grid-cols-2">
          <SelectField label="What it is" value={item} onChange={(next) => setItem(next as Item)}>
            {itemKinds.map((preset) => (
              <option key={preset.item} value={preset.item}>
                {itemName(preset.item)}
              </option>
            ))}
          </SelectField>
          <SelectField label="Pattern" value={pattern} onChange={setPattern}>
            {patternBook.map((each) => (
              <option key={each.key} value={each.key}>
                {each.name}
              </option>
            ))}
          </SelectField>
        </div>
        <Side
          way="across"
          size={`Width, ${units}`}
          count={across}
          onCount={setAcross}
          of={acrossOf}
          options={[
            { value: 'stitches', words: 'stitches' },
            { value: 'repeats', words: words.across },
          ]}
          onOf={setAcrossOf}
          length={width}
          onLength={setWidth}
          wrong={[wrong('across'), wrong('width')]}
        />
        <Side
          way="up"
          size={`Height, ${units}`}
          count={up}
          onCount={setUp}
          of={upOf}
          options={[
            { value: 'rows', words: 'rows' },
            { value: 'repeats', words: words.up },
          ]}
          onOf={setUpOf}
          length={height}
          onLength={setHeight}
          wrong={[wrong('up'), wrong('height')]}
        />
        <p className="max-w-[60ch] text-[15px] text-soft">
          <Craft>{givenSaid.countAndMeasureIt}</Craft>
        </p>
        <Problems problems={problems.filter((each) => !/^(across|up|width|height)/.test(each.path))} />
        <div>
          <Button kind="next" type="submit">
            {givenSaid.startProjectFromIt}
          </Button>
        </div>
      </form>
      <PatternPicture pattern={pattern} shades={['#e9dfc4', '#24476b', '#c08a4a', '#2f5a45']} side={240} />
    </div>
  );
}

interface SideProps<T extends string> {
  readonly way: 'across' | 'up';
  /** What its length is called. */
  readonly size: string;
  readonly count: string;
  readonly onCount: (text: string) => void;
  readonly of: T;
  readonly options: readonly { readonly value: T; readonly words: string }[];
  readonly onOf: (of: T) => void;
  readonly length: string;
  readonly onLength: (text: string) => void;
  /** What is wrong with the count, and with the length. */
  readonly wrong: readonly [count: string | undefined, length: string | undefined];
}

/** One side of a piece: what was counted along it, and how long it is. */
function Side<T extends string>(props: SideProps<T>) {
  const { way, size, count, onCount, of, options, onOf, length, onLength, wrong } = props;
  const typed = 'count text-[18px]';
  return (
    <div className="flex flex-wrap items-start gap-4">
      <div className="w-[130px]">
        <TextField
          label={`Counted ${way}`}
          value={count}
          onChange={onCount}
          inputMode="numeric"
          className={typed}
          wrong={wrong[0]}
        />
      </div>
      <div className="pt-[25px]">
        <Choice label={`Counted ${way} are`} value={of} options={options} onChange={onOf} />
      </div>
      <div className="w-[150px]">
        <TextField label={size} value={length} onChange={onLength} className={typed} wrong={wrong[1]} />
      </div>
    </div>
  );
}
