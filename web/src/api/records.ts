import type { OwnPace } from '@puntada/core/plan';
import type {
  DraftWish,
  DrawerYarn,
  FrozenWork,
  LogEntry,
  RestKind,
  Swatch,
  Weighing,
  Wish,
  Work,
} from '@puntada/core/records';
import {
  type ChangedSwatch,
  changedSwatchSchema,
  draftSchema,
  draftsSchema,
  drawerSchema,
  type FormerPlan,
  formerPlansSchema,
  ownPaceSchema,
  type Schedule,
  type StoredSwatch,
  type StoredYarn,
  scheduleSchema,
  storedSwatchSchema,
  storedYarnSchema,
  swatchesSchema,
  type TakenOver,
  takenOverSchema,
  type Unread,
  unreadSchema,
  type WorkLog,
  weighingsSchema,
  workLogSchema,
  workSchema,
} from '@puntada/core/records';
import { api } from './api.ts';
import { giving } from './giving.ts';
import { isAway } from './keptCopies.ts';
import { dropEntry, keepEntry, type WaitingEntry, waitingEntriesOf, withWaiting } from './logOutbox.ts';
import { waitingTicks } from './outbox.ts';

/** Another plan for the rest of a work, made on a revision of it. */
interface OtherPlan {
  readonly id: string;
  readonly revision: number;
  readonly wish: Wish;
  readonly begun: FrozenWork;
  readonly kind: RestKind;
}

function sending({ workId, entry }: WaitingEntry) {
  return { url: `/works/${workId}/log`, method: 'POST', body: { entry } };
}

/** @returns whether there was room for it */
function keptHere(waiting: WaitingEntry): boolean {
  try {
    keepEntry(localStorage, waiting);
    return true;
  } catch {
    return false;
  }
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
    addYarn: build.mutation<StoredYarn, DrawerYarn>({
      responseSchema: giving(storedYarnSchema),
      query: (yarn) => ({ url: '/drawer', method: 'POST', body: { yarn } }),
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
      invalidatesTags: ['Drawer'],
    }),
    swatches: build.query<StoredSwatch[], void>({
      responseSchema: giving(swatchesSchema),
      query: () => '/swatches',
      providesTags: ['Swatches'],
    }),
    addSwatch: build.mutation<StoredSwatch, Swatch>({
      responseSchema: giving(storedSwatchSchema),
      query: (swatch) => ({ url: '/swatches', method: 'POST', body: { swatch } }),
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
      invalidatesTags: ['Swatches'],
    }),
    /** Sends an entry that waited. */
    sendEntry: build.mutation<unknown, WaitingEntry>({
      query: sending,
      invalidatesTags: (_answer, error, { workId }) => (error ? [] : [{ type: 'Log', id: workId }]),
    }),
    log: build.query<WorkLog, string>({
      responseSchema: giving(workLogSchema),
      query: (id) => `/works/${id}/log`,
      // What still waits for the server belongs to it.
      transformResponse: (log: WorkLog, _meta, id) => ({
        entries: withWaiting(log.entries, waitingEntriesOf(localStorage, id)),
        ticks: withWaiting(log.ticks, waitingTicks(localStorage, id)),
      }),
      providesTags: (_log, _error, id) => [{ type: 'Log', id }],
    }),
    weighings: build.query<Weighing[], string>({
      responseSchema: giving(weighingsSchema),
      query: (id) => `/works/${id}/weighings`,
      providesTags: (_weighings, _error, id) => [{ type: 'Log', id }],
    }),
    addEntry: build.mutation<unknown, { id: string; entry: LogEntry }>({
      async queryFn({ id: workId, entry }, _api, _extra, ask) {
        // Kept here first, so that it waits where the server is away. A photo is too large to wait.
        const waits = entry.kind !== 'photo' && keptHere({ workId, entry });
        const answer = await ask(sending({ workId, entry }));
        if (!answer.error) {
          if (waits) dropEntry(localStorage, { workId, entry });
          return { data: answer.data };
        }
        if (waits && isAway(answer.error)) return { data: null };
        if (waits) dropEntry(localStorage, { workId, entry });
        return { error: answer.error };
      },
      invalidatesTags: (_answer, _error, { id }) => [{ type: 'Log', id }],
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
    takeOver: build.mutation<TakenOver, unknown>({
      responseSchema: giving(takenOverSchema),
      query: (body) => ({ url: '/handover', method: 'POST', body }),
      invalidatesTags: ['Works', 'Work', 'Log', 'Former'],
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
    keepDraft: build.mutation<DraftWish, { id: string; title: string; form: object }>({
      responseSchema: giving(draftSchema),
      query: ({ id, ...body }) => ({ url: `/drafts/${id}`, method: 'PUT', body, keepalive: true }),
      invalidatesTags: ['Drafts'],
    }),
    restore: build.mutation<unknown, unknown>({
      query: (body) => ({ url: '/backup/restore', method: 'POST', body }),
    }),
    removeDraft: build.mutation<unknown, string>({
      query: (id) => ({ url: `/drafts/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Drafts'],
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
  useLogQuery,
  useWeighingsQuery,
  useAddEntryMutation,
  useSendEntryMutation,
  useFormerQuery,
  useGoOnwardMutation,
  useTakeOverMutation,
  useLazyPaceQuery,
  useScheduleQuery,
  useSetMinutesMutation,
  useSetDueMutation,
  useDraftsQuery,
  useDraftQuery,
  useKeepDraftMutation,
  useRemoveDraftMutation,
  useRestoreMutation,
} = records;
