import { ApiProblem, send } from '$lib/api/client';
import type { Picture } from '$lib/api/types';

/** Puts a picture on record; it is made small enough for mail on the way. */
export async function upload(file: File): Promise<Picture> {
  if (!file.type.startsWith('image/')) {
    throw new ApiProblem(0, `“${file.name}” is not a picture; attach it instead.`, 'file');
  }
  const path = `/api/pictures?name=${encodeURIComponent(file.name || 'picture')}`;
  const response = await send(path, 'application/octet-stream', file);
  return (await response.json()) as Picture;
}

/** Where a picture on record is found. */
export function pathOf(key: string): string {
  return `/pictures/${key}`;
}

/** What a file is likely called by its reader: its name without what only machines need. */
export function likelyText(name: string): string {
  const words = name
    .replace(/\.\w+$/, '')
    .replace(/[_-]+/g, ' ')
    .trim();
  return /^(img|dsc|image|picture|screenshot|pasted)?\s*\d*$/i.test(words) ? '' : words;
}

/** The pictures among what is dropped or pasted. */
export function picturesIn(transfer: DataTransfer | null): File[] {
  return [...(transfer?.files ?? [])].filter((f) => f.type.startsWith('image/'));
}
