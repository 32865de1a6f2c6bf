import { type Printed, printLength, type ToldUnit } from '@puntada/core/craft';
import {
  canEndAsBegun,
  type HeightOffer,
  measureOf,
  type Prepared,
  type Sizes,
  sidesOff,
  sizeWorkings,
  type TubeMeasure,
  type TubeSize,
  type WidthOffer,
  type Working,
  type YarnNeed,
  type YarnWorkings,
} from '@puntada/core/plan';
import type { PrintedWorking } from '@puntada/core/records';
import {
  anyMultipleText,
  arithmeticWords,
  ballsFigure,
  chanceText,
  differenceFigure,
  enoughWords,
  foundationWords,
  hoursText,
  lengthFigure,
  matSaid,
  metresFigure,
  oneOf,
  printedWorking,
  shortMultiple,
  sourceWords,
  upper,
  upWord,
} from '@puntada/core/words';
import type { ReactNode } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Craft } from '../../parts/Craft.tsx';
import { Figure, plain } from '../../parts/Figure.tsx';
import { Term } from '../../parts/terms/Term.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { YarnChip, yarnClass, yarnStyle } from '../../parts/YarnChip.tsx';
import type { PieceFigures } from '../../worker/ofSizes.ts';

interface Props {
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly figures: PieceFigures | undefined;
  readonly units: ToldUnit;
}

/** Every number of the chosen size, and where it comes from. */
export function Ticket({ prepared, sizes, width, height, figures, units }: Props) {
  const { foundation, technique } = prepared;
  const { made } = prepared.bound.pattern;
  const { pieces } = prepared.wish;
  const round = technique.circle === true;
  const edgePost = prepared.bound.cell === 'hdc@between';
  const together = pieces > 1 ? matSaid.allTogetherAsYarn(pieces) : undefined;
  const off = sidesOff(prepared, { width, height });
  const allowed = matSaid.furtherOffThanYouAllow(printLength(prepared.tolerance ?? 0, units));
  const rowsWord = upWord(made);
  const { terms } = usePreferences();
  const print = (working: Working | undefined) => working && printedWorking(working, units, terms);
  const size = sizeWorkings({ prepared, width, height });
  const workings = figures?.workings;
  return (
    <section aria-label={matSaid.thisSizeInFigures} className="grid content-start">
      <div className="flex items-end gap-3">
        <p
          className="font-display text-[84px] leading-[0.8] font-bold tracking-tight tabular-nums"
          data-testid="chains"
        >
          <Worked working={print(size.chains)} className="underline-offset-8">
            {width.chains || '○'}
          </Worked>
        </p>
        <p className="pb-0.5 leading-tight">
          <span className="block text-[18px] font-semibold">
            {width.chains ? (
              <Term name="foundation chain" inline>
                chains
              </Term>
            ) : foundation.circle ? (
              'a magic ring'
            ) : (
              'a ring'
            )}{' '}
            {figures ? `in ${figures.beginsIn}` : ''}
          </span>
          <span className="text-[15px] text-soft">
            <Craft>{foundationWords(foundation)}</Craft>
          </span>
        </p>
      </div>
      <Why width={width} height={height} sizes={sizes} />
      <dl>
        <Line
          term={upper(technique.width.word)}
          value={String(width.stitches - (edgePost ? 1 : 0))}
          note={edgePost ? matSaid.andEdgePost : undefined}
          working={print(size.stitches)}
        />
        <Line
          term={upper(rowsWord)}
          value={String(height.rows)}
          working={print(size.rows)}
          note={
            height.asBegun
              ? matSaid.lastMatchesFirst(made === 'diagonals' ? 'row of blocks' : oneOf(rowsWord))
              : prepared.wish.ending === 'as-begun' && !canEndAsBegun(prepared.bound, technique)
                ? matSaid.endsInAnother(made === 'diagonals' ? 'row of blocks' : oneOf(rowsWord))
                : undefined
          }
        />
        <Line
          term={round ? 'Diameter' : widthTerm(prepared, width)}
          value={lengthFigure(width.width, units)}
          working={print(size.width)}
          note={wishNote(prepared.width.by, width.width, width.difference, units)}
          off={off.includes('width') ? allowed : undefined}
        />
        {width.tube ? (
          <SecondWidth
            of={width.tube}
            measure={measureOf(prepared.wish)}
            units={units}
            working={print(size.otherWidth)}
          />
        ) : null}
        {round ? null : (
          <Line
            term={foundation.circle ? matSaid.heightSides : 'Height'}
            value={lengthFigure(height.height, units)}
            working={print(size.height)}
            note={wishNote(prepared.height.by, height.height, height.difference, units)}
            off={off.includes('height') ? allowed : undefined}
          />
        )}
      </dl>
      {prepared.wish.wash ? (
        <p className="pt-1.5 text-[14px] text-soft">{matSaid.afterWash(prepared.wish.wash)}</p>
      ) : null}
      <ul className="border-b border-rule" aria-busy={!figures}>
        {prepared.yarns.map((yarn, i) => (
          <YarnLine
            key={yarn.letter}
            yarn={yarn}
            need={figures?.yarn[i]}
            workings={workings?.yarn[i]}
            print={print}
            stitches={figures?.share[i]}
            counted={figures?.counted ?? 'stitches'}
            of={figures ? figures.share.reduce((sum, count) => sum + count, 0) : 1}
            units={units}
            each={pieces > 1 ? ' per piece' : ''}
          />
        ))}
      </ul>
      <dl>
        <Line
          term={<Term name="end">{matSaid.endsToWeaveIn}</Term>}
          value={figures ? String(figures.ends) : '…'}
          working={print(workings?.ends)}
          note={together}
        />
        <Line
          term="Time"
          value={figures ? hoursText(figures.time) : '…'}
          working={print(workings?.time)}
          note={prepared.wish.pace ? 'at your pace' : matSaid.atAveragePaceYours}
        />
      </dl>
    </section>
  );
}

const widthTerms: Readonly<Record<TubeMeasure, string>> = {
  flat: 'Width, lying flat',
  around: matSaid.allWayRound,
  diameter: 'Across its circle',
};

function widthTerm({ wish }: Prepared, { tube }: WidthOffer): string {
  return tube ? widthTerms[measureOf(wish)] : 'Width';
}

interface SecondWidthProps {
  readonly of: TubeSize;
  readonly measure: TubeMeasure;
  readonly units: ToldUnit;
  readonly working: PrintedWorking | undefined;
}

/** The other width of a tube: it is wished for one way, and lies or goes round the other. */
function SecondWidth({ of, measure, units, working }: SecondWidthProps) {
  const other = measure === 'around' ? 'flat' : 'around';
  return <Line term={widthTerms[other]} value={lengthFigure(of[other], units)} working={working} />;
}

/** How far from the wish, and where the figure comes from. */
function wishNote(by: string, size: WidthOffer['width'], difference: number, units: ToldUnit): string {
  if (by !== 'length') return sourceWords[size.source];
  const from = size.source === 'typical' ? '' : ` · ${sourceWords[size.source]}`;
  return matSaid.fromWhatYouAsked(differenceFigure(size, difference, units).text, from);
}

/** The arithmetic behind the count, in a line each. */
function Why({ width, height, sizes }: Pick<Props, 'width' | 'height' | 'sizes'>) {
  const { works, alike } = sizes.across.multiples;
  return (
    <div className="mt-3 border-l-4 border-verdigris bg-verdigris-pale px-3 py-2 text-[15px] leading-snug">
      {[...width.why, ...height.why.slice(0, 1)].map(arithmeticWords).map((line) => (
        <p key={line}>{line}</p>
      ))}
      <p className="mt-1 border-t border-verdigris/30 pt-1 text-[14px]">
        {anyMultipleText(works.stitches)} works
        {width.chains ? ` (chain ${shortMultiple(works.chains)})` : ''}.
      </p>
      {alike.stitches.multiple === works.stitches.multiple && alike.stitches.extra === works.stitches.extra ? null : (
        <p className="text-[14px]">
          {width.tube ? (
            matSaid.eachSideStartsRepeat
          ) : (
            <>
              For{' '}
              <Term name="matching edges" inline>
                matching edges
              </Term>
            </>
          )}
          : {shortMultiple(alike.stitches)}
          {width.chains ? ` (chain ${shortMultiple(alike.chains)})` : ''}.
        </p>
      )}
    </div>
  );
}

interface LineProps {
  readonly term: ReactNode;
  readonly value: string | Pick<Printed, 'text' | 'typical'>;
  readonly note?: string | undefined;
  readonly working?: PrintedWorking | undefined;
  /** That it is further off the wish than is allowed. */
  readonly off?: string | undefined;
}

function Line({ term, value, note, off, working }: LineProps) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-b border-rule py-[5px]">
      <dt className="text-[16px]">{term}</dt>
      <dd className="text-right leading-tight">
        <Worked working={working} className="block text-[18px] ml-auto">
          <Figure of={typeof value === 'string' ? plain(value) : value} className="text-[18px]" />
        </Worked>
        {note ? <span className="text-[14px] text-soft">{note}</span> : null}
        {off ? (
          <span className="block text-[14px] text-ochre">
            <span aria-hidden>△ </span>
            {off}
          </span>
        ) : null}
      </dd>
    </div>
  );
}

interface YarnLineProps {
  readonly yarn: Prepared['yarns'][number];
  readonly need: YarnNeed | undefined;
  readonly workings: YarnWorkings | undefined;
  readonly print: (working: Working | undefined) => PrintedWorking | undefined;
  readonly stitches: number | undefined;
  readonly counted: string;
  readonly of: number;
  readonly units: ToldUnit;
  /** Stitches are those of a piece, where there are several; yarn is that of all. */
  readonly each: string;
}

/** One colour: what it takes, and its share of the cloth as a bar of its own yarn. */
function YarnLine({ yarn, need, workings, print, stitches, counted, of, units, each }: YarnLineProps) {
  const share = stitches === undefined ? 0 : stitches / of;
  return (
    <li className="flex items-start gap-3 border-t border-rule py-1.5 first:border-t-0">
      <YarnChip letter={yarn.letter} shade={yarn.shade} size={38} />
      <div className="min-w-0 flex-1">
        <p className="flex items-baseline justify-between gap-2">
          <span className="min-w-0 text-[16px] leading-tight wrap-anywhere">{yarn.name}</span>
          <Worked working={print(workings?.metres)} className="shrink-0">
            <Figure of={need ? metresFigure(need.metres, units) : plain('…')} className="text-[18px]" />
          </Worked>
        </p>
        <p className="flex justify-between gap-2 text-[14px] text-soft">
          <span>
            {stitches ?? '…'} {counted}
            {each}, {Math.round(share * 100)} %
          </span>
          {need?.balls ? <Worked working={print(workings?.balls)}>{ballsFigure(need.balls).text}</Worked> : null}
        </p>
        {need?.drawer ? (
          <p className="text-[14px] text-soft">
            {matSaid.whatYouHave(enoughWords(need.drawer.chance))}{' '}
            <span className="whitespace-nowrap">
              (<Worked working={print(workings?.drawer)}>{chanceText(need.drawer.chance)}</Worked>)
            </span>
          </p>
        ) : null}
        <div className="mt-1 h-2 border border-rule bg-sheet">
          <div
            className={`${yarnClass(yarn.letter)} h-full`}
            style={{ ...yarnStyle(yarn.shade), width: `${share * 100}%` }}
          />
        </div>
      </div>
    </li>
  );
}
