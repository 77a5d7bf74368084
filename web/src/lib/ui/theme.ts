import type { ThemeConfig } from 'flowbite-svelte';

const field =
  'bg-card border-line text-ink placeholder:text-soft text-[1rem] rounded-lg focus:border-kelp-mid focus:ring-kelp-mid';

/** What the palette alone does not set on Flowbite's parts; the only place where they are dressed. */
export const theme: ThemeConfig = {
  button: {
    base: 'font-semibold rounded-lg text-[0.96rem] leading-5 whitespace-nowrap focus-within:ring-0'
  },
  input: { input: `${field} px-2.5 py-1.5` },
  textarea: { base: field },
  select: { select: `${field} px-2.5 py-1.5 pe-8` },
  label: 'text-[0.93rem] font-normal text-ink',
  checkbox: { base: 'me-2 border-soft bg-card text-kelp focus:ring-kelp-mid' },
  radio: { input: 'me-2 border-soft bg-card text-kelp focus:ring-kelp-mid' },
  dropdown: { base: 'bg-card border border-line rounded-lg shadow-lg' }
};
