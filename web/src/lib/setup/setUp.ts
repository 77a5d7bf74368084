import { answer, api } from '$lib/api/client';
import type { SetUpStanding } from '$lib/api/types';

export type SetUpStep = SetUpStanding['steps'][number]['step'];

export const setUpQuery = () => ({
  queryKey: ['set-up'],
  queryFn: () => answer(api.GET('/api/set-up'))
});

/** What each step is, and the screen it is done on. */
export const steps: Record<SetUpStep, { name: string; words: string; path: string }> = {
  HOUSE: {
    name: 'Who you are',
    words: 'Your name, your postal address, your time zone and your mail domain.',
    path: '/settings/house'
  },
  MAIL: {
    name: 'Mail',
    words: 'The server your mails leave through, and the mailbox replies arrive in.',
    path: '/settings/mail'
  },
  WORDS: {
    name: 'Words of the house',
    words:
      'Topics that people can leave, plans and offices they can have, what you call where each stands.',
    path: '/settings/topics'
  },
  LETTERHEAD: {
    name: 'Letterhead',
    words: 'Colours, a picture and what stands above and beneath every mail.',
    path: '/letterheads'
  },
  PEOPLE: {
    name: 'People',
    words: 'Bring in a file of those you write to.',
    path: '/people/import'
  },
  COLLEAGUES: {
    name: 'Colleagues',
    words: 'Invite those who work with you, and say what each may do.',
    path: '/settings/colleagues'
  }
};

/** How far it is, in a sentence. */
export function setUpWords(standing: SetUpStanding): string {
  const done = standing.steps.filter((each) => each.done).length;
  if (done === standing.steps.length) return 'All of it is done.';
  return `${done} of ${standing.steps.length} steps are done; each can be left for later.`;
}
