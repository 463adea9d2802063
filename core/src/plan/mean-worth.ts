import { lightStates, worthAt, type PlanProblem } from './problem';

/** By plant and spot: what it is worth through the year, each season under its best light. */
export function meanWorth(problem: PlanProblem): Float64Array {
  const { seasons, plants, spots, worth } = problem;
  const states = lightStates(problem);
  return Float64Array.from({ length: plants.length * spots.length }, (_, i) => {
    const [plant, spot] = [Math.floor(i / spots.length), i % spots.length];
    return seasons.reduce((sum, _season, season) => {
      const at = worthAt(problem, states, { season, plant, spot });
      return sum + Math.max(...worth.subarray(at, at + states.count[spot]!));
    }, 0);
  });
}
