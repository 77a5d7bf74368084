/** How a value of a type may be written; the first is the usual way. */

interface Format {
  value: string;
  name: string;
}

const asIs: Format = { value: '', name: 'As it is' };
const capitals: Format = { value: 'as capitals', name: 'IN CAPITALS' };

const byType: Record<string, Format[]> = {
  MONEY: [
    { value: 'as money', name: '£1,042.50' },
    { value: '', name: 'As it is' }
  ],
  DAY: [
    { value: '', name: '4 April 2026' },
    { value: 'as "EEEE d MMMM"', name: 'Saturday 4 April' },
    { value: 'as "d MMMM"', name: '4 April' },
    { value: 'as "MMMM yyyy"', name: 'April 2026' },
    { value: 'as "d MMM yyyy"', name: '4 Apr 2026' }
  ],
  NUMBER: [asIs],
  FLAG: [asIs],
  PICTURE: [asIs]
};
byType.INSTANT = [...(byType.DAY ?? []), { value: 'as "HH:mm"', name: '09:30' }];

/** The formats to choose from; one that was written by hand is among them. */
export function formatsOf(type: string, written: string): Format[] {
  const formats = byType[type] ?? [asIs, capitals];
  return formats.some((f) => f.value === written)
    ? formats
    : [{ value: written, name: written.replace(/^as\s+/, '') }, ...formats];
}

/** How a format reads: the example it is chosen by, or its pattern as it was written. */
export function formatWords(written: string): string {
  const known = [...(byType.INSTANT ?? []), ...(byType.MONEY ?? []), capitals].find(
    (f) => f.value === written
  );
  return known && written.startsWith('as "') ? `as ${known.name}` : written;
}
