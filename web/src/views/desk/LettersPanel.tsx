import {
  type Alphabet,
  alphabets,
  type Drawing,
  groundOf,
  lettered,
  type Mark,
  marked,
  type Place,
  resized,
  strokeOf,
  techniqueNamed,
  widthOf,
} from '@puntada/core/craft';
import { deskSaid } from '@puntada/core/words';
import { useId, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { useProblemText } from '../../parts/Craft.tsx';

interface Props {
  readonly drawing: Drawing;
  readonly mark: Mark;
  readonly cursor: Place;
  readonly onChange: (drawing: Drawing) => void;
}

/** The least thickness of a stroke in a technique: where rows lie half a stitch on, one stitch is no upright line. */
function leastStroke({ technique }: Drawing): number {
  return techniqueNamed(technique)?.offset ? 2 : 1;
}

/** Words set into the drawing with the pen in hand, in the middle or from the cursor on. */
export function LettersPanel({ drawing, mark, cursor, onChange }: Props) {
  const { hand } = usePreferences();
  const sentence = useProblemText();
  const least = leastStroke(drawing);
  const [text, setText] = useState('');
  const [alphabet, setAlphabet] = useState<Alphabet>(least > 1 ? 'wide' : 'small');
  const id = useId();
  const set = text.trim() ? lettered(text, alphabet) : undefined;
  const problem = set && !set.ok ? set.problems[0] : undefined;
  const high = set?.ok ? set.value.length : 0;
  const wide = set?.ok ? (set.value[0]?.length ?? 0) : 0;
  const lay = (at: 'middle' | 'cursor') => {
    if (!set?.ok) return;
    const around = 2;
    const room =
      at === 'middle'
        ? resized(
            drawing,
            Math.max(widthOf(drawing), wide + 2 * around),
            Math.max(drawing.rows.length, high + 2 * around),
            groundOf(drawing),
          )
        : drawing;
    const from =
      at === 'middle'
        ? { row: Math.floor((room.rows.length - high) / 2), cell: Math.floor((widthOf(room) - wide) / 2) }
        : cursor;
    const places = set.value.flatMap((line, y) =>
      line.flatMap((ink, x) =>
        ink ? [{ row: from.row + high - 1 - y, cell: from.cell + (hand === 'right' ? wide - 1 - x : x) }] : [],
      ),
    );
    onChange(marked(room, places, mark));
  };
  return (
    <div className="grid gap-3">
      <div>
        <label htmlFor={id} className="label">
          {deskSaid.wordsLineForEach}
        </label>
        <textarea
          id={id}
          className="field min-h-[72px] py-2 text-[18px]"
          value={text}
          aria-invalid={Boolean(problem)}
          onChange={(event) => setText(event.target.value)}
        />
        {problem ? (
          <p role="alert" className="mt-1 text-[14px] text-brick">
            <span aria-hidden>✕ </span>
            {sentence(problem)}
          </p>
        ) : null}
      </div>
      <Choice
        small
        label="Alphabet"
        value={alphabet}
        options={alphabets.map((value) => ({ value, words: value }))}
        onChange={setAlphabet}
      />
      {strokeOf[alphabet] < least ? (
        <p className="text-[15px] text-ochre">
          <span aria-hidden>△ </span>
          {deskSaid.rowsLieHalfStitch}
        </p>
      ) : null}
      <p className="text-[15px] text-soft">
        {set?.ok ? deskSaid.cellsWideRowsHigh(wide, high) : deskSaid.wordsSetInPen}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => lay('middle')} disabled={!set?.ok}>
          {deskSaid.setInMiddle}
        </Button>
        <Button onClick={() => lay('cursor')} disabled={!set?.ok}>
          {deskSaid.setFromCursor}
        </Button>
      </div>
    </div>
  );
}
