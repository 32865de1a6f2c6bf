import { decimal, type Problem } from '@puntada/core/craft';
import { type LabelPrinterState, type LabelWish, type Strip, stripDots, type Work } from '@puntada/core/records';
import { labelsSaid } from '@puntada/core/words';
import { useEffect, useRef, useState } from 'react';
import { problemsOf, usePreferences } from '../../api/api.ts';
import { useLabelPrinterQuery, usePrintStripMutation, useTouchPrinterMutation } from '../../api/labelPrinter.ts';
import { announce } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { planner } from '../../worker/planner.ts';
import { pictureOf, rasterOf } from './raster.ts';

/** mm of a new roll. */
const newRoll = 12_000;

async function bitmapOf(picture: string): Promise<ImageBitmap> {
  const image = new Image();
  image.src = picture;
  await image.decode();
  return createImageBitmap(image);
}

/** The label as a strip from a label printer, and the practice one that ships with Puntada. */
export function Printer({ work, wish, picture }: { work: Work; wish: LabelWish; picture: string }) {
  const { told } = usePreferences();
  const { data: state } = useLabelPrinterQuery();
  const [print, printing] = usePrintStripMutation();
  const [touch, touching] = useTouchPrinterMutation();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const send = async () => {
    const label = await planner.label(work, told, wish);
    setProblems(label.ok ? [] : label.problems);
    if (!label.ok) return;
    const own = picture ? await bitmapOf(picture) : undefined;
    const answer = await print(await rasterOf(label.value, own));
    if (answer.data) announce(labelsSaid.stripPrinted);
  };
  return (
    <section aria-label={labelsSaid.asStrip} className="grid gap-4">
      <h2 className="border-b border-ink pb-1 text-[19px]">{labelsSaid.asStrip}</h2>
      <p className="flex flex-wrap items-center gap-3">
        <Button onClick={() => void send()} disabled={printing.isLoading}>
          Print a strip
        </Button>
        <span className="text-[15px] text-soft">{state ? stateWords(state) : '…'}</span>
      </p>
      <Problems problems={[...problems, ...problemsOf(printing.error ?? touching.error)]} />
      {state?.strip ? (
        <StripPicture strip={state.strip} />
      ) : (
        <p className="text-[15px] text-soft">{labelsSaid.noStripYet}</p>
      )}
      {state ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5 text-[15px] underline underline-offset-4">
            {labelsSaid.practicePrinter}
          </summary>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => void touch({ cover: state.cover === 'open' ? 'closed' : 'open' })}>
              {state.cover === 'open' ? 'Close its cover' : 'Open its cover'}
            </Button>
            <Button onClick={() => void touch({ paper: state.paper > 0 ? 0 : newRoll })}>
              {state.paper > 0 ? 'Take its roll out' : labelsSaid.putRollIn}
            </Button>
            <Button onClick={() => void touch({ online: !state.online })}>
              {state.online ? 'Pull its cable' : labelsSaid.plugItIn}
            </Button>
          </div>
        </details>
      ) : null}
    </section>
  );
}

function stateWords({ online, cover, paper }: LabelPrinterState): string {
  if (!online) return labelsSaid.notConnected;
  if (cover === 'open') return labelsSaid.coverIsOpen;
  return paper > 0 ? labelsSaid.paperLeft(decimal(paper / 1000, 1)) : labelsSaid.outOfPaper;
}

/** The strip as it came out, dot for dot. */
function StripPicture({ strip }: { strip: Strip }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.putImageData(pictureOf(strip), 0, 0);
  }, [strip]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={labelsSaid.stripThatCame}
      width={stripDots}
      height={strip.rows}
      className="block h-auto max-h-[420px] w-auto max-w-full border border-edge"
    />
  );
}
