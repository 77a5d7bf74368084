import { answer, api } from '$lib/api/client';
import type { Filter } from '$lib/api/types';
import { fromFilter, type DraftGroup, type DraftPart, type FilterDraft } from './draft';

export type Subject = 'people' | 'quotes' | 'tasks' | 'events';

/** What was made of what was typed. */
export interface Typed {
  filter: Filter;
  words: string;
  unknown: string[];
}

/** What is typed, read as a filter. */
export function readTyped(subject: Subject, text: string, signal?: AbortSignal): Promise<Typed> {
  const query = { subject, text };
  return answer(api.GET('/api/filters/typed', { params: { query }, signal }));
}

/** A filter with what was typed besides: its kinds instead of those before, its conditions too. */
export function withTyped(base: FilterDraft, typed: Filter): FilterDraft {
  const read = fromFilter(typed);
  const kinds = read.kinds.length ? read.kinds : base.kinds;
  if (!read.parts.length) return { ...base, kinds };
  if (!base.parts.length) return { ...read, kinds };
  return { kinds, match: 'ALL', parts: [...together(base), ...together(read)] };
}

/** The parts of a group within one whose parts all hold. */
function together(group: DraftGroup): DraftPart[] {
  const { match, parts } = group;
  return match === 'ALL' ? parts : [{ is: 'group', group: { match, parts } }];
}

/** Nobody types faster than this and wants to see what comes of each letter. */
const PAUSE_MS = 150;

/** What is being typed into a search: read into conditions as one types. */
export class TypedSearch {
  text = $state('');
  unknown = $state.raw<string[]>([]);
  trouble = $state('');
  #base: FilterDraft | null = null;
  #reading: Promise<void> | null = null;
  #asked = 0;

  constructor(
    private readonly subject: Subject,
    private readonly draft: () => FilterDraft,
    private readonly onchange: (draft: FilterDraft) => void,
    private readonly read: (subject: Subject, text: string) => Promise<Typed> = readTyped
  ) {}

  type(text: string) {
    this.#base ??= this.draft();
    this.text = text;
    const mine = ++this.#asked;
    this.#reading = new Promise<void>((rest) => setTimeout(rest, PAUSE_MS)).then(() =>
      mine === this.#asked ? this.#take(mine) : undefined
    );
  }

  /**
   * Reads what was typed last, and keeps its conditions; false, and all stays as it was typed, when
   * there was trouble or not all of it was understood.
   */
  async settle(): Promise<boolean> {
    await this.#reading;
    if (this.trouble || this.unknown.length) return false;
    this.forget();
    return true;
  }

  /** As it was before anything was typed. */
  undo() {
    this.#asked++;
    if (this.#base) this.onchange(this.#base);
    this.forget();
  }

  /** The conditions stand as they are; what is typed next comes besides. */
  forget() {
    this.#base = null;
    this.#reading = null;
    this.text = '';
    this.trouble = '';
    this.unknown = [];
  }

  async #take(mine: number) {
    const base = this.#base;
    if (!base) return;
    try {
      const typed = this.text.trim() ? await this.read(this.subject, this.text) : null;
      if (mine !== this.#asked) return;
      this.trouble = '';
      this.unknown = typed?.unknown ?? [];
      this.onchange(typed ? withTyped(base, typed.filter) : base);
    } catch (error) {
      if (mine === this.#asked) this.trouble = error instanceof Error ? error.message : '';
    }
  }
}
