/** A timer's form asks for one time, or leaves it to the programme. */
import { asked, asksItsTime, kept } from './timer-times';

const PROGRAMME = [{ months: [1, 2], spans: [{ onMinute: 360, offMinute: 600 }], level: 1 }];

it('asks a timer without a programme for its time alone', () => {
  const form = asked({ id: 'c', onMinute: 300, programme: [] });
  expect(form).toMatchObject({ follows: '', onMinute: 300 });
  expect(asksItsTime({ follows: '' })).toBe(true);
  expect(kept(form)).toEqual({ id: 'c', onMinute: 300, programme: [] });
});

it('keeps a programme that is followed, and does not ask for a time that would change nothing', () => {
  const form = asked({ id: 'c', programme: PROGRAMME });
  expect(form.follows).toBe('programme');
  expect(asksItsTime({ follows: 'programme' })).toBe(false);
  expect(kept(form)).toEqual({ id: 'c', programme: PROGRAMME });
});

it('gives a programme up for one time', () => {
  expect(asksItsTime({ follows: 'one-time' })).toBe(true);
  expect(kept({ id: 'c', programme: PROGRAMME, follows: 'one-time' })).toEqual({ id: 'c', programme: [] });
});
