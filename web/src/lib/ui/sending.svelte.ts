import { ApiProblem } from '$lib/api/client';
import { notices } from './notices.svelte';

/** A form that is sent: whether that goes on, and what was wrong with one of its fields. */
export class Sending {
  busy = $state(false);
  wrong = $state.raw<{ field: string; words: string } | null>(null);

  /** What is wrong with a field; empty for nothing. */
  of(field: string): string {
    return this.wrong?.field === field ? this.wrong.words : '';
  }

  /** Does what sends it; what failed is said at its field, else as a notice. */
  async send(event: SubmitEvent, work: () => Promise<void>) {
    event.preventDefault();
    if (this.busy) return;
    this.busy = true;
    this.wrong = null;
    try {
      await work();
    } catch (error) {
      if (error instanceof ApiProblem && error.field) {
        this.wrong = { field: error.field, words: error.message };
      } else notices.fail(error);
    } finally {
      this.busy = false;
    }
  }
}
