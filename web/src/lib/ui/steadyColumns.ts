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

function settle(table: HTMLTableElement, columns: HTMLElement) {
  table.style.tableLayout = 'auto';
  columns.replaceChildren();
  const all = table.getBoundingClientRect().width;
  const shown = [...table.rows[0]!.cells].filter((head) => head.offsetWidth > 0);
  columns.append(
    ...shown.map((head) => {
      const column = document.createElement('col');
      column.style.width = `${(100 * head.getBoundingClientRect().width) / all}%`;
      return column;
    })
  );
  table.style.tableLayout = 'fixed';
}
