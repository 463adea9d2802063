/** How long catalogued plants live in dim places, held against the judgement of growers (reference/verdicts.json). */
import {
  LIGHT_CLASSES,
  lightClass,
  lightOutlook,
  yearTargets,
  type LightClass,
  type LitMonth,
  type Taxon,
} from '@dulvan/core';
import reference from '../reference/verdicts.json';
import { knowledge, taxa } from './index';

const ways = { latitude: 50, school: null, aim: 'whole' } as const;
const targetsOf = (taxon: Taxon) => yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways);

describe('the judgement of growers, where light alone decides', () => {
  const NAMED: Readonly<Record<string, string>> = {
    'Paphiopedilum Maudiae type': 'paphiopedilum-maudiae-hybrid',
    'Nepenthes ventrata': 'nepenthes-ventrata',
  };
  const taxonOf = (name: string) => taxa.find((taxon) => taxon.name === name) ?? knowledge.taxon(NAMED[name]!)!;
  const classOf = (score: number): LightClass =>
    score < 25 ? 'weeks' : score < 40 ? 'months' : score < 50 ? 'years' : score < 75 ? 'slow' : 'thrives';
  /** As the reference states it; straight lines between its four months. */
  const AIR = [
    [1, 20.5, 17],
    [4, 21, 17.5],
    [7, 24.5, 19],
    [10, 21, 17.5],
    [13, 20.5, 17],
  ] as const;
  const airIn = (month: number) => {
    const next = AIR.findIndex(([at]) => at > month);
    const [[from, dayC, nightC], [to, laterDayC, laterNightC]] = [AIR[next - 1]!, AIR[next]!];
    const share = (month - from) / (to - from);
    return { dayC: dayC + share * (laterDayC - dayC), nightC: nightC + share * (laterNightC - nightC) };
  };
  const yearAt = (spot: keyof typeof reference.spots): LitMonth[] =>
    reference.spots[spot].dli.map((dli, i) => ({ dli, air: airIn(i + 1) }));
  // Maidenhair dries out before it starves: its judgement in the dim is of the air.
  const cells = reference.cases
    .flatMap(({ taxon, judged }) => (['deep', 'dim'] as const).map((spot) => ({ taxon, spot, judged: judged[spot] })))
    .filter(({ taxon, spot }) => !(taxon === 'Adiantum raddianum' && spot === 'dim'));
  const steps = ({ taxon, spot, judged }: (typeof cells)[number]) => {
    const ours = lightClass(lightOutlook(targetsOf(taxonOf(taxon)), yearAt(spot), 11));
    const theirs = classOf(judged.score!);
    const coarse = ours === 'grows' ? 'slow' : ours;
    return Math.abs(LIGHT_CLASSES.indexOf(coarse) - LIGHT_CLASSES.indexOf(theirs));
  };

  it('is met in deep shade and in a dim corner for 85 of 100, to a class beside it for all', () => {
    const apart = cells.map(steps);
    expect(cells.length).toBeGreaterThanOrEqual(20);
    expect(Math.max(...apart)).toBeLessThanOrEqual(1);
    expect(apart.filter((step) => step === 0).length / apart.length).toBeGreaterThanOrEqual(0.85);
  });
});
