import { type Problem, type Result, sidesOf } from '@puntada/core/craft';
import { courseWord, finishedFigure, tubeText, wishSaid } from '@puntada/core/words';
import { useEffect, useRef } from 'react';
import { useFormContext } from 'react-hook-form';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Craft, useProblemWords } from '../../parts/Craft.tsx';
import { faceOf, liesDouble } from '../../parts/cloth/clothLayout.ts';
import { paintBorder, paintRing, paintStrap, paintUnder } from '../../parts/cloth/paintOutfit.ts';
import { Figure } from '../../parts/Figure.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { easel } from '../../worker/painter.ts';
import type { Lying } from '../../worker/painter.worker.ts';
import type { PreviewFigures } from '../../worker/preview.ts';
import type { WishFormValues } from './wishForm.ts';

const box = { width: 372, height: 330 };

interface Props {
  readonly answer: Result<PreviewFigures> | undefined;
  readonly values: WishFormValues;
  /** It is on the hook, and no longer only wished for. */
  readonly begun: boolean;
}

/** What the wish would come to: the nearest size, drawn to proportion, or what is still in its way. */
export function Preview({ answer, values, begun }: Props) {
  const words = useProblemWords();
  const { hand, told } = usePreferences();
  const canvas = useRef<HTMLCanvasElement>(null);
  const plan = answer?.ok ? answer.value : undefined;
  const shades = values.yarns.map((yarn) => yarn.shade).join();
  useEffect(() => {
    const element = canvas.current;
    const ctx = element?.getContext('2d');
    if (!element || !ctx) return;
    const dpr = window.devicePixelRatio || 1;
    const clear = () => {
      element.width = box.width * dpr;
      element.height = box.height * dpr;
      ctx.fillStyle = '#16382f';
      ctx.fillRect(0, 0, element.width, element.height);
    };
    if (!plan) return clear();
    const { cloth, fabric, strap, ring, border } = plan;
    const rim = 2 * (border?.depth ?? 0);
    const room = 34;
    const sides = sidesOf(fabric);
    // What stands over the cloth takes room too, and the circle below it.
    const above = (strap ? strap.drop + strap.width : 0) + (ring ?? 0) / 3;
    const below = plan.tube && fabric.courses > sides.courses ? plan.tube.widths.diameter.mid : 0;
    const scale =
      Math.min((box.width - room) / (cloth.width + rim), (box.height - room) / (cloth.height + rim + above + below)) *
      dpr;
    const [w, h] = [cloth.width * scale, cloth.height * scale];
    const face = faceOf(sides);
    const own = shades.split(',');
    // A tube lies double: half of its round is seen.
    const perStitch = (liesDouble(fabric) ? 2 : 1) * (w / face.across);
    const look = { shades: own, hand, perStitch, perRow: h / face.up, across: below * scale };
    let current = true;
    // The wish's size is drawn whole, whatever of it is seen when it is worn or laid flat.
    void easel.fitted(fabric, look).then((lying) => {
      if (!current) return;
      clear();
      layWithBorder(ctx, plan, own, lying, { w, h, scale, dpr, above, below });
    });
    return () => {
      current = false;
    };
  }, [plan, shades, hand]);
  const first = answer && !answer.ok ? answer.problems[0] : undefined;
  return (
    <section aria-label="What you get" className="pt-6">
      <canvas
        ref={canvas}
        aria-hidden
        className="block max-w-full rounded-md"
        style={{ width: box.width, height: box.height }}
      />
      <div className="mt-3 min-h-[74px]" aria-live="polite">
        {plan ? (
          <>
            <p className="text-[15px] text-soft">{begun ? wishSaid.whatOnHook : wishSaid.closestSizeThisPattern}</p>
            <p className="mt-0.5 leading-tight">
              <Figure of={finishedFigure(plan.width, plan.height, told, plan.round)} className="text-[21px]" />
            </p>
            {plan.tube ? <p className="text-[15px]">{tubeText(plan.tube.widths, plan.tube.measure, told)}</p> : null}
            <p className="text-[15px]">
              {plan.chains ? (
                <>
                  <span className="count">{plan.chains}</span> chains,{' '}
                </>
              ) : null}
              <span className="count">{plan.fabric.courses}</span> {courseWord(plan.fabric.making).toLowerCase()}s
            </p>
            {plan.cautions.map((caution) => (
              <p
                key={caution}
                className="mt-2 border-l-4 border-ochre bg-ochre-pale px-2.5 py-1.5 text-[14px] leading-snug"
              >
                <span aria-hidden>△ </span>
                <Craft>{caution}</Craft>
              </p>
            ))}
          </>
        ) : null}
        {first ? (
          <>
            <p className="text-[15px] text-brick">
              <span aria-hidden>✕ </span>
              {words(first).message} <span className="text-ink">{words(first).hint}</span>
            </p>
            <WayOut problem={first} />
          </>
        ) : null}
      </div>
    </section>
  );
}

/** The same in a line, for the bar of a small screen: a piece of it, its size and its chains. */
export function PreviewLine({ answer, values }: Pick<Props, 'answer' | 'values'>) {
  const { told } = usePreferences();
  const plan = answer?.ok ? answer.value : undefined;
  const { key, numbers, stitch } = values.pattern;
  return (
    <>
      <PatternPicture
        pattern={key}
        numbers={numbers}
        stitch={stitch}
        shades={values.yarns.map(({ shade }) => shade)}
        side={44}
      />
      <p className="min-w-0 flex-1 text-[15px] leading-tight">
        {plan ? (
          <>
            <Figure of={finishedFigure(plan.width, plan.height, told, plan.round)} className="text-[16px]" />
            <span className="block text-soft">{plan.chains ? `${plan.chains} chains` : wishSaid.beginsWithRing}</span>
          </>
        ) : answer ? (
          <span className="text-brick">✕ not possible yet</span>
        ) : (
          ''
        )}
      </p>
    </>
  );
}

/** The counts that would do instead of a refused one, and the ending that would take it, each a press away. */
function WayOut({ problem }: { problem: Problem }) {
  const { setValue, watch } = useFormContext<WishFormValues>();
  const { instead, anywhere, code } = problem;
  if (!instead?.length) return null;
  const up = code === 'rows-illegal';
  const take = (count: number) => {
    if (up) setValue('height.by', 'rows', { shouldDirty: true });
    else setValue('width.by', watch('width.by') === 'chain' ? 'chain' : 'stitches', { shouldDirty: true });
    setValue(up ? 'height.count' : 'width.count', String(count), { shouldDirty: true, shouldValidate: true });
  };
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {instead.map((count) => (
        <Button key={count} onClick={() => take(count)}>
          Use {count}
        </Button>
      ))}
      {up && anywhere !== undefined ? (
        <Button kind="quiet" onClick={() => setValue('ending', 'any', { shouldDirty: true })}>
          {wishSaid.letItStopAt}
        </Button>
      ) : null}
    </div>
  );
}

/** The piece as it will be used, strap, ring and the other panels along, in the middle of the box, with its shadow. */
function layWithBorder(
  ctx: CanvasRenderingContext2D,
  { border, round, behind, strap, ring }: PreviewFigures,
  shades: readonly string[],
  { picture, base }: Lying,
  {
    w,
    h,
    scale,
    dpr,
    above,
    below,
  }: { w: number; h: number; scale: number; dpr: number; above: number; below: number },
): void {
  const rim = border ? border.depth * scale : 0;
  const x = (ctx.canvas.width - w) / 2;
  const y = (ctx.canvas.height - h + (above - below) * scale) / 2;
  const place = { x: x - rim, y: y - rim, width: w + 2 * rim, height: h + 2 * rim };
  if (!round) {
    ctx.fillStyle = 'rgb(0 0 0 / 0.3)';
    ctx.fillRect(x - rim + 3 * dpr, y - rim + 4 * dpr, w + 2 * rim, h + 2 * rim);
  }
  if (strap) paintStrap(ctx, { ...strap, shade: shades[strap.colour] }, place, scale);
  paintUnder(ctx, behind, round, place, dpr);
  if (border) paintBorder(ctx, border, shades, { x, y, width: w, height: h }, rim, round);
  ctx.drawImage(picture, x, y, w, h);
  if (base) ctx.drawImage(base, (ctx.canvas.width - below * scale) / 2, y + h, below * scale, below * scale);
  if (ring) paintRing(ctx, ring, shades[0] ?? '#888888', place, scale);
}
