/** How the house's weeks lie on a calendar. */
class Week {
  /** The first day of a week, from Sunday, which is 0, on. */
  first = $state<0 | 1 | 6>(1);

  /** Follows what the house says of its weeks; Monday where nobody is signed in. */
  beginOn(day: string | undefined) {
    this.first = day === 'SUNDAY' ? 0 : day === 'SATURDAY' ? 6 : 1;
  }
}

export const week = new Week();
