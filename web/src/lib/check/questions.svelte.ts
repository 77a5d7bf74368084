import { answer, api } from '$lib/api/client';
import type { AudiencePerson } from '$lib/api/types';
import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query';
import type { Writing } from '$lib/draft/writing.svelte';
import type { Which } from './checkParts';
import { checkQuery, looking, proofQuery, type Chosen } from './looking.svelte';
import { pageCount } from './pages.svelte';

/** What became of looking at everyone. */
export interface Look {
  done: boolean;
  trouble: Error | null;
  again: () => void;
}

const NOBODY: Chosen = { id: 0, recordId: 0 };

/** Whether a row of the list is this message. */
export function isChosen(row: Chosen, chosen: Chosen | null): boolean {
  return row.id === chosen?.id && row.recordId === chosen.recordId;
}

const PAGE = 500;

/** What the mailing's screen asks of the server, anew after every save: the check, the list, one proof. */
export function mailingQuestions(
  writing: Writing,
  listed: () => { which: Which | null; name: string },
  chosen: () => Chosen | null
) {
  const id = $derived(writing.mailing.id);
  const path = $derived({ path: { id } });

  const check = createQuery(() => ({
    ...checkQuery(id, writing.revision),
    placeholderData: keepPreviousData
  }));

  // Of what is written now, not of what stood there before.
  const pages = pageCount(writing, () => (check.isPlaceholderData ? undefined : check.data));

  // The list is a page of the last check, and so waits for it.
  const audience = createInfiniteQuery(() => ({
    queryKey: ['audience', id, check.dataUpdatedAt, listed().which, listed().name.trim()],
    queryFn: ({ pageParam, signal }) => {
      const { which, name } = listed();
      const query = {
        part: which?.part,
        reach: which?.reach,
        channel: which?.channel,
        finding: which?.finding,
        about: which?.about,
        ownWords: which?.ownWords,
        name: name.trim() || undefined,
        after: pageParam?.id,
        afterRecord: pageParam?.recordId
      };
      return answer(api.GET('/api/mailings/{id}/audience', { params: { ...path, query }, signal }));
    },
    initialPageParam: undefined as Chosen | undefined,
    getNextPageParam: (last: AudiencePerson[]) =>
      last.length === PAGE ? last[PAGE - 1] : undefined,
    enabled: check.isSuccess,
    placeholderData: keepPreviousData
  }));
  // Whoever the list will begin with is known with the check: their proof need not wait for the list.
  const firstOfAll = $derived<Chosen | null>(
    listed().which || listed().name.trim() ? null : (check.data?.first ?? null)
  );
  const list = $derived(audience.data?.pages.flat() ?? []);
  const current = $derived<Chosen | null>(
    chosen() ?? list.find((p) => p.reach === 'READY') ?? list[0] ?? firstOfAll
  );
  const row = $derived(list.find((p) => isChosen(p, current)));

  const proof = createQuery(() => ({
    ...proofQuery(id, writing.revision, current ?? NOBODY),
    enabled: current !== null && (row === undefined || row.reach === 'READY'),
    placeholderData: keepPreviousData
  }));

  return {
    check,
    audience,
    proof,
    pages,
    get list() {
      return list;
    },
    get current() {
      return current;
    },
    /** Who is chosen, also while their proof is on its way; null when they get nothing. */
    get reader(): (Chosen & { name: string }) | null {
      if (row) return row.reach === 'READY' ? row : null;
      const known = proof.data?.personId === current?.id ? proof.data : undefined;
      return current && known ? { ...current, name: known.toName } : null;
    },
    /** Whose proof there is none of, and why: who gets nothing. */
    get getsNothing() {
      return row && row.reach !== 'READY' ? { name: row.name, why: row.reachWords } : null;
    },
    get look(): Look {
      return {
        done: audience.isSuccess,
        trouble: check.error ?? audience.error,
        again: () => void (check.isError ? check.refetch() : audience.refetch())
      };
    },
    /** How far a long look has come; null when none is under way. */
    get progress() {
      return looking.get(id) ?? null;
    }
  };
}

export type MailingQuestions = ReturnType<typeof mailingQuestions>;
