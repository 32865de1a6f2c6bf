import { type Drawing, patternOf, printPattern, tableOf } from '@puntada/core/craft';
import { patternLabel, type StoredPattern } from '@puntada/core/records';
import { csvFormatRows } from 'd3-dsv';
import { useNavigate } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { useAddPatternMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { download } from '../../parts/download.ts';
import { fileName } from '../../parts/fileName.ts';
import { ownPattern } from '../../parts/ownPattern.ts';
import { usePatternDeletion } from '../../parts/usePatternDeletion.ts';
import { pngOf, svgOf } from './pictureOf.ts';

interface Props {
  readonly stored: StoredPattern;
  readonly drawing: Drawing;
  readonly note: string;
  readonly shade: (letter: string) => string;
  readonly proportion: number;
}

/** The pattern as files, a copy of it, and its way into the bin. */
export function SavePanel({ stored, drawing, note, shade, proportion }: Props) {
  const navigate = useNavigate();
  const { hand } = usePreferences();
  const [add, adding] = useAddPatternMutation();
  const { discard, removing } = usePatternDeletion();
  const pattern = patternOf(drawing);
  const name = fileName(drawing.name);
  const look = { shade, proportion, hand };
  const copy = async () => {
    const id = crypto.randomUUID();
    const made = await add({
      id,
      pattern: ownPattern(id, { ...pattern, name: `${pattern.name}, copy`.slice(0, 80) }, note),
    });
    if (made.data) navigate(`/desk/${id}`);
  };
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => download(`${name}.txt`, printPattern(pattern), 'text/plain')}>Text</Button>
        <Button
          onClick={() =>
            download(`${name}.json`, JSON.stringify({ ...patternLabel, ...pattern }, undefined, 2), 'application/json')
          }
        >
          JSON
        </Button>
        <Button onClick={() => download(`${name}.csv`, csvFormatRows(tableOf(drawing)), 'text/csv')}>CSV</Button>
        <Button onClick={() => download(`${name}.svg`, svgOf(drawing, look), 'image/svg+xml')}>SVG</Button>
        <Button onClick={() => void pngOf(drawing, look).then((blob) => download(`${name}.png`, blob, 'image/png'))}>
          PNG
        </Button>
      </div>
      <div className="flex flex-wrap gap-2 border-t border-rule pt-3">
        <Button onClick={() => void copy()} disabled={adding.isLoading}>
          Make a copy
        </Button>
        <Button kind="quiet" onClick={() => void discard(stored.id, pattern.name)} disabled={removing.isLoading}>
          Delete this pattern
        </Button>
      </div>
      <details>
        <summary className="min-h-11 cursor-pointer py-2.5 text-[15px] underline underline-offset-4">
          As pattern notation
        </summary>
        <pre className="max-h-[300px] max-w-full overflow-auto border-l-4 border-rule bg-sheet p-3 font-mono text-[13px] leading-snug">
          {printPattern(pattern)}
        </pre>
      </details>
    </div>
  );
}
