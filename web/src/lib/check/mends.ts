import { answer, api } from '$lib/api/client';
import type { FindingBody } from '$lib/api/types';
import { undo } from '$lib/people/bulk/doing';
import { notices } from '$lib/ui/notices.svelte';
import type { QueryClient } from '@tanstack/svelte-query';
import type { Writing } from '$lib/draft/writing.svelte';

/** What mends a finding for all of its people. */
export type Mend = 'fallback' | 'leave out' | 'names' | null;

const naming: FindingBody['code'][] = ['NAME_CAPITALS', 'NAME_LOWER_CASE'];

/** Nobody is left out for these. */
const asTheyAre: FindingBody['code'][] = ['OWN_WORDING_OLD', 'LONG_SUBJECT', 'LONG_LETTER'];

/** What can be done about a finding in one act. */
export function mendsOf(finding: FindingBody): Mend[] {
  if (finding.people === 0) return [];
  if (finding.code === 'VALUE_MISSING') return ['fallback', 'leave out'];
  if (finding.severity === 'BLOCKER' && finding.code !== 'SENDER_NOT_ALLOWED') return [];
  if (naming.includes(finding.code)) return ['names', 'leave out'];
  return asTheyAre.includes(finding.code) ? [] : ['leave out'];
}

/** Writes a fallback wherever the field stands without one. */
export async function setFallback(
  writing: Writing,
  field: string,
  fallback: string
): Promise<void> {
  const { subject, body } = writing;
  const mended = await answer(
    api.POST('/api/mends/fallback', { body: { subject, body, field, fallback } })
  );
  // What was typed while the server was asked is not written over.
  if (writing.subject !== subject || writing.body !== body) {
    return setFallback(writing, field, fallback);
  }
  writing.subject = mended.subject;
  writing.body = mended.body;
  writing.changed();
}

/** Leaves the people of a finding out; the notice takes them in again. */
export async function leaveOut(writing: Writing, finding: FindingBody) {
  await writing.save();
  const before = writing.leftOut;
  const left = await answer(
    api.POST('/api/mailings/{id}/leave-out', {
      params: { path: { id: writing.mailing.id } },
      body: { code: finding.code, about: finding.about }
    })
  );
  writing.mailing = { ...writing.mailing, version: left.version };
  writing.leftOut = left.leftOut;
  writing.refresh();
  const more = left.leftOut.length - before.length;
  notices.say(`${more} more left out.`, () => writing.set('leftOut', before));
}

/** Gives people the names that were looked at, as one act that can be taken back. */
export async function correctNames(
  queries: QueryClient,
  writing: Writing,
  names: { personId: number; firstName: string }[]
) {
  const done = await answer(
    api.POST('/api/mailings/{id}/names', {
      params: { path: { id: writing.mailing.id } },
      body: names
    })
  );
  writing.refresh();
  notices.say(`${done.words}.`, () => void undo(queries, done.act).then(() => writing.refresh()));
}
