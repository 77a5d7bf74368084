/** How lists of the house's words are headed. */
export const standingWords = {
  STATUS: {
    title: 'Statuses of members',
    words:
      'The first is what a new member has. “Current member” in a filter asks for those marked.',
    another: 'Another status'
  },
  STAGE: {
    title: 'Stages of leads',
    words: 'In the order in which a lead goes through them.',
    another: 'Another stage'
  },
  TASK: {
    title: 'Kinds of tasks',
    words: 'The first is what a day to remember makes.',
    another: 'Another kind'
  }
};
