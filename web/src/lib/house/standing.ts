/** How lists of the house's words are headed, and where the table holds them. */
export const standingWords = {
  STATUS: {
    held: 'statuses',
    title: 'Statuses of members',
    words:
      'The first is what a new member has. “Current member” in a filter asks for those marked.',
    another: 'Another status'
  },
  STAGE: {
    held: 'stages',
    title: 'Stages of leads',
    words: 'In the order in which a lead goes through them.',
    another: 'Another stage'
  },
  TASK: {
    held: 'tasks',
    title: 'Kinds of tasks',
    words: 'The first is what a day to remember makes.',
    another: 'Another kind'
  },
  OFFICE: {
    held: 'offices',
    title: 'Offices',
    words: 'Posts that people hold. Those in one group, such as officers, are written to together.',
    another: 'Another office'
  }
} as const;
