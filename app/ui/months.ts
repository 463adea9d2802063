/** The months by name. */
export const MONTH_NAMES = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/** @param month 1..12 */
export const monthName = (month: number): string => MONTH_NAMES[month - 1]!;
