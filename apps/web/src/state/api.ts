import type { Problem, Write, Role } from '@nuvar/book';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

export interface Session {
  readonly user: {
    readonly id: string;
    readonly name: string;
    readonly email: string | null;
    /** Looks at the demo: has neither address nor password, and books that go a day after they were last there. */
    readonly isGuest: boolean;
  } | null;
  readonly demo: boolean;
}

export interface BookSummary {
  readonly id: string;
  readonly name: string;
  readonly currency: string;
  readonly role: Role;
}

export interface Member {
  readonly userId: string;
  readonly name: string;
  readonly email: string | null;
  readonly role: Role;
}

/** A change of the book as its history tells it. */
export interface HistoryEntry {
  readonly revision: number;
  readonly changeId: string;
  readonly userId: string;
  readonly userName: string;
  readonly at: string;
  readonly undoes: string | null;
  /** Where the history is told, no more than the first ones of them. */
  readonly writes: readonly Write[];
  readonly writeCount: number;
  /** Where not all of them fit into the answer, the piece with which they go on. */
  readonly rest?: number | null;
}

/** A book as it was when somebody froze it. */
export interface BaselineSummary {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  /** The day as of which its figures are worked out. */
  readonly day: string;
  readonly madeAt: string;
  readonly madeBy: string | null;
}

/** How far a document has come that the server makes. */
export interface DocumentJob {
  readonly id: string;
  readonly state: 'under way' | 'ready' | 'failed' | 'cancelled';
  /** In percent. */
  readonly progress: number;
  readonly name: string;
  readonly problem: string | null;
}

/** Everything of the server but the rows of a book, which come and go by way of the book itself. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api/' }),
  tagTypes: ['session', 'books', 'members', 'baselines'],
  endpoints: (build) => ({
    session: build.query<Session, void>({ query: () => 'session', providesTags: ['session'] }),
    signUp: build.mutation<Session, { name: string; email: string; password: string }>({
      query: (body) => ({ url: 'accounts', method: 'POST', body }),
      invalidatesTags: ['session', 'books'],
    }),
    signIn: build.mutation<Session, { email: string; password: string }>({
      query: (body) => ({ url: 'session', method: 'POST', body }),
      invalidatesTags: ['session', 'books'],
    }),
    signInToDemo: build.mutation<Session, void>({
      query: () => ({ url: 'session/demo', method: 'POST' }),
      invalidatesTags: ['session', 'books'],
    }),
    signOut: build.mutation<Session, void>({
      query: () => ({ url: 'session', method: 'DELETE' }),
      invalidatesTags: ['session', 'books'],
    }),
    books: build.query<BookSummary[], void>({ query: () => 'books', providesTags: ['books'] }),
    makeBook: build.mutation<{ id: string }, Record<string, unknown>>({
      query: (body) => ({ url: 'books', method: 'POST', body }),
      invalidatesTags: ['books'],
    }),
    takeInBook: build.mutation<{ id: string }, unknown>({
      query: (body) => ({ url: 'book-files', method: 'POST', body }),
      invalidatesTags: ['books'],
    }),
    removeBook: build.mutation<null, string>({
      query: (id) => ({ url: `books/${id}`, method: 'DELETE' }),
      invalidatesTags: ['books'],
    }),
    /** The history of a book, a page at a time, the latest first. */
    history: build.infiniteQuery<HistoryEntry[], string, number | null>({
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: (page) => {
          const oldest = page.at(-1)?.revision ?? 1;
          return oldest > 1 ? oldest : undefined;
        },
      },
      query: ({ queryArg, pageParam }) => ({
        url: `books/${queryArg}/changes`,
        params: pageParam === null ? {} : { before: pageParam },
      }),
      keepUnusedDataFor: 0,
    }),
    /** What was written to one row, the latest first. The revision is no part of the question: it says when to ask anew. */
    rowHistory: build.query<HistoryEntry[], { bookId: string; rowId: string; revision: number }>({
      query: ({ bookId, rowId }) => ({ url: `books/${bookId}/changes`, params: { row: rowId } }),
      keepUnusedDataFor: 0,
    }),
    beginDocument: build.mutation<
      DocumentJob,
      { bookId: string; asOf: string; document: string; of: string; format: string }
    >({
      query: ({ bookId, asOf, ...body }) => ({
        url: `books/${bookId}/documents`,
        method: 'POST',
        params: { asOf },
        body,
      }),
    }),
    documentJob: build.query<DocumentJob, { bookId: string; id: string }>({
      query: ({ bookId, id }) => `books/${bookId}/documents/${id}`,
      keepUnusedDataFor: 0,
    }),
    cancelDocument: build.mutation<DocumentJob, { bookId: string; id: string }>({
      query: ({ bookId, id }) => ({ url: `books/${bookId}/documents/${id}`, method: 'DELETE' }),
    }),
    simulatedRate: build.query<{ rate: string }, { currency: string; base: string; day: string }>({
      query: (params) => ({ url: 'stand-ins/exchange-rates', params }),
    }),
    baselines: build.query<BaselineSummary[], string>({
      query: (id) => `books/${id}/baselines`,
      providesTags: ['baselines'],
    }),
    freeze: build.mutation<BaselineSummary[], { bookId: string; name: string; note: string; day: string }>({
      query: ({ bookId, ...body }) => ({ url: `books/${bookId}/baselines`, method: 'POST', body }),
      invalidatesTags: ['baselines'],
    }),
    removeBaseline: build.mutation<BaselineSummary[], { bookId: string; id: string }>({
      query: ({ bookId, id }) => ({ url: `books/${bookId}/baselines/${id}`, method: 'DELETE' }),
      invalidatesTags: ['baselines'],
    }),
    members: build.query<Member[], string>({ query: (id) => `books/${id}/members`, providesTags: ['members'] }),
    putMember: build.mutation<Member[], { bookId: string; email: string; role: string }>({
      query: ({ bookId, ...body }) => ({ url: `books/${bookId}/members`, method: 'PUT', body }),
      invalidatesTags: ['members'],
    }),
    removeMember: build.mutation<unknown, { bookId: string; userId: string }>({
      query: ({ bookId, userId }) => ({ url: `books/${bookId}/members/${userId}`, method: 'DELETE' }),
      invalidatesTags: ['members', 'books'],
    }),
  }),
});

export const {
  useSessionQuery,
  useSignUpMutation,
  useSignInMutation,
  useSignInToDemoMutation,
  useSignOutMutation,
  useBooksQuery,
  useMakeBookMutation,
  useTakeInBookMutation,
  useRemoveBookMutation,
  useHistoryInfiniteQuery,
  useRowHistoryQuery,
  useBeginDocumentMutation,
  useCancelDocumentMutation,
  useDocumentJobQuery,
  useLazySimulatedRateQuery,
  useBaselinesQuery,
  useFreezeMutation,
  useRemoveBaselineMutation,
  useMembersQuery,
  usePutMemberMutation,
  useRemoveMemberMutation,
} = api;

/** The problems of a refused request; where the server did not answer, that. */
export function problemsOf(error: unknown): readonly Problem[] {
  const data = (error as { data?: { problems?: Problem[] } } | undefined)?.data;
  if (data?.problems) return data.problems;
  return [{ code: 'server-error', sentence: 'The server does not answer. Please try again in a moment.' }];
}
