import { findPattern, type Item, itemPresets, type Problem, patternBook, wishFromPiece } from '@puntada/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField, TextField } from '../../parts/TextField.tsx';

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
  const [height, setHeight] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const found = findPattern(pattern);
  const words = found.ok
    ? { across: found.value.across.word, up: found.value.up.word }
    : { across: 'repeats', up: 'repeats' };
  const wrong = (path: string) => {
    const problem = problems.find((each) => each.path.startsWith(path));
    return problem && `${problem.message} ${problem.hint}`;
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
          widthBy: 'stitches',
          width: wide.by === 'stitches' ? String(wide.count) : '',
          heightBy: 'rows',
          height: high.by === 'rows' ? String(high.count) : '',
          gaugeFrom: 'counted',
          stitchCount: String(gauge.stitches.count),
          stitchSpan: gauge.stitches.over,
          rowCount: String(gauge.rows.count),
          rowSpan: gauge.rows.over,
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
            {itemPresets.map((preset) => (
              <option key={preset.item} value={preset.item}>
                {preset.name}
              </option>
            ))}
          </SelectField>
          <SelectField label="Its pattern" value={pattern} onChange={setPattern}>
            {patternBook.map((each) => (
              <option key={each.key} value={each.key}>
                {each.name}
              </option>
            ))}
          </SelectField>
        </div>
        <div className="flex flex-wrap items-start gap-4">
          <div className="w-[130px]">
            <TextField
              label="Counted across"
              value={across}
              onChange={setAcross}
              inputMode="numeric"
              className="count text-[18px]"
              wrong={wrong('across')}
            />
          </div>
          <div className="pt-[25px]">
            <Choice
              label="Counted across are"
              value={acrossOf}
              options={[
                { value: 'stitches', words: 'stitches' },
                { value: 'repeats', words: words.across },
              ]}
              onChange={setAcrossOf}
            />
          </div>
          <div className="w-[150px]">
            <TextField
              label={`Its width, ${units}`}
              value={width}
              onChange={setWidth}
              className="count text-[18px]"
              wrong={wrong('width')}
            />
          </div>
        </div>
        <div className="flex flex-wrap items-start gap-4">
          <div className="w-[130px]">
            <TextField
              label="Counted up"
              value={up}
              onChange={setUp}
              inputMode="numeric"
              className="count text-[18px]"
              wrong={wrong('up')}
            />
          </div>
          <div className="pt-[25px]">
            <Choice
              label="Counted up are"
              value={upOf}
              options={[
                { value: 'rows', words: 'rows' },
                { value: 'repeats', words: words.up },
              ]}
              onChange={setUpOf}
            />
          </div>
          <div className="w-[150px]">
            <TextField
              label={`Its height, ${units}`}
              value={height}
              onChange={setHeight}
              className="count text-[18px]"
              wrong={wrong('height')}
            />
          </div>
        </div>
        <p className="max-w-[60ch] text-[15px] text-soft">
          Count and measure the cloth without its border. Its size and counts become the gauge, so the next one comes
          out like it; the yarn you choose then.
        </p>
        <Problems problems={problems.filter((each) => !/^(across|up|width|height)/.test(each.path))} />
        <div>
          <Button kind="next" type="submit">
            Start a wish from it
          </Button>
        </div>
      </form>
      <PatternPicture pattern={pattern} shades={['#e9dfc4', '#24476b', '#c08a4a', '#2f5a45']} side={240} />
    </div>
  );
}
