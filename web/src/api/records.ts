import type { OwnPace } from '@puntada/core/plan';
import type {
  DraftWish,
  DrawerYarn,
  FrozenWork,
  LogEntry,
  OwnPattern,
  RestKind,
  Swatch,
  Weighing,
  Wish,
  Work,
} from '@puntada/core/records';
import {
  type BinKind,
  type Binned,
  binSchema,
  type ChangedSwatch,
  type Copy,
  changedSwatchSchema,
  copiesSchema,
  draftSchema,
  draftsSchema,
  drawerSchema,
  type FormerPlan,
  formerPlansSchema,
  ownPaceSchema,
  patternsSchema,
  type Schedule,
  type StoredPattern,
  type StoredSwatch,
  type StoredYarn,
  scheduleSchema,
  storedPatternSchema,
  storedSwatchSchema,
  storedYarnSchema,
  swatchesSchema,
  type ToldLog,
  type Unread,
  unreadSchema,
  type WorkLog,
  weighingsSchema,
  workLogSchema,
  workSchema,
} from '@puntada/core/records';
import { useMemo } from 'react';
import { api } from './api.ts';
import { giving } from './giving.ts';
import { queue, useQueue } from './queue/browserQueue.ts';
import { entriesOf, ticksOf, withWaiting } from './queue/waiting.ts';

/** Another plan for the rest of a work, made on a revision of it. */
interface OtherPlan {
  readonly id: string;
  readonly revision: number;
  readonly wish: Wish;
  readonly begun: FrozenWork;
  readonly kind: RestKind;
}

/** Takes back what still waits for the server. @returns whether it did */
async function withdrawn(id: string): Promise<boolean> {
  if (!queue.state().waiting.some((each) => each.id === id)) return false;
  if ((await queue.settled(id)) === 'taken') return false;
  await queue.drop([id]);
  return true;
}

/** The records behind the plans: the drawer, the swatch book and half-typed wishes. */
const records = api.injectEndpoints({
  endpoints: (build) => ({
    unread: build.query<Unread, void>({
      responseSchema: giving(unreadSchema),
      query: () => '/unread',
      keepUnusedDataFor: 0,
    }),
    drawer: build.query<StoredYarn[], void>({
      responseSchema: giving(drawerSchema),
      query: () => '/drawer',
      providesTags: ['Drawer'],
    }),
    addYarn: build.mutation<StoredYarn, { id: string; yarn: DrawerYarn }>({
      responseSchema: giving(storedYarnSchema),
      query: (body) => ({ url: '/drawer', method: 'POST', body }),
      invalidatesTags: ['Drawer'],
    }),
    addYarns: build.mutation<StoredYarn[], readonly DrawerYarn[]>({
      responseSchema: giving(drawerSchema),
      query: (yarns) => ({ url: '/drawer/many', method: 'POST', body: { yarns } }),
      invalidatesTags: ['Drawer'],
    }),
    changeYarn: build.mutation<StoredYarn, { id: string; revision: number; yarn: DrawerYarn }>({
      responseSchema: giving(storedYarnSchema),
      query: ({ id, ...body }) => ({ url: `/drawer/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Drawer'],
    }),
    removeYarn: build.mutation<unknown, string>({
      query: (id) => ({ url: `/drawer/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Drawer', 'Binned'],
    }),
    swatches: build.query<StoredSwatch[], void>({
      responseSchema: giving(swatchesSchema),
      query: () => '/swatches',
      providesTags: ['Swatches'],
    }),
    addSwatch: build.mutation<StoredSwatch, { id: string; swatch: Swatch }>({
      responseSchema: giving(storedSwatchSchema),
      query: (body) => ({ url: '/swatches', method: 'POST', body }),
      invalidatesTags: ['Swatches'],
    }),
    changeSwatch: build.mutation<ChangedSwatch, { id: string; revision: number; swatch: Swatch }>({
      responseSchema: giving(changedSwatchSchema),
      query: ({ id, ...body }) => ({ url: `/swatches/${id}`, method: 'PUT', body }),
      // Its counts flow into the plans that go by it.
      invalidatesTags: ['Swatches', 'Works', 'Work'],
    }),
    removeSwatch: build.mutation<unknown, string>({
      query: (id) => ({ url: `/swatches/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Swatches', 'Binned'],
    }),
    patterns: build.query<StoredPattern[], void>({
      responseSchema: giving(patternsSchema),
      query: () => '/patterns',
      providesTags: ['Patterns'],
    }),
    addPattern: build.mutation<StoredPattern, { id: string; pattern: OwnPattern }>({
      responseSchema: giving(storedPatternSchema),
      query: (body) => ({ url: '/patterns', method: 'POST', body }),
      invalidatesTags: ['Patterns'],
    }),
    changePattern: build.mutation<StoredPattern, { id: string; revision: number; pattern: OwnPattern }>({
      responseSchema: giving(storedPatternSchema),
      // Kept alive, so that the last stroke before the page is closed still arrives; a browser lets no large one live on.
      query: ({ id, ...body }) => ({
        url: `/patterns/${id}`,
        method: 'PUT',
        body,
        keepalive: body.pattern.text.length < 20_000,
      }),
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (!answer) return;
        dispatch(
          records.util.updateQueryData('patterns', undefined, (all) =>
            all.map((each) => (each.id === id ? answer.data : each)),
          ),
        );
      },
    }),
    /** Puts the maker's own patterns in another order: shown at once. */
    orderPatterns: build.mutation<StoredPattern[], readonly string[]>({
      responseSchema: giving(patternsSchema),
      query: (ids) => ({ url: '/patterns/order', method: 'PUT', body: { ids } }),
      async onQueryStarted(ids, { dispatch, queryFulfilled }) {
        const place = new Map(ids.map((id, i) => [id, i]));
        const change = dispatch(
          records.util.updateQueryData('patterns', undefined, (all) =>
            [...all].sort((a, b) => (place.get(a.id) ?? -1) - (place.get(b.id) ?? -1)),
          ),
        );
        await queryFulfilled.catch(() => change.undo());
      },
    }),
    removePattern: build.mutation<unknown, string>({
      query: (id) => ({ url: `/patterns/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Patterns', 'Binned'],
    }),
    /** What lies in the bin beside projects. */
    binned: build.query<Binned[], void>({
      responseSchema: giving(binSchema),
      query: () => '/bin',
      providesTags: ['Binned'],
    }),
    putBackRecord: build.mutation<Binned[], { kind: BinKind; id: string }>({
      responseSchema: giving(binSchema),
      query: (body) => ({ url: '/bin/back', method: 'POST', body }),
      invalidatesTags: ['Binned', 'Drawer', 'Swatches', 'Drafts', 'Patterns'],
    }),
    /** Sends an entry that waits. */
    sendEntry: build.mutation<unknown, { workId: string; entry: LogEntry }>({
      query: ({ workId, entry }) => ({ url: `/works/${workId}/log`, method: 'POST', body: { entry } }),
      invalidatesTags: (_answer, error, { workId }) => (error ? [] : [{ type: 'Log', id: workId }]),
    }),
    log: build.query<ToldLog, string>({
      responseSchema: giving(workLogSchema),
      query: (id) => `/works/${id}/log?steps=lines`,
      providesTags: (_log, _error, id) => [{ type: 'Log', id }],
    }),
    weighings: build.query<Weighing[], string>({
      responseSchema: giving(weighingsSchema),
      query: (id) => `/works/${id}/weighings`,
      providesTags: (_weighings, _error, id) => [{ type: 'Log', id }],
    }),
    /** Keeps an entry in this browser and sends it. One that the server refuses is given back to who made it. */
    addEntry: build.mutation<null, { id: string; entry: LogEntry }>({
      async queryFn({ id, entry }) {
        await queue.keep(id, entry);
        const outcome = await queue.settled(entry.id);
        if (outcome === 'taken' || 'later' in outcome) return { data: null };
        await queue.drop([entry.id]);
        const { refused } = outcome;
        return { error: { status: 'CUSTOM_ERROR', error: refused.code, data: { problems: [refused] } } };
      },
    }),
    /** Other words, another measure or weighing in the place of an entry; what still waits is changed where it waits. */
    correctEntry: build.mutation<null, { id: string; entry: LogEntry }>({
      async queryFn({ id, entry }, _api, _extra, ask) {
        if (await withdrawn(entry.id)) {
          // Under a new name: the old one may have reached the server without a word of it coming back.
          await queue.keep(id, { ...entry, id: crypto.randomUUID() });
          void queue.deliver();
          return { data: null };
        }
        const { error } = await ask({ url: `/works/${id}/log/${entry.id}`, method: 'PUT', body: { entry } });
        return error ? { error } : { data: null };
      },
      invalidatesTags: (_null, _error, { id }) => [{ type: 'Log', id }, 'Schedule'],
    }),
    /** Into the bin, or out of it again; what still waits for the server is simply not sent. */
    binEntry: build.mutation<null, { id: string; entry: LogEntry; deleted: boolean }>({
      async queryFn({ id, entry, deleted }, _api, _extra, ask) {
        if (deleted && (await withdrawn(entry.id))) return { data: null };
        const url = `/works/${id}/log/${entry.id}`;
        const { error } = await ask({ url: `${url}/bin`, method: 'POST', body: { deleted } });
        if (!error) return { data: null };
        if (deleted || error.status !== 404) return { error };
        // It never came to the server: it is kept anew.
        await queue.keep(id, { ...entry, id: crypto.randomUUID() });
        void queue.deliver();
        return { data: null };
      },
      invalidatesTags: (_null, _error, { id }) => [{ type: 'Log', id }, 'Schedule'],
    }),
    /** The small picture of a photo that an earlier version took without. */
    keepSmall: build.mutation<unknown, { workId: string; entry: string; small: string }>({
      query: ({ workId, entry, small }) => ({
        url: `/works/${workId}/photos/${entry}/small`,
        method: 'PUT',
        body: { small },
      }),
    }),
    former: build.query<FormerPlan[], string>({
      responseSchema: giving(formerPlansSchema),
      query: (id) => `/works/${id}/former`,
      providesTags: (_plans, _error, id) => [{ type: 'Former', id }],
    }),
    goOnward: build.mutation<Work, OtherPlan>({
      responseSchema: giving(workSchema),
      query: ({ id, ...body }) => ({ url: `/works/${id}/onward`, method: 'POST', body }),
      invalidatesTags: (_work, _error, { id }) => ['Works', { type: 'Former', id }],
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) dispatch(api.util.upsertQueryData('work', id, answer.data));
      },
    }),
    copies: build.query<Copy[], void>({
      responseSchema: giving(copiesSchema),
      query: () => '/copies',
      keepUnusedDataFor: 0,
    }),
    pace: build.query<OwnPace, void>({
      responseSchema: giving(ownPaceSchema),
      query: () => '/schedule/pace',
    }),
    schedule: build.query<Schedule, void>({
      responseSchema: giving(scheduleSchema),
      query: () => '/schedule',
      providesTags: ['Schedule'],
      keepUnusedDataFor: 0,
    }),
    setMinutes: build.mutation<Schedule, readonly number[]>({
      responseSchema: giving(scheduleSchema),
      query: (minutes) => ({ url: '/schedule', method: 'PUT', body: { minutes } }),
      invalidatesTags: ['Schedule'],
    }),
    setDue: build.mutation<Work, { id: string; due: string | null }>({
      responseSchema: giving(workSchema),
      query: ({ id, due }) => ({ url: `/schedule/due/${id}`, method: 'PUT', body: { due } }),
      invalidatesTags: (_work, _error, { id }) => ['Schedule', 'Works', { type: 'Work', id }],
    }),
    drafts: build.query<DraftWish[], void>({
      responseSchema: giving(draftsSchema),
      query: () => '/drafts',
      providesTags: ['Drafts'],
    }),
    draft: build.query<DraftWish, string>({
      responseSchema: giving(draftSchema),
      query: (id) => `/drafts/${id}`,
      keepUnusedDataFor: 0,
    }),
    keepDraft: build.mutation<DraftWish, { id: string; title: string; form: object; revision?: number; by: string }>({
      responseSchema: giving(draftSchema),
      query: ({ id, ...body }) => ({ url: `/drafts/${id}`, method: 'PUT', body, keepalive: true }),
      invalidatesTags: ['Drafts'],
    }),
    /** Into the bin; one that became a project is simply done with. */
    removeDraft: build.mutation<unknown, { id: string; done: boolean }>({
      query: ({ id, done }) => ({ url: `/drafts/${id}${done ? '?done=true' : ''}`, method: 'DELETE' }),
      invalidatesTags: ['Drafts', 'Binned'],
    }),
  }),
});

export const {
  useDrawerQuery,
  useUnreadQuery,
  useAddYarnMutation,
  useAddYarnsMutation,
  useChangeYarnMutation,
  useRemoveYarnMutation,
  useSwatchesQuery,
  useAddSwatchMutation,
  useChangeSwatchMutation,
  useRemoveSwatchMutation,
  usePatternsQuery,
  useAddPatternMutation,
  useChangePatternMutation,
  useRemovePatternMutation,
  useBinnedQuery,
  usePutBackRecordMutation,
  useWeighingsQuery,
  useAddEntryMutation,
  useCorrectEntryMutation,
  useBinEntryMutation,
  useFormerQuery,
  useGoOnwardMutation,
  useCopiesQuery,
  useLazyPaceQuery,
  useOrderPatternsMutation,
  useKeepSmallMutation,
  useScheduleQuery,
  useSetMinutesMutation,
  useSetDueMutation,
  useDraftsQuery,
  useDraftQuery,
  useKeepDraftMutation,
  useRemoveDraftMutation,
} = records;

const { useLogQuery } = records;

/** Endpoints that are asked outside a view: by the courier of the queue, and for several projects at once. */
export const { sendEntry, log: logEndpoint, weighings: weighingsEndpoint } = records.endpoints;

/** Shows an entry that the server has taken in the copy of its log, until that is read anew. */
export function addToLog(workId: string, entry: LogEntry) {
  return records.util.updateQueryData('log', workId, (log) => ({
    ...log,
    entries: withWaiting(log.entries, [entry]),
  }));
}

/** The log of a work, with what still waits for the server in it. @param fresh whether it is asked for anew */
export function useLog(id: string, fresh = false): { data: WorkLog | undefined; error: unknown } {
  const { data, error } = useLogQuery(id, { refetchOnMountOrArgChange: fresh });
  const { waiting } = useQueue();
  const whole = useMemo(
    () =>
      data && {
        entries: withWaiting(data.entries, entriesOf(waiting, id)),
        // A hundred thousand of them are taken apart where nobody waits for it.
        steps: { kept: { ticks: data.ticks, steps: data.steps }, waiting: ticksOf(waiting, id) },
        largeOnly: data.largeOnly,
      },
    [data, waiting, id],
  );
  return { data: whole, error };
}
