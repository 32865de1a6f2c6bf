import { baseCourses, cellsIn, type Fabric, facesRight, runsForward, sidesOf } from '@puntada/core/craft';
import type { Hand } from '@puntada/core/words';
import { workSaid } from '@puntada/core/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { type ClothShape, faceOf, shapeOf } from '../../parts/cloth/clothLayout.ts';
import { type CourseSpan, paintCloth } from '../../parts/cloth/paintCloth.ts';
import { useBox } from '../../parts/useWidth.ts';
import { easel } from '../../worker/painter.ts';

interface Props {
  readonly fabric: Fabric;
  readonly shades: readonly string[];
  readonly hand: Hand;
  readonly proportion: number;
  readonly rows: number;
  /** The rows to come are in sight and the worked ones covered. */
  readonly ahead: boolean;
  /** Stitches of the row in hand already worked, and those of the run in hand. */
  readonly stitchesDone: number;
  readonly stitchesInHand: number;
}

const labels = 46;
const largestCell = 30;
/** Space above the row in hand, where the rows to come are covered. */
const cover = 16;
/** Mat round diagonals and rounds, px. */
const rim = 14;

/** What is seen of a cloth: of one that stands on a circle the circle until it is done, then the sides. */
interface Seen extends Props {
  /** Courses below what is seen. */
  readonly below: number;
}

/** Both parts of a cloth on a circle, made once for the cloth. */
function usePartsOf(fabric: Fabric): { base: number; circle: Fabric; sides: Fabric } {
  return useMemo(() => {
    const base = baseCourses(fabric);
    return { base, circle: { ...fabric, courses: base }, sides: sidesOf(fabric) };
  }, [fabric]);
}

function seenOf(props: Props, { base, circle, sides }: ReturnType<typeof usePartsOf>): Seen {
  const { fabric, rows } = props;
  if (base === 0 || base === fabric.courses) return { ...props, below: 0 };
  if (rows <= base) return { ...props, fabric: circle, below: 0 };
  return { ...props, fabric: sides, rows: rows - base, below: base };
}

/** The rows already worked, as they lie before the maker, the rows to come covered; or the other way about. */
export function WorkedCloth(whole: Props) {
  const { fabric: wholeFabric, rows: wholeRows, ahead } = whole;
  const parts = usePartsOf(wholeFabric);
  const props = useMemo(() => seenOf(whole, parts), [whole, parts]);
  const { fabric, rows } = props;
  const box = useBox<HTMLDivElement>();
  const { width, height } = box;
  const canvas = useRef<HTMLCanvasElement>(null);
  const place = useMemo(() => placeOf(props, { width, height }), [props, width, height]);
  const worked = useWorked(props, place);
  const lettered = useLetters();
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    // Until the rows are painted, those of a moment ago stay.
    if (!canvas.current || !ctx || !place || worked?.rows !== rows) return;
    canvas.current.width = place.room.width;
    canvas.current.height = place.room.height;
    ctx.fillStyle = '#16382f';
    ctx.fillRect(0, 0, place.room.width, place.room.height);
    if (worked.picture) ctx.drawImage(worked.picture, place.left, place.top);
    if (place.shape === 'circle') return;
    if (place.shape === 'blocks') {
      if (rows < fabric.courses) paintDiagonalInHand(ctx, props, place);
      return;
    }
    if (lettered) paintLabels(ctx, place, props.below);
    if (rows < fabric.courses) paintRowInHand(ctx, props, place);
  }, [props, place, worked, lettered, rows, fabric]);
  return (
    <div ref={box.ref} className="relative min-h-[140px] overflow-hidden bg-mat">
      <canvas
        ref={canvas}
        role="img"
        aria-label={workSaid.rowsWorkedCovered(wholeRows, wholeFabric.courses, ahead)}
        className="absolute inset-0"
        style={{ width, height }}
      />
    </div>
  );
}

/** Where everything lies, px of the screen. */
interface Place {
  readonly room: { readonly width: number; readonly height: number };
  /** Of the worked rows. */
  readonly left: number;
  readonly top: number;
  readonly cellWidth: number;
  readonly cellHeight: number;
  readonly span: CourseSpan;
  /** Of the row in hand. */
  readonly rowTop: number;
  readonly face: 'RS' | 'WS';
  /** Diagonals and rounds are seen whole, as far as they are worked. */
  readonly shape: ClothShape;
  readonly dpr: number;
}

function placeOf(
  { fabric, proportion, hand, rows, ahead }: Props,
  box: { width: number; height: number },
): Place | undefined {
  if (!box.width || !box.height) return undefined;
  const dpr = window.devicePixelRatio || 1;
  const room = { width: box.width * dpr, height: box.height * dpr };
  const shape = shapeOf(fabric);
  const { across, up } = faceOf(fabric);
  if (shape === 'circle' || shape === 'blocks') {
    // As large as what is worked allows, with the course in hand.
    const seen = shape === 'circle' ? 2 * (rows + 1) : rows + 1;
    const [wide, high] = [Math.min(across, seen), Math.min(up, seen)];
    const fits = Math.min((room.width - 2 * rim * dpr) / wide, (room.height - 2 * rim * dpr) / high);
    const cell = Math.max(2, Math.floor(Math.min(largestCell * dpr, fits)));
    // A circle lies in the middle; blocks begin in a corner, at the right for a right hand.
    const beyond = shape === 'circle' ? (across - wide) / 2 : hand === 'right' ? across - wide : 0;
    const left = Math.round((room.width - wide * cell) / 2 - beyond * cell);
    const top = Math.round(rim * dpr - (shape === 'circle' ? (up - high) / 2 : up - high) * cell);
    const span = { from: 0, to: rows };
    return { room, left, top, cellWidth: cell, cellHeight: cell, span, rowTop: 0, face: 'RS', shape, dpr };
  }
  const cellWidth = Math.max(2, Math.min(largestCell * dpr, Math.floor(((box.width - 2 * labels) * dpr) / across)));
  const cellHeight = Math.max(2, Math.round(cellWidth / proportion));
  const left = Math.round((room.width - across * cellWidth) / 2);
  const open = rows < fabric.courses ? 1 : 0;
  const most = Math.ceil(room.height / cellHeight);
  const first = ahead && open ? rows + 1 : Math.max(0, rows - most);
  const last = ahead && open ? Math.min(fabric.courses, first + most) : rows;
  const rowTop = ahead && open ? room.height - cover * dpr - cellHeight : cover * dpr;
  const top = ahead && open ? rowTop - (last - first) * cellHeight : rowTop + open * cellHeight;
  const face = facesRight(Math.min(rows, fabric.courses - 1), fabric.making) ? 'RS' : 'WS';
  const span = { from: first, to: last };
  return { room, left, top, cellWidth, cellHeight, span, rowTop, face, shape, dpr };
}

interface Worked {
  readonly rows: number;
  readonly picture: ImageBitmap | undefined;
}

/** The picture of the worked rows, from the worker; the one before until it is painted. */
function useWorked({ fabric, shades, hand, rows }: Props, place: Place | undefined): Worked | undefined {
  const [worked, setWorked] = useState<Worked>();
  const { cellWidth = 0, cellHeight = 0, span = { from: 0, to: 0 }, face } = place ?? {};
  const { from, to } = span;
  useEffect(() => {
    if (!cellWidth) return;
    if (from === to) {
      setWorked({ rows, picture: undefined });
      return;
    }
    let current = true;
    const look = { shades, hand, cellWidth, cellHeight, ...(face ? { face } : {}) };
    void easel.courses(fabric, look, { from, to }).then((picture) => {
      if (current) setWorked({ rows, picture });
    });
    return () => {
      current = false;
    };
  }, [fabric, shades, hand, rows, cellWidth, cellHeight, from, to, face]);
  return worked;
}

/** Whether the letters of the labels have come. */
function useLetters(): boolean {
  const [come, setCome] = useState(false);
  useEffect(() => {
    void document.fonts.ready.then(() => setCome(true));
  }, []);
  return come;
}

function paintLabels(ctx: CanvasRenderingContext2D, place: Place, below: number): void {
  const shown = place.span.to - place.span.from;
  const every = place.cellHeight >= 15 * place.dpr ? 1 : 5;
  ctx.fillStyle = '#eef3ea';
  ctx.textAlign = 'right';
  ctx.textBaseline = 'middle';
  ctx.font = `500 ${13 * place.dpr}px "Atkinson Hyperlegible Mono Variable", monospace`;
  for (let i = 0; i < shown; i++) {
    const row = below + place.span.to - i;
    if (row % every) continue;
    ctx.fillText(String(row), place.left - 9 * place.dpr, place.top + (i + 0.5) * place.cellHeight);
  }
}

/** The row in hand: the stitches already made, the run in hand outlined, the rest still empty. */
function paintRowInHand(ctx: CanvasRenderingContext2D, props: Props, place: Place): void {
  const { fabric, shades, hand, rows, stitchesDone, stitchesInHand } = props;
  const { left, rowTop: top, cellWidth, cellHeight, face, dpr } = place;
  const width = faceOf(fabric).across * cellWidth;
  const from = (stitches: number) => (hand === 'right' ? left + width - stitches * cellWidth : left);
  ctx.save();
  ctx.beginPath();
  ctx.rect(from(stitchesDone), top, stitchesDone * cellWidth, cellHeight);
  ctx.clip();
  ctx.translate(left, top);
  paintCloth(ctx, fabric, { shades, hand, cellWidth, cellHeight, face }, { from: rows, to: rows + 1 });
  ctx.restore();
  ctx.strokeStyle = 'rgb(238 243 234 / 0.5)';
  ctx.lineWidth = dpr;
  ctx.setLineDash([3 * dpr, 4 * dpr]);
  ctx.strokeRect(left, top, width, cellHeight);
  ctx.setLineDash([]);
  const x =
    hand === 'right' ? left + width - (stitchesDone + stitchesInHand) * cellWidth : left + stitchesDone * cellWidth;
  ctx.strokeStyle = '#ffffff';
  ctx.lineWidth = 3 * dpr;
  ctx.strokeRect(x, top - dpr, stitchesInHand * cellWidth, cellHeight + 2 * dpr);
}

/** The diagonal in hand: the blocks already made in their colour, the run in hand outlined, the rest still empty. */
function paintDiagonalInHand(ctx: CanvasRenderingContext2D, props: Props, place: Place): void {
  const { fabric, shades, hand, rows: course, stitchesDone, stitchesInHand } = props;
  const { left, top, cellWidth: cell, dpr } = place;
  const { across, up } = faceOf(fabric);
  const count = cellsIn(fabric, course);
  const first = Math.max(0, course - up + 1);
  const start = fabric.starts[course] as number;
  for (let n = 0; n < count; n++) {
    const x = runsForward(course, fabric.making) ? n : count - 1 - n;
    const column = first + x;
    const at = {
      x: left + (hand === 'right' ? across - 1 - column : column) * cell,
      y: top + (up - 1 - (course - column)) * cell,
    };
    if (n < stitchesDone) {
      ctx.fillStyle = shades[fabric.colours[start + x] as number] ?? '#888888';
      ctx.fillRect(at.x, at.y, cell, cell);
    }
    const inHand = n >= stitchesDone && n < stitchesDone + stitchesInHand;
    ctx.strokeStyle = inHand ? '#ffffff' : 'rgb(238 243 234 / 0.5)';
    ctx.lineWidth = (inHand ? 2.5 : 1) * dpr;
    ctx.setLineDash(inHand ? [] : [3 * dpr, 4 * dpr]);
    ctx.strokeRect(at.x + dpr, at.y + dpr, cell - 2 * dpr, cell - 2 * dpr);
  }
  ctx.setLineDash([]);
}
