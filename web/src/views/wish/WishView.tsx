import { zodResolver } from '@hookform/resolvers/zod';
import type { Work } from '@puntada/core/records';
import { anyVersion, draftRecord, readShape } from '@puntada/core/records';
import { setSaid, stateWord, wishSaid } from '@puntada/core/words';
import { type SyntheticEvent, useDeferredValue, useEffect, useRef, useState } from 'react';
import { FormProvider, type Resolver, set, useForm } from 'react-hook-form';
import { Link, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { problemsOf, useAddWorkMutation, useChangeWorkMutation, usePreferences, useWorkQuery } from '../../api/api.ts';
import { useDraftsQuery, useLazyPaceQuery, useSetDueMutation } from '../../api/records.ts';
import { Missing } from '../../app/Missing.tsx';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { ActBar } from '../../parts/ActBar.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { useProblemText } from '../../parts/Craft.tsx';
import { DraftProblems, SavedWords } from '../../parts/DraftHead.tsx';
import { Notice } from '../../parts/Notice.tsx';
import { Problems } from '../../parts/Problems.tsx';
import type { SaveState } from '../../parts/saver.ts';
import { UndoRedo } from '../../parts/UndoRedo.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useOwnId } from '../../parts/useOwnId.ts';
import { ownPrefix, useShelf } from '../../parts/useShelf.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { takeInWording } from '../../parts/wording.ts';
import { usePreview } from '../../worker/usePreview.ts';
import { ColoursPart } from './ColoursPart.tsx';
import { FinishPart } from './FinishPart.tsx';
import { inUnits } from './formUnits.ts';
import { GaugePart } from './GaugePart.tsx';
import { ItemPart } from './ItemPart.tsx';
import { type MoreName, OpenedParts, useOpened } from './More.tsx';
import { PatternPart } from './PatternPart.tsx';
import { Preview, PreviewLine } from './Preview.tsx';
import { SetPart } from './SetPart.tsx';
import { SizePart } from './SizePart.tsx';
import { itemsOfForm, wishesTyped } from './setForm.ts';
import { useFormHistory } from './useFormHistory.ts';
import { type KeptState, useKeptDraft } from './useKeptDraft.ts';
import { formSchema, laidOver, newWish, readWish, toForm, toWish, type WishFormValues } from './wishForm.ts';

const check = zodResolver(formSchema) as Resolver<WishFormValues>;

/** The form as it is checked; what is wrong with it is told in words that come with the first check. */
const checked: Resolver<WishFormValues> = async (...typed) => {
  await takeInWording();
  return check(...typed);
};

/** A wish, new, half typed or to be changed. */
export default function WishView() {
  const { id } = useParams();
  const { data: work, error } = useWorkQuery(id ?? '', { skip: !id });
  const { data: drafts, error: draftsAway } = useDraftsQuery();
  const { units } = usePreferences();
  const [query] = useSearchParams();
  const given = (useLocation().state as { form?: unknown } | null)?.form;
  const asked = query.get('pattern') ?? undefined;
  const shelf = useShelf();
  const mine = asked?.startsWith(ownPrefix);
  const ready = useArrived((!id || work) && (drafts || draftsAway) && (!mine || shelf.known) ? true : undefined);
  if (!ready) {
    return (
      <>
        <Head title="Idea" />
        <main id="main" className="p-6">
          {error ? <Problems problems={problemsOf(error)} /> : <Waiting words="Opening your idea…" />}
        </main>
      </>
    );
  }
  const draftId = id ?? query.get('draft') ?? undefined;
  const draft = work?.state === 'begun' ? undefined : drafts?.find((each) => each.id === draftId);
  // A half-typed wish that has become a project, or was given up: an empty form in its place would make another.
  if (!id && draftId && drafts && !draft) {
    return (
      <Missing what={wishSaid.thisDraftNotHere}>
        <ButtonLink to="/wish">{wishSaid.startNewProject}</ButtonLink>
      </Missing>
    );
  }
  const usual = work
    ? toForm(work.wish)
    : newWish(units, mine ? shelf.own.find(({ pattern }) => pattern.key === asked)?.source : asked);
  const typed = draft && readShape(anyVersion(draftRecord), draft.form);
  if (typed && !typed.ok) {
    return (
      <>
        <Head title="Idea" />
        <main id="main" className="p-6">
          <Problems problems={typed.problems} />
        </main>
      </>
    );
  }
  const { format: _format, version: _version, ...own } = typed?.value ?? {};
  const start = laidOver(laidOver({ ...usual, due: work?.due ?? '' }, given), own);
  for (const [path, text] of work?.begun ? [] : inUnits(start, units)) set(start, path, text);
  return (
    <WishForm
      key={work ? `${work.id}.${work.revision}` : `${query.get('draft') ?? ''} ${query.get('pattern') ?? ''}`}
      work={work}
      draftId={draftId}
      fromDraft={draft !== undefined}
      draftRevision={draft?.revision ?? 0}
      start={start}
    />
  );
}

/** A half-typed idea is saved in the same words as everything else. */
const keptStates: Readonly<Record<KeptState, SaveState | undefined>> = {
  untouched: undefined,
  waiting: 'saving',
  kept: 'saved',
  away: 'unsaved',
  stale: 'stale',
};

/** What the last one taught: “to change next time” of the work that this one follows. */
function Lessons({ of }: { of: readonly string[] }) {
  if (!of.length) return null;
  return (
    <section
      aria-label={wishSaid.yourNoteFromLast}
      className="mt-5 border-l-4 border-ochre bg-ochre-pale px-3 py-2 text-[15px]"
    >
      <h2 className="text-[16px] font-semibold">{wishSaid.youNotedOnLast}</h2>
      <ul className="mt-1 list-disc pl-5">
        {of.map((lesson) => (
          <li key={lesson}>{lesson}</li>
        ))}
      </ul>
    </section>
  );
}

/** Behind which part a field stands. */
const partOf: Readonly<Record<string, readonly MoreName[]>> = {
  title: ['about'],
  pieces: ['about'],
  due: ['about'],
  ending: ['size'],
  open: ['size'],
  pattern: ['pattern'],
  foundation: ['pattern'],
  increases: ['pattern'],
  into: ['pattern'],
  yarns: ['yarns', 'label'],
  set: ['set'],
  gauge: ['gauge'],
  hook: ['gauge'],
  border: ['finish'],
  finish: ['finish'],
  wash: ['finish'],
};

interface FormProps {
  readonly work: Work | undefined;
  readonly draftId: string | undefined;
  readonly fromDraft: boolean;
  readonly draftRevision: number;
  readonly start: WishFormValues;
}

function WishForm({ work, draftId, fromDraft, draftRevision, start }: FormProps) {
  const navigate = useNavigate();
  const [add, adding] = useAddWorkMutation();
  const [ownId] = useOwnId();
  const [setIds] = useState(() => Array.from({ length: 100 }, () => crypto.randomUUID()));
  const [change, changing] = useChangeWorkMutation();
  const [askPace] = useLazyPaceQuery();
  const [setDue, settingDue] = useSetDueMutation();
  const form = useForm<WishFormValues>({
    defaultValues: start,
    resolver: checked,
    mode: 'onTouched',
  });
  const { units, lastLoop } = usePreferences();
  const frozen = work !== undefined && work.state !== 'wished';
  const { getValues, setValue } = form;
  // The maker's units rule every number that is typed; what was typed in others stays as long as it was.
  useEffect(() => {
    if (frozen) return;
    for (const [path, text] of inUnits(getValues(), units)) setValue(path as 'title', text);
  }, [units, frozen, getValues, setValue]);
  const steps = useFormHistory(form);
  const kept = useKeptDraft(form, draftId, draftRevision);
  // What is typed shows at once; the plan follows from the worker.
  const values = useDeferredValue(form.watch());
  const answer = usePreview(work?.begun ? work.wish : toWish(values, work?.wish), work?.begun);
  const sentence = useProblemText();
  const refusal = problemsOf(adding.error ?? changing.error ?? settingDue.error);
  // The form tells that it is ready in the middle of the first drawing; its parts are drawn after that, in small pieces.
  const ready = useArrived(form.formState.isReady || undefined);

  useEffect(() => {
    if (!form.formState.isSubmitted) return;
    for (const problem of refusal)
      if (problem.path)
        form.setError(
          problem.path.replace(/^wish\./, '') as 'title',
          { message: sentence(problem) },
          { shouldFocus: true },
        );
  }, [refusal, form, sentence]);

  // What the server refused is said until the wish is changed.
  const { reset: forgetAdding } = adding;
  const { reset: forgetChanging } = changing;
  const refused = refusal.length > 0;
  const { watch } = form;
  useEffect(() => {
    if (!refused) return;
    const { unsubscribe } = watch(() => {
      forgetAdding();
      forgetChanging();
    });
    return unsubscribe;
  }, [refused, watch, forgetAdding, forgetChanging]);

  const opened = useOpened();
  // What will not do is opened, and its field takes the focus.
  const show = (errors: object) => {
    const names = Object.keys(errors);
    opened.set([...new Set(names.flatMap((name) => partOf[name] ?? []))], true);
    const [first] = names;
    if (first) setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
  };
  const target = useRef('');
  const submit = form.handleSubmit(async (filled) => {
    const read = readWish(filled, work?.wish);
    if (!read.ok) {
      for (const problem of read.problems) form.setError(problem.path as 'title', { message: sentence(problem) });
      show(Object.fromEntries(read.problems.map(({ path }) => [path.split('.')[0], path])));
      return;
    }
    // Its hours go by the maker's own hand, as far as that is known by now.
    const { data: pace } = await askPace();
    const paced = pace?.acts.length ? { ...read.value, pace } : read.value;
    // How the last loop is fastened is a habit, which each new project may change.
    const wish = !work && lastLoop === 'locked' ? { ...paced, lastLoop } : paced;
    const due = filled.due || null;
    if (work && due !== work.due && (await setDue({ id: work.id, due })).error) return;
    const typed = work?.wish.set ? { wishes: [wish] } : wishesTyped(filled, wish, setIds[0] as string);
    if ('problems' in typed) {
      for (const problem of typed.problems) form.setError(problem.path as 'title', { message: sentence(problem) });
      show({ set: true, finish: true });
      return;
    }
    const [first = wish, ...others] = typed.wishes;
    // Told twice they are made once: each has its id from the first press on. This one comes last, as it ends the asking.
    for (const [i, other] of others.entries()) {
      if ((await add({ id: setIds[i + 1] as string, wish: other, due })).error) return;
    }
    const saved = work
      ? await change({ id: work.id, revision: work.revision, wish: first })
      : await add({ id: ownId, wish: first, due });
    if (!saved.data) return;
    await kept.drop(true);
    // Back leads to this project, and not to an empty form that would make a second one.
    if (!work) navigate(`/works/${saved.data.id}/wish`, { replace: true });
    navigate(target.current || `/works/${saved.data.id}/size`);
  }, show);
  const save = (event: SyntheticEvent) => {
    // What was refused before may have been mended while the refusal was still on its way: it is asked again.
    forgetAdding();
    forgetChanging();
    form.clearErrors();
    void submit(event);
  };
  // Another stage shows the idea as it is typed here: it is taken into the project first, or what is in the way is said.
  const leave = (to: string) => {
    target.current = to;
    forgetChanging();
    form.clearErrors();
    void submit().finally(() => {
      target.current = '';
    });
  };
  const giveUp = async () => {
    await kept.drop();
    if (work) form.reset(toForm(work.wish));
    else navigate('/');
  };
  const half = fromDraft || kept.state === 'kept';
  const savedAs = fromDraft && kept.state === 'untouched' ? 'saved' : keptStates[kept.state];

  return (
    <FormProvider {...form}>
      <OpenedParts value={opened}>
        <Head title={work ? work.wish.title : 'New project'} under={wishSaid.chooseWhatToMake}>
          {frozen ? null : <UndoRedo {...steps} />}
          {savedAs ? <SavedWords state={savedAs} draft={work !== undefined} /> : null}
          {work ? (
            <Stages work={work} here="wish" leave={half || kept.state === 'waiting' ? leave : undefined} />
          ) : null}
        </Head>
        <main
          id="main"
          className="mx-auto grid w-full max-w-[1440px] grid-cols-[minmax(0,1fr)] gap-x-10 px-6 pb-10 lg:grid-cols-[minmax(0,1fr)_372px]"
        >
          <form onSubmit={save} noValidate aria-label="Idea">
            {work ? <Notice text={work.notice} /> : null}
            {work?.wish.set && !frozen ? (
              <p className="mt-4 border-l-4 border-verdigris bg-verdigris-pale px-3 py-2 text-[15px]">
                {setSaid.isOfSet(work.wish.set.title)} <Link to={`/works/${work.id}/set`}>{setSaid.openSet}</Link>
              </p>
            ) : null}
            {kept.state === 'stale' ? <DraftProblems draft={{ ...kept, state: 'stale' }} /> : null}
            <Lessons of={work?.wish.lessons ?? []} />
            <fieldset disabled={frozen} className="min-w-0">
              {ready ? (
                <>
                  <ItemPart />
                  <SizePart />
                  <PatternPart settled={frozen} />
                  <ColoursPart />
                  {!frozen && !work?.wish.set && itemsOfForm(values) > 1 ? <SetPart /> : null}
                  <GaugePart advice={answer?.ok ? answer.value.hook : undefined} />
                  <FinishPart />
                </>
              ) : null}
            </fieldset>
          </form>
          <aside className="lg:sticky lg:top-0 lg:self-start">
            <Preview answer={answer} values={values} begun={frozen} />
            <div className="mt-4 grid gap-3">
              {frozen ? (
                <p className="text-[15px] text-soft">{wishSaid.thisProjectSoIts(stateWord(work.state))}</p>
              ) : (
                <Button
                  kind="next"
                  onClick={save}
                  disabled={adding.isLoading || changing.isLoading}
                  className="w-full text-[18px] max-lg:hidden"
                >
                  See sizes
                </Button>
              )}
              {half && !frozen ? (
                <Button kind="quiet" onClick={giveUp}>
                  {work ? 'Undo all changes' : 'Delete this draft'}
                </Button>
              ) : null}
              <Problems problems={refusal} />
              {refusal.some(({ code }) => code === 'stale') ? (
                <Button onClick={() => location.reload()}>{wishSaid.showLatestVersion}</Button>
              ) : null}
            </div>
          </aside>
        </main>
        {frozen ? null : (
          <div className="sticky bottom-0 z-10 px-6 lg:hidden">
            <ActBar>
              <PreviewLine answer={answer} values={values} />
              <Button kind="next" onClick={save} disabled={adding.isLoading || changing.isLoading} className="shrink-0">
                See sizes
              </Button>
            </ActBar>
          </div>
        )}
      </OpenedParts>
    </FormProvider>
  );
}
