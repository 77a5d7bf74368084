import type { Standing } from '$lib/api/types';

/** Where a message stands, in a row of its own. */
export const standingWords: Record<Standing, string> = {
  REPLIED: 'replied',
  CLICKED: 'clicked',
  OPENED: 'opened',
  MACHINE_OPENED: 'opened by a machine',
  NOTHING: 'nothing yet',
  AUTO_REPLIED: 'auto-reply',
  LEFT: 'left the list',
  RETURNED: 'returned'
};
