import {
  cutOut,
  type Drawing,
  groundOf,
  laidDown,
  type Mirrors,
  marked,
  noMirrors,
  type Piece,
  type Place,
  patternOf,
  pensOf,
  placesOfRegion,
  printPattern,
  type Region,
  shadeSeen,
} from '@puntada/core/craft';
import type { StoredPattern } from '@puntada/core/records';
import { deskSaid, markName, placeWords } from '@puntada/core/words';
import { Tabs } from 'radix-ui';
import { type KeyboardEvent, useCallback, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { announce } from '../../parts/announce.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { DraftProblems, SavedWords } from '../../parts/DraftHead.tsx';
import { pictureForDesk } from '../../parts/dropped.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { TabBar } from '../../parts/TabBar.tsx';
import { UndoRedo } from '../../parts/UndoRedo.tsx';
import { keyOfOwn } from '../../parts/useShelf.ts';
import { DeskCanvas, penOfKey } from './DeskCanvas.tsx';
import { fittingCell } from './deskGeometry.ts';
import type { Held } from './deskTools.ts';
import { Eyes, type Seen } from './Eyes.tsx';
import { LettersPanel } from './LettersPanel.tsx';
import { PicturePanel } from './PicturePanel.tsx';
import { RowsPanel } from './RowsPanel.tsx';
import { SavePanel } from './SavePanel.tsx';
import { SelectActs } from './SelectActs.tsx';
import { SizePanel } from './SizePanel.tsx';
import { Told } from './Told.tsx';
import { Tools, toolOfKey } from './Tools.tsx';
import { useDesk } from './useDesk.ts';
import { useDeskProportion } from './useDeskProportion.ts';
import { useDeskShades } from './useDeskShades.ts';
import { useRestedText, useStudy } from './useStudy.ts';

/** What stands in the panel beside the chart. */
const panels = [
  ['told', 'Check'],
  ['size', 'Size'],
  ['letters', 'Letters'],
  ['rows', 'Rows'],
  ['picture', 'Picture'],
  ['save', 'Save'],
] as const;

/** What was cut out or copied last, for any pattern. */
let clipped: Piece | undefined;

/** One pattern on the desk. */
export function Desk({ stored, first }: { stored: StoredPattern; first: Drawing }) {
  const { hand, terms } = usePreferences();
  const navigate = useNavigate();
  const desk = useDesk(stored, first);
  const { drawing } = desk;
  const pens = pensOf(drawing);
  const [tool, setTool] = useState<Held['tool']>('pen');
  const [pen, setPen] = useState(pens[1] ?? pens[0] ?? 'A');
  const [mirrors, setMirrors] = useState<Mirrors>(noMirrors);
  const [at, setCursor] = useState<Place>({ row: 0, cell: 0 });
  const [selection, setSelection] = useState<Region>();
  const [zoom, setZoom] = useState<number>();
  const [box, setBox] = useState({ width: 0, height: 0 });
  const [seen, setSeen] = useState<Seen>('as it is');
  const [panel, setPanel] = useState<string>(() => (pictureForDesk.waits() ? 'picture' : 'told'));
  const shades = useDeskShades(stored.id, drawing);
  const study = useStudy(drawing);
  const pattern = useMemo(() => patternOf(drawing), [drawing]);
  const text = useMemo(() => printPattern({ ...pattern, key: keyOfOwn(stored.id) }), [pattern, stored.id]);
  const source = useRestedText(text);
  const cells = useDeskProportion(stored.id, pattern);
  const proportion = cells.of;
  const shade = useCallback(
    (letter: string) => {
      const own = shades.of(letter);
      return seen === 'as it is' ? own : shadeSeen(own, seen);
    },
    [shades, seen],
  );
  const mark = pens.includes(pen) ? pen : (pens[0] ?? 'A');
  const held: Held = { tool, mark, mirrors };
  const cursor: Place = {
    row: Math.min(at.row, drawing.rows.length - 1),
    cell: Math.min(at.cell, (drawing.rows[Math.min(at.row, drawing.rows.length - 1)]?.marks.length ?? 1) - 1),
  };
  const onHeld = (part: Partial<Held>) => {
    if (part.tool) setTool(part.tool);
    if (part.mark) setPen(part.mark);
    if (part.mirrors) setMirrors(part.mirrors);
    if (part.tool && part.tool !== 'select') setSelection(undefined);
  };
  const onBox = useCallback((width: number, height: number) => setBox({ width, height }), []);
  const cell = zoom ?? fittingCell(drawing, proportion, box.width, box.height);
  const show = (place: Place) => {
    setCursor(place);
    document.querySelector<HTMLElement>('[aria-roledescription="chart"]')?.focus();
  };
  const planSwatch = () => navigate('/swatches/new', { state: { swatch: { pattern: { key: pattern.key, text } } } });
  const copy = () => {
    if (!selection) return;
    clipped = cutOut(drawing, selection);
    announce(deskSaid.byCellsCopied(selection.wide, selection.high));
  };
  const clear = () => {
    if (selection) desk.change(marked(drawing, placesOfRegion(selection, true), groundOf(drawing)));
  };
  const paste = () => {
    if (!clipped?.[0]) return;
    const to = selection ?? { ...cursor, high: 1, wide: 1 };
    desk.change(laidDown(drawing, clipped, to));
    setTool('select');
    setSelection({ row: to.row, cell: to.cell, high: clipped.length, wide: clipped[0].length });
  };
  const onKey = (event: KeyboardEvent): boolean => {
    const key = event.key.toLowerCase();
    if (event.ctrlKey || event.metaKey) {
      if (key === 'c') copy();
      else if (key === 'x') {
        copy();
        clear();
      } else if (key === 'v') paste();
      else if (key === 'a') {
        setTool('select');
        setSelection({ row: 0, cell: 0, high: drawing.rows.length, wide: drawing.rows[0]?.marks.length ?? 1 });
      } else return false;
      return true;
    }
    if (key === 'escape') {
      setSelection(undefined);
      return true;
    }
    if ((key === 'delete' || key === 'backspace') && selection) {
      clear();
      return true;
    }
    const next = penOfKey(event.key, pens);
    if (next) {
      setPen(next);
      // As on a typewriter: the letter stands where the cursor is, or in all that is selected.
      const places = selection && tool === 'select' ? placesOfRegion(selection, true) : [cursor];
      desk.change(marked(drawing, places, next));
      announce(`${placeWords(cursor)}: ${markName(next, terms)}`);
      return true;
    }
    const other = toolOfKey(event.key);
    if (!other) return false;
    onHeld({ tool: other });
    return true;
  };
  return (
    <>
      <Head title={drawing.name} page="Chart desk" under={deskSaid.chartDeskDrawIt}>
        <UndoRedo undo={desk.undo} redo={desk.redo} />
        <SavedWords state={desk.state} />
        <ButtonLink to={`/book/${keyOfOwn(stored.id)}`}>{deskSaid.toPatternBook}</ButtonLink>
      </Head>
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1440px] flex-1 gap-x-5 gap-y-4 px-6 pt-3 pb-4 max-sm:px-3 lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_348px]"
      >
        <div className="flex min-h-0 flex-col gap-3">
          <DraftProblems draft={desk} />
          <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
            <Tools drawing={drawing} held={held} shade={shade} onHeld={onHeld} />
            <Zoom cell={cell} onZoom={setZoom} />
          </div>
          {tool === 'select' ? (
            <SelectActs
              drawing={drawing}
              selection={selection}
              onChange={desk.change}
              onSelection={setSelection}
              onCopy={copy}
              onPaste={clipped ? paste : undefined}
              onClear={clear}
            />
          ) : null}
          <div className="h-[max(360px,calc(100dvh-190px))] max-lg:h-[62dvh]">
            <DeskCanvas
              drawing={drawing}
              held={held}
              shade={shade}
              study={study}
              cell={cell}
              proportion={proportion}
              hand={hand}
              cursor={cursor}
              selection={selection}
              onCursor={setCursor}
              onSelection={setSelection}
              onChange={desk.change}
              onKey={onKey}
              onBox={onBox}
            />
          </div>
        </div>
        <aside className="min-w-0" aria-label="Beside the chart">
          <div className="flex gap-3">
            <PatternPicture pattern={source} shades={pattern.colours.map(shade)} side={168} />
            <div className="grid content-start gap-2">
              <ButtonLink kind="next" to={`/wish?pattern=${keyOfOwn(stored.id)}`}>
                Start a project
              </ButtonLink>
              <Button onClick={planSwatch}>Plan a swatch</Button>
              <ButtonLink to={`/rehearse/${keyOfOwn(stored.id)}`}>Rehearse 4 rows</ButtonLink>
              <Eyes value={seen} onChange={setSeen} />
            </div>
          </div>
          <Tabs.Root value={panel} onValueChange={setPanel} className="mt-3">
            <TabBar label="Beside the chart" tabs={panels} />
            <div className="pt-3">
              <Tabs.Content value="told">
                <Told
                  drawing={drawing}
                  study={study}
                  onShow={show}
                  onMend={({ places, mark: with_ }) => desk.change(marked(drawing, places, with_))}
                />
              </Tabs.Content>
              <Tabs.Content value="size">
                <SizePanel desk={desk} cursor={cursor} shades={shades} cells={cells} />
              </Tabs.Content>
              <Tabs.Content value="letters">
                <LettersPanel drawing={drawing} mark={mark} cursor={cursor} onChange={desk.change} />
              </Tabs.Content>
              <Tabs.Content value="rows">
                <RowsPanel drawing={drawing} onChange={desk.change} />
              </Tabs.Content>
              <Tabs.Content value="picture">
                <PicturePanel drawing={drawing} shades={shades} proportion={proportion} onChange={desk.change} />
              </Tabs.Content>
              <Tabs.Content value="save">
                <SavePanel
                  stored={stored}
                  drawing={drawing}
                  note={desk.note}
                  shade={shades.of}
                  proportion={proportion}
                />
              </Tabs.Content>
            </div>
          </Tabs.Root>
        </aside>
      </main>
    </>
  );
}

const sizes = [4, 6, 9, 13, 18, 24, 32, 44] as const;

function Zoom({ cell, onZoom }: { cell: number; onZoom: (cell: number | undefined) => void }) {
  const smaller = sizes.findLast((size) => size < cell);
  const larger = sizes.find((size) => size > cell);
  return (
    <div className="flex gap-1">
      <Button aria-label="Smaller cells" disabled={smaller === undefined} onClick={() => onZoom(smaller)}>
        −
      </Button>
      <Button aria-label="Larger cells" disabled={larger === undefined} onClick={() => onZoom(larger)}>
        +
      </Button>
      <Button onClick={() => onZoom(undefined)}>Fit</Button>
    </div>
  );
}
