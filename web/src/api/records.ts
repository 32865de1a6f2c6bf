import type { Problem } from '@puntada/core/craft';
import type { OwnPace } from '@puntada/core/plan';
import type { DrawerYarn, FrozenWork, LogEntry, Swatch, Weighing, Wish } from '@puntada/core/records';
import type { Pending, RestKind, Tick } from '@puntada/core/work';
import { api, type Work } from './api.ts';
import { isAway } from './keptCopies.ts';
import { dropEntry, keepEntry, type WaitingEntry, waitingEntriesOf, withWaiting } from './logOutbox.ts';
import { waitingTicks } from './outbox.ts';

export interface StoredYarn {
  readonly id: string;
  readonly revision: number;
  readonly yarn: DrawerYarn;
}

export interface StoredSwatch {
  readonly id: string;
  readonly revision: number;
  readonly swatch: Swatch;
  readonly changedAt: string;
}

/** A swatch just changed, and the plans that went along. */
export interface ChangedSwatch extends StoredSwatch {
  readonly plans: readonly { readonly id: string; readonly title: string; readonly words: string }[];
}

/** What was weighed, measured and noted at a work, and its steps in their order. */
export interface WorkLog {
  readonly entries: readonly LogEntry[];
  readonly ticks: readonly Tick[];
}

/** A plan that a work has left for another. */
export interface FormerPlan {
  readonly revision: number;
  readonly wish: Wish;
  readonly begun: FrozenWork;
  readonly rowsWorked: number;
  readonly leftFor: RestKind;
  readonly leftAt: string;
}

/** Another plan for the rest of a work, made on a revision of it. */
interface OtherPlan {
  readonly id: string;
  readonly revision: number;
  readonly wish: Wish;
  readonly begun: FrozenWork;
  readonly kind: RestKind;
}

/** Minutes at the hook on each day of the week, Monday first, and the works that wait, in turn. */
export interface Schedule {
  readonly minutes: readonly number[];
  readonly works: readonly Pending[];
}

/** A wish that is still being typed. */
/** Something that is stored and this version cannot read. */
export interface UnreadDocument {
  readonly id: string;
  readonly title: string;
  readonly problem: Problem;
  /** The work that an entry of a log belongs to. */
  readonly work?: string;
}

type Unread = Readonly<Record<'works' | 'yarns' | 'swatches' | 'entries', readonly UnreadDocument[]>>;

export interface Draft {
  readonly id: string;
  readonly title: string;
  readonly form: Readonly<Record<string, unknown>>;
  readonly changedAt: string;
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
    unread: build.query<Unread, void>({ query: () => '/unread', keepUnusedDataFor: 0 }),
    drawer: build.query<StoredYarn[], void>({ query: () => '/drawer', providesTags: ['Drawer'] }),
    addYarn: build.mutation<StoredYarn, DrawerYarn>({
      query: (yarn) => ({ url: '/drawer', method: 'POST', body: { yarn } }),
      invalidatesTags: ['Drawer'],
    }),
    addYarns: build.mutation<StoredYarn[], readonly DrawerYarn[]>({
      query: (yarns) => ({ url: '/drawer/many', method: 'POST', body: { yarns } }),
      invalidatesTags: ['Drawer'],
    }),
    changeYarn: build.mutation<StoredYarn, { id: string; revision: number; yarn: DrawerYarn }>({
      query: ({ id, ...body }) => ({ url: `/drawer/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Drawer'],
    }),
    removeYarn: build.mutation<unknown, string>({
      query: (id) => ({ url: `/drawer/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Drawer'],
    }),
    swatches: build.query<StoredSwatch[], void>({ query: () => '/swatches', providesTags: ['Swatches'] }),
    addSwatch: build.mutation<StoredSwatch, Swatch>({
      query: (swatch) => ({ url: '/swatches', method: 'POST', body: { swatch } }),
      invalidatesTags: ['Swatches'],
    }),
    changeSwatch: build.mutation<ChangedSwatch, { id: string; revision: number; swatch: Swatch }>({
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
      query: (id) => `/works/${id}/log`,
      // What still waits for the server belongs to it.
      transformResponse: (log: WorkLog, _meta, id) => ({
        entries: withWaiting(log.entries, waitingEntriesOf(localStorage, id)),
        ticks: withWaiting(log.ticks, waitingTicks(localStorage, id)),
      }),
      providesTags: (_log, _error, id) => [{ type: 'Log', id }],
    }),
    weighings: build.query<Weighing[], string>({
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
      query: (id) => `/works/${id}/former`,
      providesTags: (_plans, _error, id) => [{ type: 'Former', id }],
    }),
    goOnward: build.mutation<Work, OtherPlan>({
      query: ({ id, ...body }) => ({ url: `/works/${id}/onward`, method: 'POST', body }),
      invalidatesTags: (_work, _error, { id }) => ['Works', { type: 'Former', id }],
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) dispatch(api.util.upsertQueryData('work', id, answer.data));
      },
    }),
    takeOver: build.mutation<{ id: string; how: 'new' | 'merged' | 'beside' }, unknown>({
      query: (body) => ({ url: '/handover', method: 'POST', body }),
      invalidatesTags: ['Works', 'Work', 'Log', 'Former'],
    }),
    pace: build.query<OwnPace, void>({ query: () => '/schedule/pace' }),
    schedule: build.query<Schedule, void>({
      query: () => '/schedule',
      providesTags: ['Schedule'],
      keepUnusedDataFor: 0,
    }),
    setMinutes: build.mutation<Schedule, readonly number[]>({
      query: (minutes) => ({ url: '/schedule', method: 'PUT', body: { minutes } }),
      invalidatesTags: ['Schedule'],
    }),
    setDue: build.mutation<Work, { id: string; due: string | null }>({
      query: ({ id, due }) => ({ url: `/schedule/due/${id}`, method: 'PUT', body: { due } }),
      invalidatesTags: (_work, _error, { id }) => ['Schedule', 'Works', { type: 'Work', id }],
    }),
    drafts: build.query<Draft[], void>({ query: () => '/drafts', providesTags: ['Drafts'] }),
    draft: build.query<Draft, string>({ query: (id) => `/drafts/${id}`, keepUnusedDataFor: 0 }),
    keepDraft: build.mutation<Draft, { id: string; title: string; form: object }>({
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
