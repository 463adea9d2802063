/** What a verdict was made from, so that it can be worked out again by hand. */
import {
  FIVE_YEARS_TO_SOONEST,
  SOONEST_WEEKS,
  burnDose,
  burnsFrom,
  growthIn,
  reserveOf,
  upkeep,
  weightOf,
  type Condition,
  type FactorFit,
  type HomeFacts,
  type Plant,
  type PlantAnswer,
  type YearFit,
} from '@dulvan/core';
import { verdictSentence, whenInWords } from '../../parts/verdict-words';
import { FACTOR_WORD, bandOf, brightness, degrees, fitShare, getsWords, mol, valueOf } from '../../parts/words';
import type { Units } from '../../state/settings';
import { monthName } from '../../ui/months';
import type { Explanation } from './explanation';
import { said } from './method-words';

interface Asked {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly answer: PlantAnswer;
  readonly fit: YearFit;
  readonly month: number;
  readonly units: Units;
  /** Twelve months of its spot. */
  readonly here: readonly Condition[];
}

type Pair = readonly [name: string, value: string];

export function explainVerdict(asked: Asked): Explanation {
  const { facts, answer, fit, month, here } = asked;
  const { verdict } = fit;
  const target = answer.targets[month - 1]!;
  return {
    title: 'Verdict',
    value: `${verdictSentence(verdict)} · ${fitShare(verdict.score)}`,
    parts: [...partsOf(asked), ...factorParts(asked)],
    inputs: [
      ...(here.length === 12 ? lightInputs(asked) : []),
      ...growthInputs(asked),
      ...target.rules.map((rule): Pair => [rule, '']),
    ],
    method: METHOD,
    assumptions: [
      said(
        `Stage and growth state as you gave them; seasons by the ${facts.home.latitude < 0 ? 'southern' : 'northern'}`,
        `calendar where you said nothing. ${reserveWords(asked)}`,
      ),
      said(
        'Needs come from the catalogue, with your own corrections and what you saw of the plant over them; each says',
        'whether it rests on trials, growers’ practice or inference.',
      ),
      said(
        'A cold night and a hot afternoon are those of spells that come once or twice in a month, worked out',
        'for the room; beside a pane colder and hotter by what its glass lets through.',
      ),
    ],
    doubt: said(
      'Growers’ judgement cast into figures: a time is good to about half or twice, and differences under about 5',
      'points mean little. The order of spots is firmer than the percentages.',
    ),
  };
}

/** The four ways of judging: the least of them is the verdict. */
function partsOf({ fit: { verdict } }: Asked): Pair[] {
  const { slow, harm, form, winter } = verdict.parts;
  const when = verdict.harmMonths.length === 0 ? '' : whenInWords(verdict.harmMonths);
  return [
    [verdict.weeks === null ? 'It lives on; by its growth' : 'By the time its reserve lasts', fitShare(slow)],
    [`By the worst harm${when === '' ? '' : `, ${when}`}`, fitShare(harm)],
    ...(form < 1 ? [['By the form it loses', fitShare(form)] as const] : []),
    ...(winter < 1 ? [['Without the winter it needs', fitShare(winter)] as const] : []),
  ];
}

function reserveWords({ plant, answer }: Asked): string {
  const since = plant.movedOn ?? plant.arrivedOn;
  if (since === null) return 'Since when it stands there is not known: its reserve is taken for full now.';
  if (answer.reserveLeft >= 1) return `It has stood there since ${since}: its reserve is taken for full now.`;
  return `Of its reserve ${fitShare(answer.reserveLeft)} is left, by the light it has had there since ${since}.`;
}

const factorParts = (asked: Asked): Pair[] =>
  asked.fit.months[asked.month - 1]!.factors.map((reading) => [
    said(
      `${FACTOR_WORD[reading.factor]} in ${monthName(asked.month)}:`,
      `gets ${getsWords(reading, asked.units)},`,
      endsOf(asked, reading),
    ),
    fitShare(reading.score),
  ]);

/** Both ends of a factor's line: where it leaves all, and where it leaves what it can take at most. */
function endsOf({ answer, month, units, here }: Asked, { aspect, wantsFrom, wantsTo }: FactorFit): string {
  const target = answer.targets[month - 1]!;
  const { warmth } = target;
  const value = (figure: number) => valueOf(aspect, figure, units);
  const band = bandOf({ aspect, wantsFrom, wantsTo }, units);
  switch (aspect) {
    case 'dli': {
      const nothing = here.length === 12 ? upkeep(target, here[month - 1]!) : target.light.survives;
      const half = value(target.light.scorches);
      return `all from ${value(wantsFrom)} to ${value(wantsTo)}, nothing at ${value(nothing)}, half at ${half}`;
    }
    case 'peak':
      return `all ${band}, less by the dose below`;
    case 'day-length':
      return `all from ${value(wantsFrom)} to ${value(wantsTo)}, 70 % six hours beyond`;
    case 'day':
    case 'night':
      return `all at ${band}, half at ${degrees(warmth.lowest, units)} and at ${degrees(warmth.highest, units)}`;
    case 'cold-night':
    case 'hot-day':
      return `all ${band}, less by each degree beyond, the more the longer it lasts`;
    case 'swing':
      return `all ${band}, 90 % at 4 K and 75 % at 8 K more`;
    case 'night-drop':
      return `all at ${band}, 94 % without any`;
    case 'dryness':
      return `all ${band}, 70 % at 1.6 times and half at 2.5 times`;
    case 'humidity':
      return `all ${band}, half at 10 points more`;
    case 'movement':
      return `wants ${band}`;
  }
}

function lightInputs({ answer, month, units, here }: Asked): Pair[] {
  const target = answer.targets[month - 1]!;
  const condition = here[month - 1]!;
  const limit = burnsFrom(target, condition);
  return [
    [`Light in ${monthName(month)}`, `${mol(condition.dli)} mol a day`],
    ['Light by month, mol a day, January first', here.map(({ dli }) => mol(dli)).join(' · ')],
    [
      'It uses up by month to live',
      answer.targets.map((each, i) => (each.isDormant ? '–' : mol(upkeep(each, here[i]!)))).join(' · '),
    ],
    [
      'What it uses up to live, at this warmth',
      said(
        `${mol(upkeep(target, condition))} mol (${mol(target.light.survives)} at ${degrees(20, units)},`,
        'twice that for 10 K more)',
      ),
    ],
    ['Thrives from', `${mol(target.light.thrivesFrom)} mol`],
    ['Lives on its reserve in the dark', `${Math.round(reserveOf(answer.targets))} weeks`],
    [
      'Burns from',
      said(
        `${brightness(limit, units)}; on a clear day`,
        `${burnDose(condition.clearDay, limit).toFixed(1)} hours at twice that`,
      ),
    ],
  ];
}

function growthInputs({ answer, fit, month, here }: Asked): Pair[] {
  const weights = answer.targets.map(weightOf);
  return [
    ['Growth of the year, of what it could', fitShare(fit.verdict.growth)],
    ...(here.length === 12
      ? [
          [
            'Growth by month, %, January first',
            answer.targets.map((target, i) => Math.round(100 * growthIn(target, here[i]!))).join(' · '),
          ] as const,
          ['Each counts', weights.map((weight) => weight.toFixed(1)).join(' · ')] as const,
        ]
      : []),
    [`Growth in ${monthName(month)}`, fitShare(fit.months[month - 1]!.growth)],
  ];
}

const METHOD: readonly string[] = [
  said(
    'The verdict is the least of four: how long it lives on its light, the worst harm of any month, its form, and its',
    'winter.',
  ),
  said(
    'A month that gives less light than the plant uses up takes weeks of its reserve: 4.35 weeks in the dark, less by',
    'the share it gets. A brighter month fills it again, at twice the pace. It is followed for five years.',
  ),
  said(
    `Where the reserve is used up: ${SOONEST_WEEKS} weeks are 10 %, five years 50 %, and each doubling of the time is`,
    `one step (10 % + 40 % · ln(weeks ÷ ${SOONEST_WEEKS}) ÷ ln ${FIVE_YEARS_TO_SOONEST}).`,
    'Where it lives on: 50 % and half of its growth.',
  ),
  said(
    'Growth by light goes from 0 at what it uses up to 100 % where it thrives, each doubling of the light one step;',
    'weak or stretching light makes less of it, too much slows it. Day length, warmth, moisture and air each',
    'take their share. A month of rest counts for less, one asleep without leaves for nothing.',
  ),
  said(
    'Burning: the light of a clear day beyond what the leaf tolerates, summed by the hour as shares of it. Up to 1 is',
    '100 %, 3 is 80 %, 6 is 50 %, 12 is 25 %. A leaf not used to the sun burns at half.',
  ),
  said(
    'Cold: a night 1 K below what it survives is 50 %, 3 K 25 %. Heat: 2 K above is 60 %, 5 K 30 %. Damp nights: 5',
    'points too moist are 75 %, 10 are 50 %. Dry days count where the air is drier than it survives.',
  ),
];
