import type { WholeMailing } from '$lib/api/types';

/** Where the address of a letter stands, by the envelope it is put in. */
export const forms: { form: WholeMailing['paper']['form']; words: string }[] = [
  { form: 'DIN_B', words: 'A4, window low (DIN 5008 B)' },
  { form: 'DIN_A', words: 'A4, window high (DIN 5008 A)' },
  { form: 'US', words: 'Letter, folded in three' }
];
