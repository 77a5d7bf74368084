import type { ReaderLanguage } from '$lib/api/types';

/** The languages whose words ship, by what their speakers call them. */
export const LANGUAGES: Record<ReaderLanguage, string> = {
  EN: 'English',
  DE: 'Deutsch',
  FR: 'Français',
  NO: 'Norsk',
  ES: 'Español'
};

/** They by tag (BCP 47), in the same order. */
export const shipped = Object.entries(LANGUAGES).map(([tag, name]) => ({
  tag: tag.toLowerCase(),
  name
}));
