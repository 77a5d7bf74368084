import type { Reach } from '$lib/api/types';
import { everyone, type FilterDraft } from '$lib/filter/draft';
import { nobody, type Selection } from './selection';

/** What is looked for on the people screen; kept while other screens are visited. */
class PeopleSearch {
  draft = $state<FilterDraft>({ ...everyone, kinds: ['member'] });
  selection = $state.raw<Selection>(nobody);
  /** Only people of this reach are listed; null lists all. */
  reach = $state<Reach | null>(null);
  /** The person whose row has the cursor. */
  cursor = $state<number | null>(null);

  change(draft: FilterDraft) {
    this.draft = draft;
    this.selection = nobody;
    this.reach = null;
  }
}

export const search = new PeopleSearch();
