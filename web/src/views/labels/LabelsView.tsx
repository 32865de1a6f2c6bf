import { numberOrText } from '@puntada/core/craft';
import { type LabelKind, type LabelWish, labelKinds, type Work } from '@puntada/core/records';
import { labelNames, labelsSaid } from '@puntada/core/words';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { problemsOf, useWorkQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { FileField } from '../../parts/FileField.tsx';
import { Pages } from '../../parts/Pages.tsx';
import { PdfLinks } from '../../parts/PdfLinks.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { Waiting } from '../../parts/Waiting.tsx';
import { Printer } from './Printer.tsx';
import { useMark } from './useMark.ts';

/** The labels of a project: made from what it knows, on sheets to be cut or from a label printer. */
export default function LabelsView() {
  const { id = '' } = useParams();
  const { data: work, error } = useWorkQuery(id);
  return (
    <>
      <Head title={work?.wish.title ?? 'Labels'} under={labelsSaid.bandsTagsCare}>
        <ButtonLink to={`/works/${id}/finish`}>Finishing</ButtonLink>
      </Head>
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1440px] items-start gap-8 px-6 pt-5 pb-12 lg:grid-cols-[320px_minmax(0,1fr)]"
      >
        {error ? <Problems problems={problemsOf(error)} /> : null}
        {work ? <Labels work={work} /> : error ? null : <Waiting words="Opening your project…" />}
      </main>
    </>
  );
}

function Labels({ work }: { work: Work }) {
  const [kind, setKind] = useState<LabelKind>('tag');
  const [together, setTogether] = useState(String(Math.min(3, Math.max(1, work.wish.pieces))));
  const mark = useMark();
  const [price, setPrice] = useState('');
  const [count, setCount] = useState('8');
  const [paper, setPaper] = useState<'A4' | 'LETTER'>('A4');
  const many = numberOrText(count);
  const good = typeof many === 'number' && Number.isInteger(many) && many >= 1 && many <= 200;
  const wish = useMemo(
    (): LabelWish => ({
      kind,
      together: Number(together),
      mark: mark.text.trim(),
      picture: mark.name,
      price: price.trim(),
    }),
    [kind, together, mark.text, mark.name, price],
  );
  const query = new URLSearchParams({ ...wish, together, count: good ? String(many) : '8', paper });
  const address = `/api/works/${work.id}/labels.pdf?${query}`;
  return (
    <>
      <div className="grid gap-7">
        <section aria-label="The label" className="grid gap-4">
          <Choice
            above="Label"
            small
            label="Label"
            value={kind}
            options={labelKinds.map((value) => ({ value, words: labelNames[value] }))}
            onChange={setKind}
          />
          {kind === 'band' ? (
            <SelectField label={labelsSaid.howManyTogether} value={together} onChange={setTogether}>
              <option value="1">one</option>
              <option value="2">a pair</option>
              <option value="3">three</option>
            </SelectField>
          ) : null}
          <TextField label={labelsSaid.yourMark} value={mark.text} onChange={mark.setText} maxLength={40} />
          <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
            {mark.picture ? (
              <img
                src={mark.picture}
                alt={labelsSaid.yourMarkPicture}
                className="h-14 max-w-[120px] rounded-sm border border-rule bg-white object-contain p-1"
              />
            ) : null}
            <FileField
              label={mark.picture ? labelsSaid.anotherPicture : labelsSaid.pictureAsMark}
              accept="image/png,image/jpeg,image/webp"
              className="text-[15px]"
              onFile={(file) => void mark.take(file)}
            />
            {mark.picture ? (
              <Button kind="quiet" onClick={mark.drop}>
                {labelsSaid.withoutPicture}
              </Button>
            ) : null}
          </div>
          <Problems problems={mark.problems} />
          {kind === 'band' || kind === 'care' ? null : (
            <TextField label={labelsSaid.priceWithCurrency} value={price} onChange={setPrice} maxLength={20} />
          )}
          <p className="text-[14px] text-soft">{labelsSaid.localLaw}</p>
        </section>
        <section aria-label={labelsSaid.sheetsWithCutMarks} className="grid gap-4">
          <h2 className="border-b border-ink pb-1 text-[19px]">{labelsSaid.sheetsWithCutMarks}</h2>
          <TextField
            label={labelsSaid.howManyLabels}
            value={count}
            onChange={setCount}
            inputMode="numeric"
            className="count"
            wrong={good ? undefined : labelsSaid.typeCountTo200}
          />
          <Choice
            above="Paper"
            small
            label="Paper"
            value={paper}
            options={[
              { value: 'A4', words: 'A4' },
              { value: 'LETTER', words: 'US Letter' },
            ]}
            onChange={setPaper}
          />
          <PdfLinks address={address} />
        </section>
        <Printer work={work} wish={wish} picture={mark.picture} />
      </div>
      <Pages address={address} />
    </>
  );
}
