import type { Problem } from '@puntada/core/craft';
import { partsSaid, printSaid } from '@puntada/core/words';
import { GlobalWorkerOptions, getDocument, type PDFDocumentProxy, type PDFPageProxy } from 'pdfjs-dist';
import { useEffect, useRef, useState } from 'react';
import { CopyButton } from './CopyButton.tsx';
import { Problems } from './Problems.tsx';
import { Waiting } from './Waiting.tsx';

let reader: Worker | undefined;

/** The worker that reads documents, hired with the first. */
function needReader(): void {
  if (reader) return;
  reader = new Worker(new URL('pdfjs-dist/build/pdf.worker.min.mjs', import.meta.url), { type: 'module' });
  GlobalWorkerOptions.workerPort = reader;
}

/** ms without a change before the pages are made. */
const rest = 300;

type Read = { readonly pdf: PDFDocumentProxy } | { readonly problems: readonly Problem[] };

/** What was refused, in the words of the answer. */
async function problemsIn(response: Response): Promise<readonly Problem[]> {
  const body: unknown = await response.json().catch(() => undefined);
  const { problems } = (body ?? {}) as { problems?: readonly Problem[] };
  return problems ?? [{ code: 'server-failed', path: '' }];
}

/** Every page of a document as it will be printed. */
export function Pages({ address }: { address: string }) {
  const [read, setRead] = useState<Read>();
  const [busy, setBusy] = useState(true);
  useEffect(() => {
    const stop = new AbortController();
    setBusy(true);
    const timer = setTimeout(async () => {
      try {
        const response = await fetch(address, { signal: stop.signal });
        if (!response.ok) {
          setRead({ problems: await problemsIn(response) });
        } else {
          needReader();
          const data = new Uint8Array(await response.arrayBuffer());
          const pdf = await getDocument({ data, isEvalSupported: false }).promise;
          if (stop.signal.aborted) void pdf.destroy();
          else setRead({ pdf });
        }
      } catch {
        if (!stop.signal.aborted) setRead({ problems: [{ code: 'away', path: '' }] });
      }
      if (!stop.signal.aborted) setBusy(false);
    }, rest);
    return () => {
      stop.abort();
      clearTimeout(timer);
    };
  }, [address]);
  if (!read) return <Waiting words="Setting the pages…" />;
  if ('problems' in read) return <Problems problems={read.problems} />;
  const { pdf } = read;
  return (
    <section aria-label="Pages" aria-busy={busy}>
      <p role="status" className="pb-3 text-[15px] text-soft">
        {busy ? printSaid.settingPagesAnew : pdf.numPages === 1 ? '1 page' : `${pdf.numPages} pages`}
      </p>
      <ol className="flex flex-wrap gap-5">
        {Array.from({ length: pdf.numPages }, (_, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a page is its number
          <li key={`${pdf.fingerprints[0]} ${i}`}>
            <Page pdf={pdf} number={i + 1} old={busy} />
          </li>
        ))}
      </ol>
    </section>
  );
}

const wide = 380;

/** Dots of a page for one point of paper, where it is copied. */
const copied = 2.5;

/** A page as a picture that can be pasted elsewhere. */
async function pngOfPage(pdf: PDFDocumentProxy, number: number): Promise<Blob> {
  const page = await pdf.getPage(number);
  const viewport = page.getViewport({ scale: copied });
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(viewport.width);
  canvas.height = Math.round(viewport.height);
  const context = canvas.getContext('2d') as CanvasRenderingContext2D;
  await page.render({ canvasContext: context, viewport }).promise;
  return new Promise((done, fail) => {
    canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('no picture'))), 'image/png');
  });
}

/** One page, drawn once it comes into sight; paler while another is made in its place. */
function Page({ pdf, number, old }: { pdf: PDFDocumentProxy; number: number; old: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [height, setHeight] = useState(wide * Math.SQRT2);
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    let page: PDFPageProxy | undefined;
    let current = true;
    const draw = async () => {
      page = await pdf.getPage(number);
      const dpr = window.devicePixelRatio || 1;
      const plain = page.getViewport({ scale: 1 });
      const viewport = page.getViewport({ scale: (wide / plain.width) * dpr });
      const context = element.getContext('2d');
      if (!current || !context) return;
      element.width = Math.round(viewport.width);
      element.height = Math.round(viewport.height);
      setHeight(viewport.height / dpr);
      await page.render({ canvasContext: context, viewport }).promise.catch(() => undefined);
    };
    const seen = new IntersectionObserver(
      ([entry]) => {
        if (!entry?.isIntersecting) return;
        seen.disconnect();
        void draw();
      },
      { rootMargin: '400px' },
    );
    seen.observe(element);
    return () => {
      current = false;
      seen.disconnect();
      page?.cleanup();
    };
  }, [pdf, number]);
  return (
    <figure>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Page ${number}`}
        className={`border border-edge bg-white shadow-[0_1px_5px_rgb(43_27_48/0.18)] ${old ? 'opacity-60' : ''}`}
        style={{ width: wide, height, maxWidth: '100%' }}
      />
      <figcaption className="flex items-center justify-between gap-3 text-[14px] text-soft">
        <span className="count">{number}</span>
        <CopyButton words={partsSaid.copyAsPicture(number)} what={() => pngOfPage(pdf, number)} />
      </figcaption>
    </figure>
  );
}
