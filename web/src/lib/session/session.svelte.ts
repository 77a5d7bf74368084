import { answer, api, guard, signedInAnew } from '$lib/api/client';
import type { Colleague, GivenRight } from '$lib/api/types';
import { follow } from '$lib/format/now';
import { week } from '$lib/format/week.svelte';

/** Who is signed in. */
class Session {
  colleague = $state<Colleague | null>(null);
  /** Whether the server has been asked yet. */
  known = $state(false);
  /** Whether the session ended under somebody who was at work: they sign in on the spot. */
  over = $state(false);
  /** Counts up when somebody went on after that, so that what waited is sent. */
  resumed = $state(0);

  /** Whether the colleague's role gives them a right. */
  may(right: GivenRight): boolean {
    return this.colleague?.rights.includes(right) ?? false;
  }

  /** Why their role may not, and whom to ask; empty where it may. */
  why(right: GivenRight): string {
    return this.colleague?.refused.find((r) => r.right === right)?.sentence ?? '';
  }

  get zone(): string {
    return this.colleague?.zone ?? 'UTC';
  }

  private asking: Promise<void> | null = null;

  /**
   * Asks the server. Whoever asks at the same time shares the answer: a stranger who asks twice at
   * once is given two sessions, and the token of the one is none in the other.
   */
  load(): Promise<void> {
    this.asking ??= this.ask().finally(() => (this.asking = null));
    return this.asking;
  }

  private async ask() {
    const session = await answer(api.GET('/api/session'));
    carry(session);
    this.colleague = session.colleague;
    week.beginOn(session.colleague?.weekStart);
    follow(session.now, session.clockSpeed);
    this.known = true;
  }

  async signIn(login: string, password: string, code: string | null = null) {
    await this.load();
    await answer(api.POST('/api/session', { body: { login, password, code } }));
    await this.ask();
  }

  /** Signs the same colleague in again, on the spot; what is on the screen stays. */
  async resume(password: string, code: string | null = null) {
    const login = this.colleague?.login ?? '';
    carry(await answer(api.GET('/api/session')));
    await answer(api.POST('/api/session', { body: { login, password, code } }));
    await this.goOn();
  }

  /** Goes on where the same colleague has signed in again in another window; answers whether. */
  async resumeIfBack(): Promise<boolean> {
    const back = this.over && (await this.renew());
    if (back) await this.goOn();
    return back;
  }

  private async goOn() {
    await this.ask();
    signedInAnew();
    this.over = false;
    this.resumed++;
  }

  /** Takes the token of the sign-in that another window began, if it is the same colleague's. */
  async renew(): Promise<boolean> {
    const now = await answer(api.GET('/api/session'));
    const same = now.colleague?.id === this.colleague?.id;
    if (same) carry(now);
    return same;
  }

  async signOut() {
    await answer(api.DELETE('/api/session'));
    this.colleague = null;
  }
}

/** What every change carries from now on. */
function carry(session: { csrfHeader: string; csrfToken: string }) {
  guard.header = session.csrfHeader;
  guard.token = session.csrfToken;
}

export const session = new Session();
guard.renew = () => session.renew();
