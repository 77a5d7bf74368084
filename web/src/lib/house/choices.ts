/** Time zones there are, the house's own among them, in order. */
export function zones(own: string): string[] {
  const known = Intl.supportedValuesOf('timeZone');
  return [...new Set([...known, 'UTC', own])].sort();
}

/** Languages as they are written in a country, by which days, amounts and words are set. */
const TAGS = [
  'da-DK',
  'de-AT',
  'de-CH',
  'de-DE',
  'en-AU',
  'en-CA',
  'en-GB',
  'en-IE',
  'en-NZ',
  'en-US',
  'es-ES',
  'fi-FI',
  'fr-BE',
  'fr-CA',
  'fr-CH',
  'fr-FR',
  'it-IT',
  'nb-NO',
  'nl-BE',
  'nl-NL',
  'pl-PL',
  'pt-BR',
  'pt-PT',
  'sv-SE'
];

/** They by name, the house's own among them, in order. */
export function languages(own: string): { tag: string; name: string }[] {
  const names = new Intl.DisplayNames('en-GB', { type: 'language', languageDisplay: 'standard' });
  return [...new Set([...TAGS, own])]
    .map((tag) => ({ tag, name: names.of(tag) ?? tag }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** Currencies by name, in order. */
export function currencies(): { code: string; name: string }[] {
  const names = new Intl.DisplayNames('en-GB', { type: 'currency' });
  return Intl.supportedValuesOf('currency')
    .map((code) => ({ code, name: `${names.of(code) ?? code} (${code})` }))
    .sort((a, b) => a.name.localeCompare(b.name));
}
