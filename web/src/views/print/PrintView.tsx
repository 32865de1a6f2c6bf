import { type PrintPart, printPartNames, printParts, printSaid } from '@puntada/core/words';
import { useId, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { problemsOf, useWorkQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { Pages } from '../../parts/Pages.tsx';
import { PdfLinks } from '../../parts/PdfLinks.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { Waiting } from '../../parts/Waiting.tsx';
import { FilesPart } from './FilesPart.tsx';

const usual: readonly PrintPart[] = ['cover', 'before', 'rows', 'chart', 'finish', 'yarn'];

/** Points of the large print. */
const points = [18, 20, 22, 24, 26, 28, 30] as const;

/** A project on paper: what is on it at the side, every page as it will be beside it. */
export default function PrintView() {
  const { id = '' } = useParams();
  const { data: work, error } = useWorkQuery(id);
  const [parts, setParts] = useState<readonly PrintPart[]>(usual);
  const [paper, setPaper] = useState<'A4' | 'LETTER' | 'A3' | 'A2'>('A4');
  const [way, setWay] = useState<'portrait' | 'landscape'>('portrait');
  const [chart, setChart] = useState<'colours' | 'letters'>('colours');
  const [boxes, setBoxes] = useState(true);
  const [strands, setStrands] = useState(false);
  const [grouped, setGrouped] = useState(false);
  const [point, setPoint] = useState(22);
  const address = useMemo(() => {
    const flag = (on: boolean) => (on ? '1' : '0');
    const query = new URLSearchParams({
      parts: printParts.filter((part) => parts.includes(part)).join(','),
      paper,
      way,
      chart,
      boxes: flag(boxes),
      strands: flag(strands),
      grouped: flag(grouped),
      point: String(point),
    });
    return `/api/works/${id}/print.pdf?${query}`;
  }, [id, parts, paper, way, chart, boxes, strands, grouped, point]);
  return (
    <>
      <Head title={work?.wish.title ?? 'Print'} page="Print" under={printSaid.printChooseWhatGoes}>
        <ButtonLink to={`/works/${id}/labels`}>Labels</ButtonLink>
        <ButtonLink to={`/works/${id}/rows`}>{printSaid.backToRows}</ButtonLink>
      </Head>
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1440px] items-start gap-8 px-6 pt-5 pb-12 lg:grid-cols-[300px_minmax(0,1fr)]"
      >
        {error ? <Problems problems={problemsOf(error)} /> : null}
        {work ? (
          <>
            <section aria-label="What is printed" className="grid gap-4">
              {parts.length ? (
                <PdfLinks address={address} />
              ) : (
                <p className="min-h-11 text-[15px] text-brick">Choose at least one part.</p>
              )}
              <fieldset>
                <legend className="label">On paper</legend>
                {printParts.map((part) => (
                  <Tick
                    key={part}
                    label={printPartNames[part]}
                    on={parts.includes(part)}
                    onChange={(on) => setParts(on ? [...parts, part] : parts.filter((each) => each !== part))}
                  />
                ))}
              </fieldset>
              <Choice
                above="Paper"
                small
                label="Paper"
                value={paper}
                options={[
                  { value: 'A4', words: 'A4' },
                  { value: 'LETTER', words: 'US Letter' },
                  { value: 'A3', words: 'A3' },
                  { value: 'A2', words: 'A2' },
                ]}
                onChange={setPaper}
              />
              <Choice
                small
                label="Which way"
                value={way}
                options={[
                  { value: 'portrait', words: 'Upright' },
                  { value: 'landscape', words: 'Across' },
                ]}
                onChange={setWay}
              />
              {parts.includes('rows') ? (
                <fieldset>
                  <legend className="label">Rows</legend>
                  <Tick label={printSaid.boxToTickAt} on={boxes} onChange={setBoxes} />
                  <Tick label="Rows that come again told once" on={grouped} onChange={setGrouped} />
                  {grouped ? null : <Tick label={printSaid.withOrdersStrands} on={strands} onChange={setStrands} />}
                </fieldset>
              ) : null}
              {parts.includes('chart') ? (
                <Choice
                  above="Chart"
                  small
                  label={printSaid.howChartPrinted}
                  value={chart}
                  options={[
                    { value: 'colours', words: 'In colours' },
                    { value: 'letters', words: printSaid.forBlackPrinter },
                  ]}
                  onChange={setChart}
                />
              ) : null}
              {parts.includes('large') ? (
                <SelectField
                  label={printSaid.sizeLargePrint}
                  value={String(point)}
                  onChange={(size) => setPoint(Number(size))}
                >
                  {points.map((size) => (
                    <option key={size} value={size}>
                      {size} points
                    </option>
                  ))}
                </SelectField>
              ) : null}
              <FilesPart work={work} />
            </section>
            {parts.length ? <Pages address={address} /> : null}
          </>
        ) : error ? null : (
          <Waiting words="Opening your project…" />
        )}
      </main>
    </>
  );
}

function Tick({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  const id = useId();
  return (
    <label htmlFor={id} className="flex min-h-11 cursor-pointer items-center gap-2 text-[16px]">
      <input
        id={id}
        type="checkbox"
        className="size-5 accent-ink"
        checked={on}
        onChange={({ target }) => onChange(target.checked)}
      />
      {label}
    </label>
  );
}
