/** A text without case and accents, for searching in. */
export const folded = (text: string): string => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');
