import { count } from './numbers';

/** "1 letter", "13 letters". */
export const manyLetters = (n: number) => (n === 1 ? '1 letter' : `${count(n)} letters`);

/** "1 page", "26 pages". */
export const manyPages = (n: number) => (n === 1 ? '1 page' : `${count(n)} pages`);

/** "1 sheet", "26 sheets". */
export const manySheets = (n: number) => (n === 1 ? '1 sheet' : `${count(n)} sheets`);
