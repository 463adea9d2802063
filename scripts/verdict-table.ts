/**
 * `npm run verdicts [month]`: every plant of the demo's homes as a grower would read it: verdict, time, what decides, flowers,
 * what would help. For reading, not for passing or failing.
 */
import { knowledge } from '@dulvan/catalogue';
import { HomeEngine, ask, knownPlant, urgencyOf, type HomeFacts, type PlantMends, type Remedy } from '@dulvan/core';
import { backRoom } from '../server/src/demo/back-room';
import { sailLoft } from '../server/src/demo/sail-loft';

const month = Number(process.argv[2] ?? 11);
const when = { year: 2026, month };
const percent = (share: number) => `${Math.round(share * 100)}`.padStart(3);
const weeks = (span: number | null) => (span === null ? 'lives on' : `${Math.round(span)} weeks`);

const told = ({ kind, ...rest }: Remedy) =>
  `${kind} ${Object.entries(rest)
    .map(([name, value]) => (name === 'plantId' ? '' : `${name.replace(/Id$|Minute$/, '')} ${JSON.stringify(value)}`))
    .join(' ')}`.replaceAll('"', '');

function mendsOf(mends: PlantMends | undefined): string[] {
  if (!mends) return [];
  return [
    ...mends.mends.map(
      ({ remedy, effect, others, steps }) =>
        `    ${told(remedy)}: ${percent(effect.before)} to ${percent(effect.after)}` +
        others.map((other) => `, ${other.plantId}${percent(other.before)} to ${percent(other.after)}`).join('') +
        (steps ? `, in steps over ${steps.weeks} weeks` : ''),
    ),
    ...(mends.refused
      ? [
          `    not ${told(mends.refused.remedy)}: ${mends.refused.harmed.plantId}` +
            `${percent(mends.refused.harmed.before)} to ${percent(mends.refused.harmed.after)}`,
        ]
      : []),
  ];
}

function tell(facts: HomeFacts): void {
  const engine = new HomeEngine(knowledge);
  const answers = ask(engine, facts, 'home', when);
  const mends = ask(engine, facts, 'mends', when);
  for (const plant of facts.plants) {
    const fit = answers.plants.find(({ plantId }) => plantId === plant.id)?.fit;
    if (!fit) continue;
    const { verdict, flowers, troubles } = fit;
    const { slow, harm, form, winter } = verdict.parts;
    console.log(
      [
        `${knownPlant(facts, plant, knowledge)?.taxon.name} on ${plant.spotId} (${plant.goal}, ${plant.stage}):`,
        `${percent(verdict.score)} ${verdict.life}, by ${verdict.decidedBy}, ${weeks(verdict.weeks)}`,
        `(poor years ${weeks(verdict.weeksInPoorYears)}), growth ${verdict.growth.toFixed(2)};`,
        `slow${percent(slow)} harm${percent(harm)} form${percent(form)} winter${percent(winter)};`,
        `flowers ${flowers ? `${flowers.likely} ${flowers.lacks.map(({ lack }) => lack).join(', ')}` : '–'};`,
        urgencyOf(plant.goal, fit),
      ].join(' '),
    );
    for (const { severity, aspect, direction, months, worst, weeks: until } of troubles)
      console.log(
        `  ${severity} ${aspect} ${direction} ${months.join(',')}: ${worst.gets.toFixed(1)} of ` +
          `${worst.wantsFrom.toFixed(1)}–${worst.wantsTo.toFixed(1)}, score ${worst.score.toFixed(2)}` +
          (until === null ? '' : `, in ${until.toFixed(1)} weeks`),
      );
    for (const line of mendsOf(mends.find(({ plantId }) => plantId === plant.id))) console.log(line);
  }
}

tell(sailLoft);
tell(backRoom);
