import {
  fibreWords,
  findPattern,
  hookOrText,
  isWritten,
  type Policy,
  patternBook,
  policies,
  printLength,
  sourceOf,
} from '@puntada/core/craft';
import { leastSide, readShape, type Swatch, swatchSchema } from '@puntada/core/records';
import { policyNames, problemText, swatchesSaid } from '@puntada/core/words';
import { useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { problemsOf, usePreferences } from '../../api/api.ts';
import { useAddSwatchMutation } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Button } from '../../parts/Button.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useOwnId } from '../../parts/useOwnId.ts';
import { useShelf } from '../../parts/useShelf.ts';
import { YarnPicker } from '../../parts/YarnPicker.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';

type YarnOf = Swatch['yarns'][number];

const first = ['#e9dfc4', '#24476b', '#c08a4a', '#2f5a45'];

function plainYarn(letter: string, i: number): YarnOf {
  return { letter, name: `Yarn ${letter}`, shade: first[i] ?? '#888888', weight: 4, fibre: 'cotton' };
}

/** A swatch still to be made: which pattern, which yarns, which hook, and what the idle strand does. */
export default function NewSwatch() {
  const preferences = usePreferences();
  const { units, told } = preferences;
  const navigate = useNavigate();
  const given = (useLocation().state as { swatch?: Partial<Swatch> } | null)?.swatch ?? {};
  const [add, adding] = useAddSwatchMutation();
  const [ownId] = useOwnId();
  const shelf = useShelf();
  const [title, setTitle] = useState(given.title ?? '');
  const [key, setKey] = useState((given.pattern && sourceOf(given.pattern)) || 'block-check');
  const [stitch, setStitch] = useState(given.pattern?.stitch ?? '');
  const [hook, setHook] = useState(given.hook ? String(given.hook) : '5');
  const [policy, setPolicy] = useState<Policy>(given.policy ?? 'carry-always');
  const [yarns, setYarns] = useState<readonly YarnOf[]>(given.yarns ?? [plainYarn('A', 0), plainYarn('B', 1)]);
  const found = findPattern(key);
  const pattern = found.ok ? found.value : patternBook[0];
  const own = useMemo(
    () =>
      pattern?.colours.map((letter, i) => yarns.find((yarn) => yarn.letter === letter) ?? plainYarn(letter, i)) ?? [],
    [pattern, yarns],
  );
  const read = useMemo(
    () =>
      readShape(swatchSchema, {
        title: title || `${pattern?.name}, ${hook} mm`,
        units,
        pattern: {
          ...(isWritten(key) ? { key: pattern?.key, text: key } : { key }),
          ...(pattern?.stitches.includes(stitch) ? { stitch } : {}),
          ...(given.pattern?.numbers && sourceOf(given.pattern) === key ? { numbers: given.pattern.numbers } : {}),
        },
        hook: hookOrText(hook),
        policy,
        yarns: own,
      }),
    [title, pattern, hook, units, key, stitch, policy, own, given.pattern],
  );
  const craft = useCraftWords();
  const { terms, hand, manner } = preferences;
  const ask = useMemo(
    () => (read.ok ? () => planner.swatchWork(read.value, { terms, hand, manner }) : undefined),
    [read, terms, hand, manner],
  );
  const plan = useAnswer(ask)?.plan;
  const wrongAt = (field: string) => {
    const problem = read.ok ? undefined : read.problems.find(({ path }) => path === field);
    return problem && problemText(problem);
  };
  const start = async () => {
    if (!read.ok) return;
    const saved = await add({ id: ownId, swatch: read.value });
    if (saved.data) navigate(`/swatches/${saved.data.id}`, { replace: true });
  };
  return (
    <>
      <Head title="A new swatch" under={swatchesSaid.smallPieceInPattern} />
      <Shelves />
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1180px] gap-x-10 gap-y-6 px-6 pt-6 pb-12 lg:grid-cols-[minmax(0,1fr)_360px]"
      >
        <div className="grid content-start gap-5">
          <TextField
            label="Name"
            value={title}
            onChange={setTitle}
            placeholder={`${pattern?.name}, ${hook} mm`}
            wrong={wrongAt('title')}
          />
          <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_120px_130px]">
            <SelectField label="Pattern" value={key} onChange={setKey}>
              {shelf.all.map(({ source, pattern: each, stored }) => (
                <option key={stored?.id ?? source} value={source}>
                  {each.name}
                </option>
              ))}
            </SelectField>
            {pattern && pattern.stitches.length > 1 ? (
              <SelectField label="Shape" value={stitch || (pattern.stitches[0] ?? '')} onChange={setStitch}>
                {pattern.stitches.map((each) => (
                  <option key={each} value={each}>
                    {craft(`{${each}}`)}
                  </option>
                ))}
              </SelectField>
            ) : null}
            <TextField
              label="Hook (mm)"
              value={hook}
              onChange={setHook}
              inputMode="decimal"
              className="count text-[18px]"
              wrong={wrongAt('hook')}
            />
          </div>
          <SelectField label="Idle yarn" value={policy} onChange={(next) => setPolicy(next as Policy)}>
            {policies.map((each) => (
              <option key={each} value={each}>
                {policyNames[each]}
              </option>
            ))}
          </SelectField>
          <div className="grid gap-4 sm:grid-cols-2">
            {own.map((yarn) => (
              <div key={yarn.letter}>
                <YarnPicker
                  letter={yarn.letter}
                  value={yarn.drawer}
                  onPick={(stored) => {
                    if (!stored)
                      return setYarns(own.map((each) => (each === yarn ? { ...yarn, drawer: undefined } : each)));
                    const { name, shade, weight, fibre, blend, ballMetres, ballGrams } = stored.yarn;
                    const next = {
                      letter: yarn.letter,
                      name,
                      shade,
                      weight,
                      fibre,
                      blend,
                      ballMetres,
                      ballGrams,
                      drawer: stored.id,
                    };
                    setYarns(own.map((each) => (each === yarn ? next : each)));
                  }}
                />
                <p className="mt-1 text-[15px] text-soft">
                  {yarn.letter}: {yarn.name}, weight {yarn.weight}, {fibreWords(yarn)}
                </p>
              </div>
            ))}
          </div>
          <p className="max-w-[62ch] text-[15px] text-soft">{swatchesSaid.carriedYarnMakesFabric}</p>
        </div>
        <aside className="grid content-start gap-4">
          <PatternPicture
            pattern={key}
            stitch={stitch || undefined}
            shades={own.map((yarn) => yarn.shade)}
            side={220}
          />
          {plan?.ok ? (
            <p className="text-[17px]">
              <b className="count">{plan.value.across.count}</b> {plan.value.across.word},{' '}
              <b className="count">{plan.value.up.count}</b>{' '}
              {swatchesSaid.eachWayAtLeast(plan.value.up.word, printLength(leastSide, told), plan.value.repeats)}
            </p>
          ) : null}
          {plan && !plan.ok ? <Problems problems={plan.problems} /> : null}
          <Button
            kind="next"
            onClick={start}
            disabled={!read.ok || !plan?.ok || adding.isLoading}
            className="text-[18px]"
          >
            Plan this swatch
          </Button>
          <Problems problems={problemsOf(adding.error)} />
        </aside>
      </main>
    </>
  );
}
