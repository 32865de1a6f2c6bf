import {
  beginDrawing,
  beginWheel,
  isDrawn,
  numberOrText,
  type Problem,
  patternOf,
  patternOfWheel,
  techniques,
} from '@puntada/core/craft';
import { deskSaid, techniqueWords } from '@puntada/core/words';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { problemsOf } from '../../api/api.ts';
import { useAddPatternMutation } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Button } from '../../parts/Button.tsx';
import { useBookShades } from '../../parts/bookShades.ts';
import { broughtIn } from '../../parts/bringIn.ts';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { pictureForDesk } from '../../parts/dropped.ts';
import { FileField } from '../../parts/FileField.tsx';
import { ownPattern } from '../../parts/ownPattern.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useOwnId } from '../../parts/useOwnId.ts';
import { firstOf } from '../../parts/useShelf.ts';

import type { Keep } from './keep.ts';
import { PasteRows } from './PasteRows.tsx';

/** Pictures that can be made into stitches, and the technique in which they are to begin with. */
const pictureTypes = ['image/png', 'image/jpeg', 'image/webp'];
const pictureTechnique = techniques.find(({ makings, marks }) => makings.includes('flat') && !marks)?.key ?? '';

/** How a pattern of one's own begins. */
const ways = ['draw', 'rows', 'file'] as const;

/** A new pattern: drawn, read from somebody's written rows, or brought in as a file. */
export function NewPattern() {
  const navigate = useNavigate();
  const [query] = useSearchParams();
  const [ownId] = useOwnId();
  const [add, adding] = useAddPatternMutation();
  const [way, setWay] = useState<(typeof ways)[number]>(() => ways.find((each) => each === query.get('way')) ?? 'draw');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const keep: Keep = async (pattern, note = '') => {
    const made = await add({ id: ownId, pattern: ownPattern(ownId, pattern, note) });
    if (made.data) navigate(`/desk/${ownId}`, { replace: true });
  };
  /** A picture begins a chart of its own: its stitches are chosen on the desk. */
  const takePicture = async (file: File) => {
    const name =
      file.name
        .replace(/\.\w+$/, '')
        .replaceAll('"', '”')
        .slice(0, 80) || 'New pattern';
    const drawing = beginDrawing({ key: 'own', name, technique: pictureTechnique, wide: 60, high: 40 });
    if (!drawing) return;
    pictureForDesk.put(file);
    await keep(patternOf(drawing));
  };
  const take = async (file: File) => {
    if (pictureTypes.includes(file.type)) {
      await takePicture(file);
      return;
    }
    const read = await broughtIn(file);
    setProblems(read.ok ? [] : read.problems);
    if (read.ok) await keep(read.value.pattern, read.value.note);
  };
  return (
    <>
      <Head title="Make a pattern" under={deskSaid.drawChartYourOwn} />
      <Shelves />
      <main id="main" className="mx-auto grid w-full max-w-[1180px] gap-6 px-6 pt-6 pb-12">
        <Choice
          label="How to begin"
          value={way}
          options={[
            { value: 'draw', words: 'Draw a chart' },
            { value: 'rows', words: 'Paste written rows' },
            { value: 'file', words: 'Open a file' },
          ]}
          onChange={setWay}
        />
        {way === 'draw' ? <DrawNew busy={adding.isLoading} keep={keep} /> : null}
        {way === 'rows' ? <PasteRows busy={adding.isLoading} keep={keep} /> : null}
        {way === 'file' ? (
          <div className="grid gap-3">
            <FileField
              label={deskSaid.openPatternTextJson}
              accept=".txt,.json,.csv,text/plain,application/json,text/csv,image/png,image/jpeg,image/webp"
              onFile={(file) => void take(file)}
            />
            <p className="max-w-[62ch] text-[15px] text-soft">{deskSaid.tableHasLineFor}</p>
            <Problems problems={problems} />
          </div>
        ) : null}
        <Problems problems={problemsOf(adding.error)} />
      </main>
    </>
  );
}

/** Technique, size and name of a chart that is drawn from nothing. */
function DrawNew({ busy, keep }: { busy: boolean; keep: Keep }) {
  const told = useCraftWords();
  const drawable = useMemo(() => techniques.filter(({ key, circle }) => circle || isDrawn(key)), []);
  const [technique, setTechnique] = useState(drawable[0]?.key ?? '');
  const [name, setName] = useState('');
  const [wide, setWide] = useState('24');
  const [high, setHigh] = useState('24');
  const shadesOf = useBookShades();
  const [cells, rows] = [numberOrText(wide), numberOrText(high)];
  const good = (n: unknown): n is number => typeof n === 'number' && Number.isInteger(n) && n >= 1 && n <= 1000;
  const trait = techniques.find(({ key }) => key === technique);
  const settled = trait?.circle || trait?.marks !== undefined;
  const begin = () => {
    if (!good(cells) || !good(rows)) return;
    const title = name.trim().replaceAll('"', '”').slice(0, 80) || 'New pattern';
    if (trait?.circle) {
      void keep(patternOfWheel(beginWheel('own', title)));
      return;
    }
    const drawing = beginDrawing({ key: 'own', name: title, technique, wide: cells, high: rows });
    if (drawing) void keep(patternOf(drawing));
  };
  return (
    <form
      className="grid gap-5"
      onSubmit={(event) => {
        event.preventDefault();
        begin();
      }}
    >
      <fieldset>
        <legend className="mb-2 text-[19px] font-semibold">Which technique?</legend>
        <div className="grid grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-3">
          {drawable.map(({ key }) => {
            const like = firstOf(key);
            return (
              <label
                key={key}
                className="flex cursor-pointer items-center gap-3 rounded-md border border-edge bg-field p-2 hover:bg-sheet has-checked:border-ink has-checked:outline-2 has-checked:outline-ink has-focus-visible:outline-3"
              >
                <input
                  type="radio"
                  name="technique"
                  value={key}
                  className="sr-only"
                  checked={key === technique}
                  onChange={() => setTechnique(key)}
                />
                {like ? <PatternPicture pattern={like.key} shades={shadesOf(like)} side={72} /> : null}
                <span className="text-[16px] font-semibold">{told(techniqueWords(key).name)}</span>
              </label>
            );
          })}
        </div>
      </fieldset>
      <div className="grid max-w-[720px] gap-4 sm:grid-cols-[minmax(0,1fr)_120px_120px]">
        <TextField label="Name" value={name} onChange={setName} placeholder="New pattern" maxLength={80} />
        <TextField
          label="Cells wide"
          inputMode="numeric"
          className="count"
          value={wide}
          onChange={setWide}
          disabled={settled}
          wrong={good(cells) ? undefined : deskSaid.wholeNumberFrom1}
        />
        <TextField
          label="Rows"
          inputMode="numeric"
          className="count"
          value={high}
          onChange={setHigh}
          disabled={settled}
          wrong={good(rows) ? undefined : deskSaid.wholeNumberFrom1}
        />
      </div>
      {settled ? (
        <p className="text-[15px] text-soft">{trait?.circle ? deskSaid.wheelDrawIt : deskSaid.inThisTechniqueCell}</p>
      ) : null}
      <Button kind="next" type="submit" disabled={busy || !good(cells) || !good(rows)} className="justify-self-start">
        Open the chart
      </Button>
    </form>
  );
}
