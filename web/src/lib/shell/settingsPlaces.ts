import type { GivenRight } from '$lib/api/types';

/** A screen of settings. */
export interface Place {
  name: string;
  path: string;
  /** Who sees it; without one everybody does. */
  right?: GivenRight;
}

/** What is one's own first, then what is the house's. */
export const settingsPlaces: { title: string; places: Place[] }[] = [
  {
    title: 'Yours',
    places: [
      { name: 'Name and signature', path: '/settings/signature' },
      { name: 'Password and sessions', path: '/settings/sessions' }
    ]
  },
  {
    title: 'The house',
    places: [
      { name: 'Set-up', path: '/settings/set-up', right: 'SETTINGS' },
      { name: 'Name, place and clock', path: '/settings/house' },
      { name: 'Words of the house', path: '/settings/topics' },
      { name: 'Colleagues', path: '/settings/colleagues' },
      { name: 'Roles', path: '/settings/roles' },
      { name: 'History', path: '/settings/history', right: 'COLLEAGUES' },
      { name: 'Privacy', path: '/settings/privacy', right: 'SETTINGS' },
      { name: 'Fields of people', path: '/settings/fields' }
    ]
  },
  {
    title: 'Writing',
    places: [
      { name: 'Mail', path: '/settings/mail' },
      { name: 'Hours and caps', path: '/settings/sending' },
      { name: 'Texts and phones', path: '/settings/texts' },
      { name: 'Counting responses', path: '/settings/counting' },
      { name: 'Do-not-write list', path: '/settings/do-not-write' }
    ]
  }
];
