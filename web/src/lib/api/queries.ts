import { UNTOLD } from '$lib/live/live';
import { answer, api } from './client';

/** Questions that several screens ask: one key and one answer for all of them. */

const SELDOM = 60_000;

/** The fields to filter by and to merge. */
export const fieldsQuery = () => ({
  queryKey: ['fields'],
  queryFn: () => answer(api.GET('/api/fields')),
  staleTime: SELDOM
});

/** Colleagues by login and name. */
export const colleaguesQuery = () => ({
  queryKey: ['colleagues'],
  queryFn: () => answer(api.GET('/api/colleagues')),
  staleTime: SELDOM
});

/** Which roles there are, and what each may. */
export const rolesQuery = () => ({
  queryKey: ['roles'],
  queryFn: () => answer(api.GET('/api/roles')),
  staleTime: SELDOM
});

/** Lists of people. */
export const listsQuery = () => ({
  queryKey: ['lists'],
  queryFn: () => answer(api.GET('/api/lists'))
});

/** Tags in use, those of most people first. */
export const tagsQuery = () => ({
  queryKey: ['tags'],
  queryFn: () => answer(api.GET('/api/people/tags')),
  staleTime: 10_000
});

/** The ways on which this house can write to people. */
export const waysQuery = () => ({
  queryKey: ['ways'],
  queryFn: () => answer(api.GET('/api/ways')),
  staleTime: SELDOM
});

/** The topics of mailings, which people can leave. */
export const topicsQuery = () => ({
  queryKey: ['topics'],
  queryFn: () => answer(api.GET('/api/topics')),
  staleTime: SELDOM
});

export const templatesQuery = () => ({
  queryKey: ['templates'],
  queryFn: () => answer(api.GET('/api/templates'))
});

/** Documents that letters can be made of. */
export const documentsQuery = () => ({
  queryKey: ['documents'],
  queryFn: () => answer(api.GET('/api/documents'))
});

/** Runs of labels and envelopes, the newest first. */
export const printRunsQuery = () => ({
  queryKey: ['print-runs'],
  queryFn: () => answer(api.GET('/api/print-runs'))
});

/** Sheets to print labels on: those that ship, then the house's own. */
export const sheetsQuery = () => ({
  queryKey: ['sheets'],
  queryFn: () => answer(api.GET('/api/sheets')),
  staleTime: SELDOM
});

/** What is kept to print on labels again. */
export const labelTemplatesQuery = () => ({
  queryKey: ['label-templates'],
  queryFn: () => answer(api.GET('/api/label-templates'))
});

export const mailingsQuery = () => ({
  queryKey: ['mailings'],
  queryFn: () => answer(api.GET('/api/mailings'))
});

/** Filters that one may use in a list: one's own, and those that colleagues share. */
export const keptFiltersQuery = (subject: 'people' | 'quotes' | 'tasks' | 'events') => ({
  queryKey: ['kept-filters', subject],
  queryFn: () => answer(api.GET('/api/filters', { params: { query: { subject } } }))
});

/** Hours and caps of the workspace. */
export const sendingQuery = () => ({
  queryKey: ['sending'],
  queryFn: () => answer(api.GET('/api/sending')),
  staleTime: SELDOM
});

/** What came back on one mailing. */
export const summaryQuery = (mailingId: number) => ({
  queryKey: ['summary', mailingId],
  queryFn: () => answer(api.GET('/api/responses/{mailingId}', { params: { path: { mailingId } } })),
  refetchInterval: UNTOLD
});

/** What is done after a mailing is out, and whom it will touch. */
export const rulesQuery = (mailing: number, since: number) => ({
  queryKey: ['rules', mailing, since],
  queryFn: () =>
    answer(api.GET('/api/mailings/{mailing}/rules', { params: { path: { mailing } } })),
  placeholderData: <T>(before: T | undefined) => before,
  refetchInterval: UNTOLD
});

/** The people of a rule. */
export const rulePeopleQuery = (mailing: number, rule: number, which: 'WILL' | 'DONE' | 'NOT') => ({
  queryKey: ['rules', mailing, 'people', rule, which],
  queryFn: () =>
    answer(
      api.GET('/api/mailings/{mailing}/rules/{rule}/people', {
        params: { path: { mailing, rule }, query: { which } }
      })
    )
});

/** How a released mailing goes, hour by hour. */
export const runQuery = (mailingId: number) => ({
  queryKey: ['run', mailingId],
  queryFn: () => answer(api.GET('/api/mailings/{id}/run', { params: { path: { id: mailingId } } })),
  refetchInterval: UNTOLD
});

/** How many messages of a mailing, or of all, are in which state of the outbox. */
export const outboxTallyQuery = (mailingId: number | undefined) => ({
  queryKey: ['outbox-tally', mailingId],
  queryFn: () => answer(api.GET('/api/outbox/tally', { params: { query: { mailingId } } })),
  refetchInterval: UNTOLD
});

/** Letterheads by name, the usual one first. */
export const letterheadsQuery = () => ({
  queryKey: ['letterheads'],
  queryFn: () => answer(api.GET('/api/letterheads')),
  staleTime: 10_000
});

/** All series that one may see. */
export const allSeriesQuery = () => ({
  queryKey: ['series'],
  queryFn: () => answer(api.GET('/api/series')),
  refetchInterval: UNTOLD
});

/** Standing mailings on days that come round. */
export const occasionsQuery = () => ({
  queryKey: ['occasions'],
  queryFn: () => answer(api.GET('/api/occasions')),
  refetchInterval: UNTOLD
});

/** Today's and this week's days, and those that were missed. */
export const daysQuery = () => ({
  queryKey: ['occasion-turns'],
  queryFn: () => answer(api.GET('/api/occasions/turns')),
  refetchInterval: UNTOLD
});

/** Sign-up pages, with what came of them. */
export const signUpPagesQuery = () => ({
  queryKey: ['sign-up-pages'],
  queryFn: () => answer(api.GET('/api/sign-up-pages')),
  refetchInterval: UNTOLD
});

/** A series with its steps and how it stands. */
export const seriesQuery = (id: number) => ({
  queryKey: ['series', id],
  queryFn: () => answer(api.GET('/api/series/{id}', { params: { path: { id } } })),
  refetchInterval: UNTOLD
});

/** Series to begin from. */
export const startersQuery = () => ({
  queryKey: ['series-starters'],
  queryFn: () => answer(api.GET('/api/series-starters')),
  staleTime: SELDOM
});
