import { nobody, type Selection } from './selection';

/** Who is picked in a list, for the next look at it in this tab. */
const STORE = 'jemble-picked-';

interface Stored {
  /** What was listed when they were picked. */
  shown: string;
  all: boolean;
  reach: Selection['reach'];
  picked: number[];
  dropped: number[];
}

/** Keeps what is picked while these are shown; nothing is kept when nobody is picked. */
export function keepPicked(subject: string, shown: string, selection: Selection) {
  try {
    if (!selection.all && selection.picked.size === 0) {
      sessionStorage.removeItem(STORE + subject);
      return;
    }
    const { all, reach, picked, dropped } = selection;
    const stored: Stored = { shown, all, reach, picked: [...picked], dropped: [...dropped] };
    sessionStorage.setItem(STORE + subject, JSON.stringify(stored));
  } catch {
    // A tab that keeps nothing has nobody picked after a reload.
  }
}

/** Who was picked while just these were shown. */
export function pickedBefore(subject: string, shown: string): Selection {
  try {
    const stored = JSON.parse(sessionStorage.getItem(STORE + subject) ?? 'null') as Stored | null;
    if (!stored || stored.shown !== shown) return nobody;
    return {
      all: stored.all,
      reach: stored.reach,
      picked: new Set(stored.picked),
      dropped: new Set(stored.dropped)
    };
  } catch {
    return nobody;
  }
}
