/**
 * A plan bettered as far as exchanges go: chains and rings over every run of seasons, and circuits turned, each setting
 * held against the plan only after plants have been exchanged under it: a lamp turned up pays by who comes under it.
 */
import { Arrangement } from './arrangement';
import { Exchanges } from './exchange';
import type { Plan, PlanProblem } from './problem';

/** What a change must bring, and a round of turning for another, as a share of what the plan is worth. */
const WORTH_MAKING = 1e-6;
const WORTH_GOING_ON = 2e-4;

export interface Turning {
  /** Rounds through all circuits at most. */
  readonly rounds: number;
  /** Whether a setting is worth trying in a season. */
  readonly isLikely: (season: number, circuit: number, setting: number) => boolean;
  /** Asked between circuits. */
  readonly goOn: () => boolean;
}

/** The plan after every exchange that pays, and every turn of a circuit if that is wanted. */
export function polished(problem: PlanProblem, start: Plan, turning?: Turning): Plan {
  const arrangement = new Arrangement(problem, start);
  const exchanges = new Exchanges(problem, arrangement);
  const runs = runsOf(problem.seasons.length);
  exchangeAll(arrangement, exchanges, runs);
  for (let round = 0; turning && round < turning.rounds && turning.goOn(); round++) {
    const before = arrangement.objective;
    for (const circuit of problem.circuits.keys()) {
      if (!turning.goOn()) break;
      for (const run of runs) turnOver(problem, arrangement, exchanges, turning.isLikely, circuit, run);
    }
    exchangeAll(arrangement, exchanges, runs);
    if (arrangement.objective < before + WORTH_GOING_ON * Math.abs(before)) break;
  }
  return arrangement.plan();
}

type Run = readonly [from: number, to: number];

/** Every run of seasons, the longest first. */
function runsOf(seasons: number): Run[] {
  const runs: Run[] = [];
  for (let length = seasons; length >= 1; length--)
    for (let from = 0; from + length <= seasons; from++) runs.push([from, from + length - 1]);
  return runs;
}

function exchangeAll(arrangement: Arrangement, exchanges: Exchanges, runs: readonly Run[]): void {
  for (let before = -Infinity; arrangement.objective > before + WORTH_MAKING;) {
    before = arrangement.objective;
    for (const [from, to] of runs) exchanges.better(from, to);
  }
}

/** Each setting of a circuit over a run of seasons, kept where it pays once plants have been exchanged. */
function turnOver(
  { circuits }: PlanProblem,
  arrangement: Arrangement,
  exchanges: Exchanges,
  isLikely: Turning['isLikely'],
  circuit: number,
  [from, to]: Run,
): void {
  for (const setting of circuits[circuit]!.costs.keys()) {
    let [turns, likely] = [false, true];
    for (let season = from; season <= to; season++) {
      const isSet = arrangement.settingOf(season, circuit) === setting;
      turns ||= !isSet;
      likely &&= isSet || isLikely(season, circuit, setting);
    }
    if (!turns || !likely) continue;
    const before = arrangement.objective;
    arrangement.attempt();
    for (let season = from; season <= to; season++) arrangement.setTo(season, circuit, setting);
    arrangement.end('keep');
    exchanges.better(from, to);
    if (from !== to) for (let season = from; season <= to; season++) exchanges.better(season, season);
    arrangement.settle(arrangement.objective > before + WORTH_MAKING ? 'keep' : 'take-back');
  }
}
