import { zodResolver } from '@hookform/resolvers/zod';
import { type Plan, planWish, type Result, readShape, type Wish, wishSchema } from '@puntada/core';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { FormProvider, type Resolver, useForm } from 'react-hook-form';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import {
  problemsOf,
  useAddWorkMutation,
  useChangeWorkMutation,
  usePreferences,
  useWorkQuery,
  type Work,
} from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { ColoursPart } from './ColoursPart.tsx';
import { FinishPart } from './FinishPart.tsx';
import { GaugePart } from './GaugePart.tsx';
import { ItemPart } from './ItemPart.tsx';
import { PatternPart } from './PatternPart.tsx';
import { Preview } from './Preview.tsx';
import { SizePart } from './SizePart.tsx';
import { fieldOf, formSchema, newWish, toForm, toWish, type WishFormValues } from './wishForm.ts';

/** A wish, new or to be changed. */
export default function WishView() {
  const { id } = useParams();
  const { data: work, error } = useWorkQuery(id ?? '', { skip: !id });
  const { units } = usePreferences();
  const [query] = useSearchParams();
  if (id && !work) {
    return (
      <>
        <Head title="Wish" />
        <main id="main" className="p-6">
          {error ? <Problems problems={problemsOf(error)} /> : <p className="text-soft">Opening…</p>}
        </main>
      </>
    );
  }
  return (
    <WishForm
      key={work ? `${work.id}.${work.revision}` : units}
      work={work}
      start={work ? toForm(work.wish) : newWish(units, query.get('pattern') ?? undefined)}
    />
  );
}

function WishForm({ work, start }: { work: Work | undefined; start: WishFormValues }) {
  const navigate = useNavigate();
  const [add, adding] = useAddWorkMutation();
  const [change, changing] = useChangeWorkMutation();
  const form = useForm<WishFormValues>({
    defaultValues: start,
    resolver: zodResolver(formSchema) as Resolver<WishFormValues>,
    mode: 'onTouched',
  });
  // What is typed shows at once; the plan follows as soon as the screen has time.
  const values = useDeferredValue(form.watch());
  const plan = useMemo(() => readPlan(values, work?.wish), [values, work]);
  const frozen = work !== undefined && work.state !== 'wished';
  const refusal = problemsOf(adding.error ?? changing.error);

  useEffect(() => {
    if (!form.formState.isSubmitted) return;
    for (const problem of refusal)
      if (problem.path)
        form.setError(fieldOf(problem.path) as 'width', { message: `${problem.message} ${problem.hint}` });
  }, [refusal, form]);

  const save = form.handleSubmit(async (filled) => {
    const read = readPlan(filled, work?.wish);
    if (!read.ok) {
      for (const problem of read.problems) {
        form.setError(
          fieldOf(problem.path) as 'width',
          { message: `${problem.message} ${problem.hint}` },
          { shouldFocus: true },
        );
      }
      return;
    }
    const { wish } = read.value;
    const saved = work ? await change({ id: work.id, revision: work.revision, wish }) : await add(wish);
    if (saved.data) navigate(`/works/${saved.data.id}/size`);
  });

  return (
    <FormProvider {...form}>
      <Head title={work ? work.wish.title : 'New wish'} under="What it is, about how big, in which pattern and yarns">
        {work ? <Stages work={work} here="wish" /> : null}
      </Head>
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1440px] gap-x-10 px-6 pb-10 lg:grid-cols-[minmax(0,1fr)_372px]"
      >
        <form onSubmit={save} noValidate aria-label="Wish">
          <fieldset disabled={frozen} className="min-w-0">
            <ItemPart />
            <SizePart />
            <PatternPart />
            <ColoursPart />
            <GaugePart />
            <FinishPart />
          </fieldset>
        </form>
        <aside className="lg:sticky lg:top-0 lg:self-start">
          <Preview plan={plan} values={values} />
          <div className="mt-4 grid gap-3">
            {frozen ? (
              <p className="text-[15px] text-soft">
                This work is {work.state}: its plan is settled and no longer changed.
              </p>
            ) : (
              <Button
                kind="next"
                onClick={save}
                disabled={adding.isLoading || changing.isLoading}
                className="w-full text-[18px]"
              >
                Lay it on the mat
              </Button>
            )}
            <Problems problems={refusal} />
          </div>
        </aside>
      </main>
    </FormProvider>
  );
}

/** The wish a form comes to and its plan, or what is in the way. */
export function readPlan(values: WishFormValues, before?: Wish): Result<{ wish: Wish; plan: Plan }> {
  const read = readShape(wishSchema, toWish(values, before));
  if (!read.ok) return read;
  const plan = planWish(read.value);
  return plan.ok ? { ok: true, value: { wish: read.value, plan: plan.value } } : plan;
}
