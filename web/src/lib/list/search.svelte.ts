import type { Kept, Layout, Reach } from '$lib/api/types';
import { everyone, fromFilter, type FilterDraft } from '$lib/filter/draft';
import { draftOf, MINE } from '$lib/filter/sides';
import { nobody, type Selection } from './selection';

/** What is looked for in a list; kept while other screens are visited. */
export class ListSearch {
  draft = $state.raw<FilterDraft>(everyone);
  selection = $state.raw<Selection>(nobody);
  /** The part of the tally that alone is listed; null lists all. */
  part = $state<string | null>(null);
  /** The row that has the cursor. */
  cursor = $state<number | null>(null);
  /** Columns, widths and order; null until the colleague's own are known. */
  layout = $state.raw<Layout | null>(null);
  /** The order that an address asked for; null leaves the colleague's own. */
  sort = $state.raw<Pick<Layout, 'sortBy' | 'descending'> | null>(null);
  /** What the address last said of it. */
  address = '';
  /** Whether all who match are written to as soon as the list is there. */
  writes = $state(false);
  /** The name of the kept filter that is shown, until it is changed. */
  kept = $state<string | null>(null);
  /** Whether those who were put away are listed instead. */
  archived = $state(false);

  constructor(
    readonly subject: 'people' | 'quotes' | 'tasks' | 'events',
    readonly usual: Layout,
    begin: FilterDraft = everyone
  ) {
    this.draft = begin;
  }

  change(draft: FilterDraft) {
    this.draft = draft;
    this.selection = nobody;
    this.part = null;
    this.kept = null;
    this.cursor = null;
  }

  show(kept: Kept) {
    this.change(fromFilter(kept.filter));
    this.kept = kept.name;
    if (kept.layout) this.layout = kept.layout;
  }
}

const layout = (sortBy: string | null, descending: boolean, ...columns: string[]): Layout => ({
  columns,
  widths: {},
  sortBy,
  descending
});

export const searches = {
  people: new ListSearch(
    'people',
    layout(null, false, 'plan', 'joined_on', 'last_visit', 'address.place', 'last_heard', 'owner')
  ),
  quotes: new ListSearch(
    'quotes',
    layout('sent_on', true, 'number', 'title', 'total', 'stage', 'sent_on', 'valid_until', 'owner')
  ),
  tasks: new ListSearch(
    'tasks',
    layout('due_on', false, 'title', 'kind', 'due_on', 'done', 'owner'),
    draftOf(MINE)
  ),
  events: new ListSearch('events', layout('starts', true, 'name', 'starts', 'place', 'attendance'))
};

/** The reach that a part of the people's tally stands for. */
export function reachOf(part: string | null): Reach | null {
  return part as Reach | null;
}
