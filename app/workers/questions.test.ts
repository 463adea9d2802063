/** The questions that screens put to the worker: each asks the one engine, whose memory serves them all. */
import { HomeEngine, roomDay, tierField } from '@dulvan/core';
import { knowledge } from '@dulvan/catalogue';
import { shownHome } from '../testing/shown-home';
import { questionsOf } from './questions';

const YEAR = 2026;

describe('the questions of a worker', () => {
  const engine = new HomeEngine(knowledge);
  const questions = questionsOf(engine);

  it('tell what core tells of the same engine', () => {
    expect(questions.answer(shownHome, YEAR)).toEqual(engine.answer(shownHome, YEAR));
    const date = { year: YEAR, month: 6, day: 21 };
    expect(questions.roomDay(shownHome, shownHome.rooms[0]!.id, date, 'clear')).toEqual(
      roomDay(engine, shownHome, shownHome.rooms[0]!.id, date, 'clear'),
    );
    const { tierId } = shownHome.lamps[0]!;
    expect(questions.tierField(shownHome, tierId, YEAR)).toEqual(tierField(engine, shownHome, tierId, YEAR));
  });

  it('report how far an answer has come, never backward', () => {
    const shares: number[] = [];
    questions.answer(
      { ...shownHome, home: { ...shownHome.home, latitude: shownHome.home.latitude + 1 } },
      YEAR,
      (share) => shares.push(share),
    );
    expect(shares.length).toBeGreaterThan(0);
    expect(shares.every((share, i) => share >= 0 && share < 1 && (i === 0 || share > shares[i - 1]!))).toBe(true);
  });

  it('answer nothing, without failing, for what is not there', () => {
    expect(questions.lightYear(shownHome, 'gone', YEAR)).toBeNull();
    expect(questions.losses(shownHome, 'gone', YEAR)).toBeNull();
    expect(questions.wash(shownHome, 'gone', YEAR)).toBeNull();
    expect(questions.beside(shownHome, 'gone', [], YEAR)).toEqual([]);
  });
});
