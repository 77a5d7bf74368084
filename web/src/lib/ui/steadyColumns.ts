import type { Attachment } from 'svelte/attachments';

/**
 * Columns as wide, beside each other, as the rows that come first want them, and as wide however
 * far one scrolls; again when the table gets another width, or what is given changes. Together they
 * are as wide as their place: what does not fit is cut, and nothing scrolls sideways.
 */
export function steadyColumns(anew: () => unknown): Attachment<HTMLTableElement> {
  return (table) => {
    anew();
    const columns = document.createElement('colgroup');
    table.prepend(columns);
    let settled = 0;
    const observer = new ResizeObserver(() => {
      const hasRows = table.querySelector('tbody td') !== null;
      if (!hasRows || table.clientWidth === settled) return;
      settle(table, columns);
      settled = table.clientWidth;
    });
    observer.observe(table);
    return () => {
      observer.disconnect();
      table.style.tableLayout = '';
      columns.remove();
    };
  };
}

/** Narrower than this, in pixels, nothing can be read of a column. */
const LEAST = 72;

/**
 * Of columns that together want more than there is, those so marked give way, or else all alike. A
 * number says how wide they stay at least, in pixels.
 */
const GIVES_WAY = 'data-gives-way';

function settle(table: HTMLTableElement, columns: HTMLElement) {
  table.style.tableLayout = 'auto';
  columns.replaceChildren();
  const heads = [...table.rows[0]!.cells].filter((head) => head.offsetWidth > 0);
  const wanted = heads.map((head) => head.getBoundingClientRect().width);
  const giving = heads.map((head) => head.hasAttribute(GIVES_WAY));
  const least = heads.map((head) => Number(head.getAttribute(GIVES_WAY)) || LEAST);
  const widths = fitted(wanted, giving, table.parentElement?.clientWidth ?? 0, least);
  const all = sum(widths);
  columns.append(
    ...widths.map((width) => {
      const column = document.createElement('col');
      column.style.width = `${(100 * width) / all}%`;
      return column;
    })
  );
  table.style.tableLayout = 'fixed';
}

/** Widths in pixels that come to what there is, where those that give way can make it so. */
export function fitted(
  wanted: number[],
  giving: boolean[],
  room: number,
  least: number[] = wanted.map(() => LEAST)
): number[] {
  const over = sum(wanted) - room;
  const give = sum(wanted.filter((_, i) => giving[i]));
  if (over <= 0 || give <= over) return wanted;
  return wanted.map((width, i) =>
    giving[i] ? Math.max(Math.min(width, least[i] ?? LEAST), width * (1 - over / give)) : width
  );
}

function sum(numbers: number[]): number {
  return numbers.reduce((a, b) => a + b, 0);
}
