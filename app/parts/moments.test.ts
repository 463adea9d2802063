/** Instants as the home's own clock shows them. */
import { momentWords } from './moments';

it('are told by the clock of the home, not of the device', () => {
  const atMs = Date.UTC(2026, 2, 14, 7, 5);
  expect(momentWords(atMs, { timeZone: 'Europe/London' })).toBe('14 Mar 2026, 7:05');
  expect(momentWords(atMs, { timeZone: 'Australia/Adelaide' })).toBe('14 Mar 2026, 17:35');
  expect(momentWords(atMs, { timeZone: 'America/Los_Angeles' })).toBe('14 Mar 2026, 0:05');
});

it('follow the clock when it is changed', () => {
  const [before, after] = [Date.UTC(2026, 2, 29, 0, 59), Date.UTC(2026, 2, 29, 1, 1)];
  expect(momentWords(before, { timeZone: 'Europe/London' })).toBe('29 Mar 2026, 0:59');
  expect(momentWords(after, { timeZone: 'Europe/London' })).toBe('29 Mar 2026, 2:01');
});
