import { type StitchKey, stitchKinds, techniques } from '@puntada/core/craft';
import { glossary, stitchWord, type Terms, techniqueWords, wordsSaid } from '@puntada/core/words';
import { type ReactNode, useEffect, useRef } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Craft } from '../../parts/Craft.tsx';
import { stitchTile } from '../../parts/cloth/stitchTile.ts';
import { inTurn } from '../../parts/inTurn.ts';
import { TermDrawing } from '../../parts/terms/TermDrawing.tsx';

/** The words of the craft as Puntada uses them: every stitch in both terminologies, drawn, and the terms around it. */
export default function WordsView() {
  const { terms: own } = usePreferences();
  const other = own === 'US' ? 'UK' : 'US';
  return (
    <>
      <Head title="Glossary" under={wordsSaid.stitchNamesInUs} />
      <Shelves />
      <main id="main" className="mx-auto w-full max-w-[1180px] px-6 pt-5 pb-12">
        <h2 className="border-b border-ink pb-1 text-[19px]">{wordsSaid.stitchesAndWhereTo}</h2>
        <ul className="grid gap-x-8 md:grid-cols-2">
          {stitchKinds.map((kind) => (
            <li
              key={kind.key}
              id={kind.key}
              className="grid grid-cols-[64px_minmax(0,1fr)] gap-4 border-b border-rule py-3"
            >
              <StitchDrawing stitch={kind.key} />
              <div className="min-w-0">
                <p className="text-[17px]">
                  <b className="font-mono">{stitchWord(kind.key, own)}</b> {stitchWord(kind.key, own, 'whole')}
                </p>
                <OtherTerms of={other}>
                  <span className="font-mono">{stitchWord(kind.key, other)}</span>{' '}
                  {stitchWord(kind.key, other, 'whole')}
                </OtherTerms>
              </div>
            </li>
          ))}
        </ul>
        <h2 className="mt-9 border-b border-ink pb-1 text-[19px]">Terms</h2>
        <dl className="grid gap-x-8 md:grid-cols-2">
          {glossary.map(({ term, means, uk }) => (
            <div
              key={term}
              id={term.replaceAll(' ', '-')}
              className="grid grid-cols-[96px_minmax(0,1fr)] gap-x-4 border-b border-rule py-3"
            >
              <dt className="col-start-2 text-[17px] font-semibold">{own === 'UK' ? (uk ?? term) : term}</dt>
              <dd className="col-start-2 text-[16px]">
                <p>
                  <Craft>{means}</Craft>
                </p>
                {uk ? <OtherTerms of={other}>{own === 'UK' ? term : uk}</OtherTerms> : null}
              </dd>
              <dd className="col-start-1 row-span-2 row-start-1">
                <TermDrawing term={term} />
              </dd>
            </div>
          ))}
        </dl>
        <h2 className="mt-9 border-b border-ink pb-1 text-[19px]">Techniques</h2>
        <dl>
          {techniques.map((technique) => (
            <div
              key={technique.key}
              className="grid gap-x-6 border-b border-rule py-3 md:grid-cols-[220px_minmax(0,1fr)]"
            >
              <dt className="text-[17px] font-semibold">
                <Craft>{techniqueWords(technique.key).name}</Craft>
              </dt>
              <dd className="grid gap-1 text-[16px]">
                <p>
                  <Craft>{techniqueWords(technique.key).height}</Craft>
                </p>
                <p>
                  <Craft>{techniqueWords(technique.key).change}</Craft>
                </p>
                <p>
                  <Craft>{techniqueWords(technique.key).idle}</Craft>
                </p>
                <p>
                  <Craft>{techniqueWords(technique.key).lookOver}</Craft>
                </p>
              </dd>
            </div>
          ))}
        </dl>
      </main>
    </>
  );
}

/** What a thing is called in the terms that are not the maker's own. */
function OtherTerms({ of, children }: { of: Terms; children: ReactNode }) {
  return (
    <p data-terms={of} className="text-[15px] text-soft">
      {of} {children}
    </p>
  );
}

const side = 64;

/** One stitch of the cloth, large. */
function StitchDrawing({ stitch }: { stitch: StitchKey }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current;
    const ctx = element?.getContext('2d');
    if (!element || !ctx) return;
    const dpr = window.devicePixelRatio || 1;
    const size = Math.round(side * dpr);
    element.width = size;
    element.height = size;
    return inTurn(() => {
      ctx.fillStyle = '#a8895a';
      ctx.fillRect(0, 0, size, size);
      ctx.drawImage(stitchTile(stitch, 'RS', '#e9dfc4', size, size), 0, 0, size, size, 0, 0, size, size);
    });
  }, [stitch]);
  return <canvas ref={canvas} aria-hidden className="rounded-sm" style={{ width: side, height: side }} />;
}
