/** The code that Node and SQLite give an error (`EADDRINUSE`, `SQLITE_FULL`); empty for an error without one. */
export function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
}
