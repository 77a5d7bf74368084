/** A field's name as words: "quote.valid_until" is "quote valid until". */
export const fieldWords = (name: string): string => name.replace(/[_.]/g, ' ');
