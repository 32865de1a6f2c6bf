import type { Problem, ToldUnit } from '@puntada/core/craft';
import {
  type Acknowledged,
  acknowledgedSchema,
  type Preferences,
  preferencesAnswerSchema,
  toldUnitOf,
  usualPreferences,
  type Wish,
  type Work,
  type WorkSummary,
  workSchema,
  workSummariesSchema,
} from '@puntada/core/records';
import type { Day, Tick } from '@puntada/core/work';
import { createSelector } from '@reduxjs/toolkit';
import { createApi, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { useSelector } from 'react-redux';
import { isAway } from './away.ts';
import { giving } from './giving.ts';
import { askOrKept } from './keptCopies.ts';

/** A change of a wish, and the revision it was made on. */
export interface Change {
  readonly id: string;
  readonly revision: number;
  readonly wish: Wish;
}

/** What becomes of a project of a set that is planned otherwise, and the revision it was looked at on. */
export interface SetPlanChange {
  readonly id: string;
  readonly revision: number;
  readonly keep: number;
  readonly wish: Wish | null;
  readonly newId: string;
}

/** Why an answer could not be read: a newer server's documents, or something else in its place. */
function unreadAnswer({ issues }: { readonly issues: readonly { readonly message: string }[] }): FetchBaseQueryError {
  const newer = issues.some(({ message }) => message === 'record-newer');
  const problem: Problem = { code: newer ? 'page-older' : 'answer-unread', path: '' };
  return { status: 'CUSTOM_ERROR', error: problem.code, data: { problems: [problem] } };
}

/** What the server keeps, by what is read of it. */
const tagTypes = [
  'Works',
  'Work',
  'Bin',
  'Preferences',
  'Drawer',
  'Swatches',
  'Patterns',
  'Binned',
  'Drafts',
  'Log',
  'Former',
  'Schedule',
  'Printer',
] as const;

/** All that is read anew when the server is back: it was reached by its preferences. */
export const keptCopies = tagTypes.filter((tag) => tag !== 'Preferences');

/** The server's resources, and this browser's copies of them. */
export const api = createApi({
  baseQuery: askOrKept,
  catchSchemaFailure: unreadAnswer,
  tagTypes,
  refetchOnFocus: true,
  refetchOnReconnect: true,
  endpoints: (build) => ({
    works: build.query<WorkSummary[], void>({
      responseSchema: giving(workSummariesSchema),
      query: () => '/works',
      providesTags: ['Works'],
    }),
    work: build.query<Work, string>({
      responseSchema: giving(workSchema),
      query: (id) => `/works/${id}`,
      providesTags: (_work, _error, id) => [{ type: 'Work', id }],
    }),
    addWork: build.mutation<Work, { id: string; wish: Wish; due?: Day | null }>({
      responseSchema: giving(workSchema),
      query: (body) => ({ url: '/works', method: 'POST', body }),
      invalidatesTags: ['Works', 'Schedule'],
    }),
    changeWork: build.mutation<Work, Change>({
      responseSchema: giving(workSchema),
      // Kept alive, so that a change made just before the page is closed still arrives.
      query: ({ id, revision, wish }) => ({
        url: `/works/${id}`,
        method: 'PUT',
        body: { revision, wish },
        keepalive: true,
      }),
      invalidatesTags: ['Works'],
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) dispatch(api.util.upsertQueryData('work', id, answer.data));
      },
    }),
    /** What is not begun of a set planned otherwise, in all its projects at once. */
    planSet: build.mutation<WorkSummary[], { changes: readonly SetPlanChange[] }>({
      responseSchema: giving(workSummariesSchema),
      query: (body) => ({ url: '/works/together', method: 'POST', body }),
      invalidatesTags: ['Works', 'Work', 'Bin', 'Schedule', 'Drawer'],
    }),
    beginWork: build.mutation<Work, Change>({
      responseSchema: giving(workSchema),
      query: ({ id, revision, wish }) => ({ url: `/works/${id}/begin`, method: 'POST', body: { revision, wish } }),
      invalidatesTags: ['Works'],
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) dispatch(api.util.upsertQueryData('work', id, answer.data));
      },
    }),
    archiveWork: build.mutation<Work, { id: string; revision: number; archived: boolean }>({
      responseSchema: giving(workSchema),
      query: ({ id, revision, archived }) => ({
        url: `/works/${id}/archive`,
        method: 'POST',
        body: { revision, archived },
      }),
      invalidatesTags: (_work, _error, { id }) => ['Works', { type: 'Work', id }],
    }),
    /** Into the bin, or out of it again. */
    binWork: build.mutation<Work, { id: string; revision: number; deleted: boolean }>({
      responseSchema: giving(workSchema),
      query: ({ id, revision, deleted }) => ({ url: `/works/${id}/bin`, method: 'POST', body: { revision, deleted } }),
      invalidatesTags: (_work, _error, { id }) => ['Works', 'Bin', 'Schedule', 'Drawer', { type: 'Work', id }],
    }),
    bin: build.query<WorkSummary[], void>({
      responseSchema: giving(workSummariesSchema),
      query: () => '/works/bin',
      providesTags: ['Bin'],
    }),
    /** Takes a start back: planned again, its size open. */
    unbeginWork: build.mutation<Work, { id: string; revision: number }>({
      responseSchema: giving(workSchema),
      query: ({ id, revision }) => ({ url: `/works/${id}/unbegin`, method: 'POST', body: { revision } }),
      invalidatesTags: ['Works', 'Schedule'],
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => undefined);
        if (answer) dispatch(api.util.upsertQueryData('work', id, answer.data));
      },
    }),
    endWork: build.mutation<Work, { id: string; revision: number; lastLoop: 'drawn' | 'locked' }>({
      responseSchema: giving(workSchema),
      query: ({ id, revision, lastLoop }) => ({
        url: `/works/${id}/last-loop`,
        method: 'POST',
        body: { revision, lastLoop },
      }),
      invalidatesTags: (_work, _error, { id }) => ['Works', { type: 'Work', id }],
    }),
    faceWork: build.mutation<Work, { id: string; revision: number; outside: 'RS' | 'WS' }>({
      responseSchema: giving(workSchema),
      query: ({ id, revision, outside }) => ({
        url: `/works/${id}/outside`,
        method: 'POST',
        body: { revision, outside },
      }),
      invalidatesTags: (_work, _error, { id }) => ['Works', { type: 'Work', id }],
    }),
    finishWork: build.mutation<Work, { id: string; revision: number }>({
      responseSchema: giving(workSchema),
      // Kept alive: whoever marks it and goes elsewhere at once has marked it.
      query: ({ id, revision }) => ({
        url: `/works/${id}/finish`,
        method: 'POST',
        body: { revision },
        keepalive: true,
      }),
      invalidatesTags: (_work, _error, { id }) => ['Works', { type: 'Work', id }],
    }),
    sendTicks: build.mutation<Acknowledged, { id: string; ticks: readonly Tick[] }>({
      responseSchema: giving(acknowledgedSchema),
      query: ({ id, ticks }) => ({ url: `/works/${id}/ticks`, method: 'POST', body: { ticks } }),
      invalidatesTags: ['Works'],
    }),
    preferences: build.query<Preferences, void>({
      responseSchema: giving(preferencesAnswerSchema),
      query: () => '/preferences',
      providesTags: ['Preferences'],
    }),
    setPreferences: build.mutation<Preferences, Preferences>({
      responseSchema: giving(preferencesAnswerSchema),
      // Kept alive, so that a setting chosen just before the page is left still arrives.
      query: (body) => ({ url: '/preferences', method: 'PUT', body, keepalive: true }),
      async onQueryStarted(preferences, { dispatch, queryFulfilled }) {
        const shown = dispatch(api.util.upsertQueryData('preferences', undefined, preferences));
        await Promise.all([shown, queryFulfilled]).catch(() => undefined);
      },
    }),
  }),
});

export const {
  useWorksQuery,
  useWorkQuery,
  useAddWorkMutation,
  useChangeWorkMutation,
  useBeginWorkMutation,
  useArchiveWorkMutation,
  useBinWorkMutation,
  usePlanSetMutation,
  useBinQuery,
  useUnbeginWorkMutation,
  useEndWorkMutation,
  useFaceWorkMutation,
  useFinishWorkMutation,
  useSendTicksMutation,
  usePreferencesQuery,
} = api;

const { useSetPreferencesMutation } = api;

/** The problems a refused request brought along, or one that says the server is away. */
export function problemsOf(error: unknown): readonly Problem[] {
  if (!error || typeof error !== 'object') return [];
  const { data } = error as { data?: { problems?: Problem[] } };
  if (data?.problems?.length) return data.problems;
  return [{ code: isAway(error as FetchBaseQueryError) ? 'away' : 'server-failed', path: '' }];
}

const storedNow = createSelector([api.endpoints.preferences.select()], ({ data }) => data ?? usualPreferences);

const readingNow = createSelector([storedNow], (preferences) => ({ ...preferences, told: toldUnitOf(preferences) }));

/** How the maker reads; the usual until the server has told. The shell of all views asks for it, once. */
export function usePreferences(): Preferences & { readonly told: ToldUnit } {
  return useSelector(readingNow);
}

/** Changes a part of how the maker reads; the rest stays as it is. */
export function useChangePreferences(): (change: Partial<Preferences>) => void {
  const stored = useSelector(storedNow);
  const [set] = useSetPreferencesMutation();
  return (change) => void set({ ...stored, ...change });
}
