import { lengthNumber, type ToldUnit, unitWord } from '@puntada/core/craft';
import {
  type HeightOffer,
  itemNamed,
  measureOf,
  type Prepared,
  type Sizes,
  type ThawedWork,
  type WidthOffer,
} from '@puntada/core/plan';
import type { Wish } from '@puntada/core/records';
import { lengthText, tubeText } from '@puntada/core/words';
import { type KeyboardEvent, memo, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { useBox } from '../../parts/useWidth.ts';
import { Edge } from './Edge.tsx';
import { FigureOnMat } from './FigureOnMat.tsx';
import { lyingWidth, type MatGeometry, matGeometry, nearestNotch, stepNotch } from './matGeometry.ts';
import { type ClothOnMat, paintClothOnMat, paintMat } from './paintMat.ts';
import { Tape, tapeThickness } from './Tape.tsx';
import { type DrawnCloth, useClothPicture } from './useClothPicture.ts';

interface Props {
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly units: ToldUnit;
  /** What is on the hook, once it is begun. */
  readonly cloth: ThawedWork | undefined;
  readonly onWidth: (offer: WidthOffer) => void;
  readonly onHeight: (offer: HeightOffer) => void;
  /** Moves what is put on it once; absent where nothing can be moved any more. */
  readonly onPlaced: ((placed: NonNullable<Wish['placed']>) => void) | undefined;
}

/** The cloth on the cutting mat: drag an edge or press arrow keys, and it goes from notch to notch. */
export function Mat(props: Props) {
  const { prepared, sizes, width, height, units, onWidth, onHeight } = props;
  const box = useBox<HTMLDivElement>();
  const widths = sizes.across.offers;
  const heights = sizes.up.offers;
  const wish = wishedSize(prepared, width, height);
  const { strap } = prepared.finish;
  const above = strap ? strap.drop + strap.width : 0;
  // As wide as the largest one, so that nothing moves while an edge is dragged.
  const below = prepared.foundation.circle ? Math.max(...widths.map((offer) => offer.tube?.diameter.mid ?? 0)) : 0;
  const mat = useMemo(
    () =>
      matGeometry(box.width - tapeThickness.left, box.height - tapeThickness.top, widths, heights, wish, above, below),
    [box.width, box.height, widths, heights, wish, above, below],
  );
  const typical = prepared.gauge.source === 'typical';
  const notchesAcross = widths.map((offer) => ({
    key: offer.stitches,
    at: mat.originX + lyingWidth(offer).mid * mat.scale,
    label: typical ? String(offer.stitches) : notchLabel(lyingWidth(offer).mid, units),
    long: offer.alike,
    chosen: offer.stitches === width.stitches,
  }));
  const notchesUp = heights.map((offer) => ({
    key: offer.rows,
    at: mat.originY - offer.height.mid * mat.scale,
    label: typical ? String(offer.rows) : notchLabel(offer.height.mid, units),
    long: offer.asBegun,
    chosen: offer.rows === height.rows,
  }));
  const step = (event: KeyboardEvent) => {
    const across = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const up = { ArrowDown: -1, ArrowUp: 1 }[event.key];
    const slider = (event.target as HTMLElement).closest('[role="slider"]');
    const end = { Home: 0, End: -1 }[event.key];
    if (slider && end !== undefined) {
      event.preventDefault();
      if (slider.getAttribute('aria-orientation') === 'vertical') {
        const offer = heights.at(end);
        if (offer) onHeight(offer);
      } else {
        const offer = widths.at(end);
        if (offer) onWidth(offer);
      }
      return;
    }
    const toWidth = across && stepNotch(widths, (offer) => offer.stitches === width.stitches, across);
    const toHeight = up && stepNotch(heights, (offer) => offer.rows === height.rows, up);
    if (toWidth) onWidth(toWidth);
    if (toHeight) onHeight(toHeight);
    if (toWidth || toHeight) event.preventDefault();
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would not be a stage
    <div
      ref={box.ref}
      role="group"
      aria-label="Cutting mat"
      onKeyDown={step}
      className="relative h-[clamp(380px,60dvh,720px)] w-full overflow-hidden rounded-md bg-mat"
    >
      {mat.width > 0 ? (
        <>
          <div
            className="absolute top-0 left-0 bg-tape text-[12px] leading-none text-soft"
            style={{ width: tapeThickness.left, height: tapeThickness.top }}
          >
            <span className="absolute top-4 right-1.5">
              {typical ? prepared.technique.width.word : unitWord(units)}
            </span>
            {typical ? <span className="absolute bottom-1 left-1.5">{rowWord(prepared)}</span> : null}
          </div>
          <div className="absolute top-0" style={{ left: tapeThickness.left }}>
            <Tape
              along="top"
              length={mat.width}
              notches={notchesAcross}
              onChoose={(key) => choose(widths, (o) => o.stitches === key, onWidth)}
            />
          </div>
          <div className="absolute left-0" style={{ top: tapeThickness.top }}>
            <Tape
              along="left"
              length={mat.height}
              notches={notchesUp}
              onChoose={(key) => choose(heights, (o) => o.rows === key, onHeight)}
            />
          </div>
          <div
            className="absolute"
            style={{ left: tapeThickness.left, top: tapeThickness.top, width: mat.width, height: mat.height }}
          >
            <Ground mat={mat} units={units} />
            <Cloth {...props} mat={mat} wish={wish} />
            {prepared.wish.pieces > 1 ? (
              <p className="pointer-events-none absolute right-3 bottom-2 rounded-sm bg-mat/80 px-1.5 text-[15px] text-chalk">
                <span className="count">{prepared.wish.pieces}</span>{' '}
                {itemNamed(prepared.wish.item).countsPanels ? 'panels' : 'of these'}
              </p>
            ) : null}
            <WishLabel mat={mat} prepared={prepared} width={width} height={height} units={units} />
            {props.onPlaced
              ? prepared.bound.placed?.map((figure, i) => (
                  <FigureOnMat
                    // biome-ignore lint/suspicious/noArrayIndexKey: the order of figures is what they are
                    key={`${i} ${figure.rows.length}`}
                    {...{ prepared, width, height, mat, index: i }}
                    onPlaced={props.onPlaced as NonNullable<Props['onPlaced']>}
                  />
                ))
              : null}
            <Edge
              label="Width"
              text={`${width.stitches} ${prepared.technique.width.word}, ${widthText(prepared, width, units)}`}
              orientation="horizontal"
              index={widths.findIndex((offer) => offer.stitches === width.stitches)}
              count={widths.length}
              x={mat.originX + lyingWidth(width).mid * mat.scale}
              y={mat.originY - (height.height.mid * mat.scale) / 2}
              onDrag={(x) => {
                const near = nearestNotch(widths, (offer) => lyingWidth(offer).mid, (x - mat.originX) / mat.scale);
                if (near && near.stitches !== width.stitches) onWidth(near);
              }}
            />
            <Edge
              label="Height"
              text={`${height.rows} ${rowWord(prepared)}, ${lengthText(height.height, units)}`}
              orientation="vertical"
              index={heights.findIndex((offer) => offer.rows === height.rows)}
              count={heights.length}
              x={mat.originX + (lyingWidth(width).mid * mat.scale) / 2}
              y={mat.originY - height.height.mid * mat.scale}
              onDrag={(_x, y) => {
                const near = nearestNotch(heights, (offer) => offer.height.mid, (mat.originY - y) / mat.scale);
                if (near && near.rows !== height.rows) onHeight(near);
              }}
            />
          </div>
        </>
      ) : null}
    </div>
  );
}

/** A size on a tape; from a metre on there is room for whole centimetres only. */
function notchLabel(mm: number, units: ToldUnit): string {
  return units === 'cm' && mm >= 999.5 ? String(Math.round(mm / 10)) : lengthNumber(mm, units);
}

/** The width, both of them where it is a tube. */
function widthText({ wish }: Prepared, { width, tube }: WidthOffer, units: ToldUnit): string {
  return tube ? tubeText(tube, measureOf(wish), units) : lengthText(width, units);
}

/** The wished width as the cloth lies, mm; nothing where the wish is a count. */
function wishedFlat({ width: wished }: Prepared, offer: WidthOffer): number | undefined {
  if (wished.by !== 'length') return undefined;
  return (wished.mm * lyingWidth(offer).mid) / offer.width.mid;
}

/** What heights count. */
export function rowWord({ bound }: Prepared): string {
  const { made } = bound.pattern;
  if (made === 'diagonals') return 'blocks';
  return made === 'rounds' || made === 'turned-rounds' ? 'rounds' : 'rows';
}

function choose<T>(offers: readonly T[], isIt: (offer: T) => boolean, take: (offer: T) => void): void {
  const found = offers.find(isIt);
  if (found) take(found);
}

/** The wish in mm, or the chosen size where the wish is a count; the same object while nothing changes. */
function wishedSize(prepared: Prepared, width: WidthOffer, height: HeightOffer): { width: number; height: number } {
  const across = wishedFlat(prepared, width) ?? 0;
  const up = prepared.height.by === 'length' ? prepared.height.mm : 0;
  const key = `${across || lyingWidth(width).mid} ${up || height.height.mid}`;
  const known = wishes.get(key);
  if (known) return known;
  const made = { width: across || lyingWidth(width).mid, height: up || height.height.mid };
  if (wishes.size > 50) wishes.clear();
  wishes.set(key, made);
  return made;
}
const wishes = new Map<string, { width: number; height: number }>();

function sizeCanvas(canvas: HTMLCanvasElement, mat: MatGeometry, dpr: number): void {
  const [width, height] = [Math.round(mat.width * dpr), Math.round(mat.height * dpr)];
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
}

const Ground = memo(function Ground({ mat, units }: { mat: MatGeometry; units: ToldUnit }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    if (!canvas.current || !ctx) return;
    const dpr = window.devicePixelRatio || 1;
    sizeCanvas(canvas.current, mat, dpr);
    paintMat(ctx, mat, units, dpr);
  }, [mat, units]);
  return (
    <canvas ref={canvas} aria-hidden className="absolute inset-0" style={{ width: mat.width, height: mat.height }} />
  );
});

function Cloth(props: Props & { mat: MatGeometry; wish: { width: number; height: number } }) {
  const { mat, width, height, prepared } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const drawn = useClothPicture(props);
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    if (!canvas.current || !ctx) return;
    const dpr = window.devicePixelRatio || 1;
    sizeCanvas(canvas.current, mat, dpr);
    const crop = drawn && cropOf(drawn, width.stitches, height.rows);
    const { border, strap } = prepared.finish;
    const rim = border ? border.rounds * prepared.sc.height.mid : 0;
    const frame = requestAnimationFrame(() =>
      paintClothOnMat(
        ctx,
        mat,
        {
          picture: drawn?.picture,
          crop,
          round: prepared.technique.circle === true,
          rim,
          behind: Math.min(2, prepared.wish.pieces - 1),
          strap: strap && { drop: strap.drop, width: strap.width, shade: prepared.yarns[strap.colour]?.shade },
          rimShade: border ? prepared.yarns[border.colour]?.shade : undefined,
          width: lyingWidth(width).mid,
          base: drawn?.base && { picture: drawn.base, across: width.tube?.diameter.mid ?? 0 },
          height: height.height.mid,
          widthRange: [lyingWidth(width).low, lyingWidth(width).high],
          heightRange: [height.height.low, height.height.high],
          wishWidth: wishedFlat(prepared, width),
          wishHeight: prepared.height.by === 'length' ? prepared.height.mm : undefined,
          tolerance: prepared.tolerance,
        },
        dpr,
      ),
    );
    return () => cancelAnimationFrame(frame);
  }, [mat, width, height, prepared, drawn]);
  return (
    <canvas ref={canvas} aria-hidden className="absolute inset-0" style={{ width: mat.width, height: mat.height }} />
  );
}

/** The part of a picture that is the cloth of the size given, px. */
function cropOf({ picture, stitches, rows, hand, anew }: DrawnCloth, across: number, up: number): ClothOnMat['crop'] {
  if (anew) return { x: 0, y: 0, width: picture.width, height: picture.height };
  const [cellWidth, cellHeight] = [picture.width / stitches, picture.height / rows];
  return {
    x: hand === 'right' ? (stitches - across) * cellWidth : 0,
    y: (rows - up) * cellHeight,
    width: across * cellWidth,
    height: up * cellHeight,
  };
}

const measureWords = { flat: 'flat', around: 'around', diameter: 'across' } as const;

/** What the chalk outline is, in words beside it. */
function WishLabel({
  mat,
  prepared,
  width,
  height,
  units,
}: Pick<Props, 'prepared' | 'width' | 'height' | 'units'> & { mat: MatGeometry }) {
  const { width: across, height: up, technique } = prepared;
  const round = technique.circle === true;
  if (across.by !== 'length' || up.by !== 'length') return null;
  const right = Math.max(wishedFlat(prepared, width) ?? 0, lyingWidth(width).high) * mat.scale;
  const top = mat.originY - up.mm * mat.scale;
  const roomRight = mat.width - mat.originX - right > 120;
  const place = roomRight
    ? { left: mat.originX + right + 10, top: Math.max(4, top - 4) }
    : { left: mat.originX + 4, top: Math.max(2, Math.min(top, mat.originY - height.height.high * mat.scale) - 22) };
  return (
    <p className="pointer-events-none absolute rounded-sm bg-mat/80 px-1 text-[14px] text-chalk" style={place}>
      asked for {lengthNumber(across.mm, units)}
      {round ? '' : ` × ${lengthNumber(up.mm, units)}`} {unitWord(units)}
      {round ? ' across' : ''}
      {width.tube ? ` (${measureWords[measureOf(prepared.wish)]})` : ''}
    </p>
  );
}
