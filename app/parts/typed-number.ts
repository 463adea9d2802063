/** Numbers as people type them. */

/** A number as people type it: a comma or a point, blanks around; NaN when it is none. */
export function typedNumber(text: string): number {
  const plain = text.trim().replace(/\s/g, '').replace(',', '.').replace('−', '-');
  return /^[-+]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : NaN;
}
