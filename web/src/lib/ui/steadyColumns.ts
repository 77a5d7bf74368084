import type { Attachment } from 'svelte/attachments';

/**
 * Columns as wide as the rows that come first want them, and as wide however far one scrolls; again
 * when the table gets another width, or what is given changes.
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
  const shown = [...table.rows[0]!.cells].filter((head) => head.offsetWidth > 0);
  columns.append(
    ...shown.map((head) => {
      const column = document.createElement('col');
      column.style.width = `${head.getBoundingClientRect().width}px`;
      return column;
    })
  );
  table.style.tableLayout = 'fixed';
}
