import {
  colourOf,
  type Drawing,
  lettersOfYarns,
  type Place,
  type Region,
  regionOf,
  rowLetters,
} from '@puntada/core/craft';
import type { Study } from '@puntada/core/plan';
import { deskSaid, type Hand, markName, placeWords } from '@puntada/core/words';
import {
  type KeyboardEvent,
  type PointerEvent,
  useCallback,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
} from 'react';
import { usePreferences } from '../../api/api.ts';
import { announce } from '../../parts/announce.ts';
import { fitCanvas } from '../../parts/fitCanvas.ts';
import { useBox } from '../../parts/useWidth.ts';
import { deskSize, isCell, placeAt } from './deskGeometry.ts';
import { dragged, drawn, type Held } from './deskTools.ts';
import { CellLayer, paintDesk } from './paintDesk.ts';

interface Props {
  readonly drawing: Drawing;
  readonly held: Held;
  readonly shade: (letter: string) => string;
  readonly study: Study | undefined;
  /** px of a cell; its height follows from the proportion. */
  readonly cell: number;
  readonly proportion: number;
  readonly hand: Hand;
  readonly cursor: Place;
  readonly selection: Region | undefined;
  readonly onCursor: (place: Place) => void;
  readonly onSelection: (region: Region | undefined) => void;
  readonly onChange: (drawing: Drawing) => void;
  /** A key that the canvas has no use for itself. @returns whether it was taken */
  readonly onKey: (event: KeyboardEvent) => boolean;
  readonly onBox: (width: number, height: number) => void;
}

const names = ['paper', 'ink', 'soft', 'rule', 'brick', 'ochre'] as const;

/** The colours of the page, as its style says. */
function pageColours(element: HTMLElement): Record<(typeof names)[number], string> {
  const style = getComputedStyle(element);
  return Object.fromEntries(
    names.map((name) => [name, style.getPropertyValue(`--color-${name}`).trim() || '#888']),
  ) as Record<(typeof names)[number], string>;
}

/** The drawing on a canvas that holds only what is in sight; drawn on by mouse, touch, pen or keyboard. */
export function DeskCanvas(props: Props) {
  const { drawing, held, study, cell, proportion, hand, cursor, selection, onBox } = props;
  const { terms } = usePreferences();
  const box = useBox<HTMLDivElement>();
  const canvas = useRef<HTMLCanvasElement>(null);
  const cellCanvas = useRef<HTMLCanvasElement>(null);
  const [live, setLive] = useState<Drawing>();
  const [cells] = useState(() => new CellLayer());
  const [focused, setFocused] = useState(false);
  const shown = live ?? drawing;
  const look = { cellWidth: cell, cellHeight: Math.max(3, cell / proportion), hand };
  const size = deskSize(shown, look);

  useEffect(() => {
    if (box.width) onBox(box.width, box.height);
  }, [box.width, box.height, onBox]);

  const paint = useCallback(() => {
    const [element, under, frame] = [canvas.current, cellCanvas.current, box.ref.current];
    const [ctx, below] = [element?.getContext('2d'), under?.getContext('2d')];
    if (!element || !under || !frame || !ctx || !below || !box.width) return;
    const dpr = fitCanvas(element, box.width, box.height);
    fitCanvas(under, box.width, box.height);
    const request = {
      drawing: shown,
      cellWidth: cell,
      cellHeight: Math.max(3, cell / proportion),
      hand,
      shade: props.shade,
      study: live ? undefined : study,
      cursor,
      focused,
      selection,
      view: { left: frame.scrollLeft, top: frame.scrollTop, width: box.width, height: box.height },
      colours: pageColours(element),
      rowLetters: rowLetters(shown),
    };
    cells.paint(below, request, dpr);
    paintDesk(ctx, request, dpr);
  }, [
    box.ref,
    box.width,
    box.height,
    shown,
    live,
    cell,
    proportion,
    hand,
    props.shade,
    study,
    cursor,
    focused,
    selection,
    cells,
  ]);

  useLayoutEffect(paint, [paint]);
  useEffect(() => {
    void document.fonts.ready.then(paint);
  }, [paint]);

  // A drawing wider or higher than the desk opens at the corner where row 1 begins.
  const { key } = drawing;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each drawing
  useEffect(() => {
    const frame = box.ref.current;
    if (!frame || !box.width) return;
    frame.scrollTop = frame.scrollHeight;
    frame.scrollLeft = hand === 'right' ? frame.scrollWidth : 0;
  }, [key, hand, box.width > 0]);

  const path = useRef<Place[]>([]);
  const moved = useRef<Region | undefined>(undefined);
  const at = (event: PointerEvent): Place => {
    const frame = box.ref.current as HTMLDivElement;
    const edge = frame.getBoundingClientRect();
    return placeAt(
      shown,
      look,
      event.clientX - edge.left + frame.scrollLeft,
      event.clientY - edge.top + frame.scrollTop,
    );
  };

  const down = (event: PointerEvent) => {
    if (event.button !== 0 || held.tool === 'move') return;
    const place = at(event);
    if (!isCell(drawing, place)) return;
    event.preventDefault();
    canvas.current?.focus({ preventScroll: true });
    canvas.current?.setPointerCapture(event.pointerId);
    path.current = [place];
    props.onCursor(place);
    if (held.tool === 'select') {
      const inside = selection && isWithin(selection, place);
      moved.current = inside ? selection : undefined;
      if (!inside) props.onSelection(regionOf(place, place));
      return;
    }
    setLive(drawn(drawing, held, path.current));
  };

  const move = (event: PointerEvent) => {
    const [first] = path.current;
    if (!first) return;
    const place = at(event);
    const last = path.current.at(-1);
    if (last && last.row === place.row && last.cell === place.cell) return;
    path.current.push(place);
    if (held.tool === 'select') {
      if (moved.current) setLive(dragged(drawing, moved.current, first, place).drawing);
      else props.onSelection(regionOf(first, kept(drawing, place)));
      return;
    }
    setLive(drawn(drawing, held, path.current));
  };

  const up = () => {
    const [first] = path.current;
    const last = path.current.at(-1);
    path.current = [];
    if (held.tool === 'select' && moved.current && first && last) {
      const { drawing: next, region } = dragged(drawing, moved.current, first, last);
      props.onChange(next);
      props.onSelection(region);
    } else if (live) props.onChange(live);
    moved.current = undefined;
    setLive(undefined);
  };

  const cancel = () => {
    path.current = [];
    moved.current = undefined;
    setLive(undefined);
  };

  const tell = (place: Place, of: Drawing) => {
    const mark = of.rows[place.row]?.marks[place.cell];
    const refused = study?.refused.some((each) => each.row === place.row && each.cell === place.cell);
    if (mark) announce(`${placeWords(place)}: ${markName(mark, terms)}${refused ? ', cannot be worked' : ''}`);
  };

  const go = (rows: number, cells: number, select: boolean) => {
    const next = kept(drawing, { row: cursor.row + rows, cell: cursor.cell + cells });
    if (select) props.onSelection(regionOf(anchorOf(selection, cursor), next));
    props.onCursor(next);
    intoSight(box.ref.current, placeBox(drawing, look, next));
    tell(next, drawing);
  };

  const press = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) {
      if (props.onKey(event)) event.preventDefault();
      return;
    }
    const ahead = hand === 'right' ? -1 : 1;
    const far = event.key.startsWith('Page') ? 10 : 1;
    const ways: Readonly<Record<string, readonly [number, number]>> = {
      ArrowUp: [1, 0],
      ArrowDown: [-1, 0],
      ArrowLeft: [0, -ahead],
      ArrowRight: [0, ahead],
      PageUp: [far, 0],
      PageDown: [-far, 0],
      Home: [0, -10_000],
      End: [0, 10_000],
    };
    const way = ways[event.key];
    if (way) {
      event.preventDefault();
      go(way[0], way[1], event.shiftKey);
      return;
    }
    if (event.key === ' ') {
      event.preventDefault();
      const tool = held.tool === 'fill' ? 'fill' : 'pen';
      const next = drawn(drawing, { ...held, tool }, [cursor]);
      props.onChange(next);
      tell(cursor, next);
      return;
    }
    if (props.onKey(event)) event.preventDefault();
  };

  return (
    <div
      ref={box.ref}
      onScroll={paint}
      className="relative h-full min-h-0 overflow-auto rounded-md border border-edge bg-paper"
      data-testid="desk"
    >
      <div style={{ width: Math.max(size.width, 1), height: Math.max(size.height, 1) }}>
        {/* The cells lie under what is told of them: a stroke paints its own rows anew, and no others. */}
        <canvas
          ref={cellCanvas}
          aria-hidden
          className="pointer-events-none sticky top-0 left-0 block"
          style={{ width: box.width, height: box.height, marginBottom: -box.height }}
        />
        {/* biome-ignore lint/a11y/noInteractiveElementToNoninteractiveRole: it takes the keys of drawing */}
        <canvas
          ref={canvas}
          role="application"
          aria-roledescription="chart"
          aria-label={deskSaid.chartRowsRowCell(drawing.rows.length, cursor.row + 1, cursor.cell + 1)}
          tabIndex={0}
          className="sticky top-0 left-0 block outline-none"
          style={{
            width: box.width,
            height: box.height,
            touchAction: held.tool === 'move' ? 'auto' : 'none',
            cursor: held.tool === 'move' ? 'grab' : 'crosshair',
          }}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={cancel}
          onKeyDown={press}
          onFocus={() => setFocused(true)}
          onBlur={() => setFocused(false)}
        />
      </div>
    </div>
  );
}

function isWithin({ row, cell, high, wide }: Region, place: Place): boolean {
  return place.row >= row && place.row < row + high && place.cell >= cell && place.cell < cell + wide;
}

/** The nearest cell that there is. */
function kept({ rows }: Drawing, { row, cell }: Place): Place {
  const near = Math.max(0, Math.min(rows.length - 1, row));
  const marks = rows[near]?.marks.length ?? 1;
  return { row: near, cell: Math.max(0, Math.min(marks - 1, cell)) };
}

/** The corner of a selection that stays while the other goes with the cursor. */
function anchorOf(selection: Region | undefined, cursor: Place): Place {
  if (!selection) return cursor;
  const { row, cell, high, wide } = selection;
  return {
    row: cursor.row === row ? row + high - 1 : row,
    cell: cursor.cell === cell ? cell + wide - 1 : cell,
  };
}

function placeBox(drawing: Drawing, look: Parameters<typeof deskSize>[1], place: Place) {
  const { height, width } = deskSize(drawing, look);
  const y = height - (place.row + 2) * look.cellHeight;
  const x = look.hand === 'right' ? width - (place.cell + 3) * look.cellWidth : (place.cell + 1) * look.cellWidth;
  return { x, y, width: look.cellWidth * 3, height: look.cellHeight * 3 };
}

/** Scrolls as far as is needed to see a box. */
function intoSight(frame: HTMLElement | null, { x, y, width, height }: ReturnType<typeof placeBox>): void {
  if (!frame) return;
  if (x < frame.scrollLeft) frame.scrollLeft = x;
  if (x + width > frame.scrollLeft + frame.clientWidth) frame.scrollLeft = x + width - frame.clientWidth;
  if (y < frame.scrollTop) frame.scrollTop = y;
  if (y + height > frame.scrollTop + frame.clientHeight) frame.scrollTop = y + height - frame.clientHeight;
}

/** The pen of a key: a letter for a colour, a number for a stitch. */
export function penOfKey(key: string, pens: readonly string[]): string | undefined {
  const number = Number(key);
  if (Number.isInteger(number) && number >= 1) return pens[number - 1];
  const letter = key.toUpperCase();
  if (!(lettersOfYarns as readonly string[]).includes(letter)) return undefined;
  return pens.find((pen) => pen === letter && colourOf(pen) === letter);
}
