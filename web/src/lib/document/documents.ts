import { api, answer, send } from '$lib/api/client';
import type { DocumentDraft, HouseDocument, MergeFieldName } from '$lib/api/types';

/** What a chooser of files offers. */
export const DOCX = '.docx,application/vnd.openxmlformats-officedocument.wordprocessingml.document';

/** Brings a file in as a new document. */
export async function bringIn(file: File): Promise<HouseDocument> {
  const path = `/api/documents?name=${encodeURIComponent(file.name)}`;
  return (await send(path, 'application/octet-stream', file)).json() as Promise<HouseDocument>;
}

/** Brings another file in as the next version of a document. */
export async function nextVersion(document: HouseDocument, file: File): Promise<HouseDocument> {
  const path = `/api/documents/${document.id}/versions`;
  const query = `?name=${encodeURIComponent(file.name)}&version=${document.version}`;
  const response = await send(path + query, 'application/octet-stream', file);
  return response.json() as Promise<HouseDocument>;
}

export const documentQuery = (id: number) => ({
  queryKey: ['document', id],
  queryFn: () => answer(api.GET('/api/documents/{id}', { params: { path: { id } } })),
  refetchOnWindowFocus: false
});

/** What can be changed of a document, as it is. */
export function draftOf(document: HouseDocument): DocumentDraft {
  return {
    name: document.name,
    label: document.label,
    startsFrom: document.startsFrom,
    private: document.private,
    matches: Object.fromEntries(
      document.fields.map((f) => [f.name, { field: f.field ?? '', otherwise: f.otherwise }])
    ),
    version: document.version
  };
}

/** How many of its fields stand for nothing, in words; empty where all stand for something. */
export function unmatchedWords(document: HouseDocument): string {
  if (document.unmatched === 0) return '';
  return document.unmatched === 1
    ? '1 field stands for nothing yet'
    : `${document.unmatched} fields stand for nothing yet`;
}

/** "3 fields", "no fields". */
export function fieldsWords(document: HouseDocument): string {
  const many = document.fields.length;
  if (many === 0) return 'no fields';
  return many === 1 ? '1 field' : `${many} fields`;
}

/** What changed in the fields from one file to the next; empty for nothing. */
export function changedWords(past: { added: string[]; dropped: string[] }): string {
  const said = [];
  if (past.added.length) said.push(`new: ${past.added.join(', ')}`);
  if (past.dropped.length) said.push(`gone: ${past.dropped.join(', ')}`);
  return said.join(' · ');
}

/** Where something whose letters are made of a document is found. */
export function usedAt(used: { id: number; kind: string }): string | null {
  return used.kind === 'MAILING' ? `/mailings/${used.id}` : null;
}

/** Fields of the records that can stand in a document, by their labels. */
export function standIns(fields: MergeFieldName[]): { value: string; name: string }[] {
  return fields
    .filter((field) => field.type !== 'PICTURE')
    .map((field) => ({ value: field.name, name: field.label }));
}
