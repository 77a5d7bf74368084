import { ApiProblem } from '$lib/api/client';

/** A file of the house; a problem in the words of the house where there is none. */
export async function fetched(path: string, signal: AbortSignal): Promise<Blob> {
  const response = await fetch(path, { signal });
  if (!response.ok) {
    const said = (await response.json().catch(() => ({}))) as { detail?: string };
    throw new ApiProblem(response.status, said.detail ?? 'It cannot be shown.', '');
  }
  return response.blob();
}
