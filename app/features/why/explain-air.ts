/** What the warmth and moisture of a spot were made from, put in words. */
import { hoursWet, pressureAt, type AirStep, type Condition, type HomeFacts, type Room } from '@dulvan/core';
import { MOVEMENT_WORDS, STEP_WORDS } from '../../parts/air-words';
import { degrees } from '../../parts/words';
import { roomOf, type Asked, type Explanation, type Pair } from './explanation';
import { said } from './method-words';

const BASIS_WORD = {
  stated: 'You gave it',
  computed: 'Computed',
  corrected: 'Computed, corrected by other months',
  between: 'Estimated between the months you gave',
  assumed: 'Assumed',
} as const;

/** Warmth or moisture of a spot. */
export function explainAir({ facts, spotId, units }: Asked, condition: Condition, figure: 'air' | 'vpd'): Explanation {
  const { air } = condition;
  const room = roomOf(facts, spotId);
  const basis = {
    stated: 'Stated by you for this month.',
    computed:
      'Computed by the hour from the outdoor air of the month, the room’s walls, panes and heating, the sun ' +
      'through its windows, lamps, people and plants; water by what is given off and what airing carries away.',
    corrected:
      'Computed from the room and the month’s outdoor air, and moved by as much as the months you measured differ ' +
      'from what is computed for them.',
    between: 'Estimated between the months you gave, along a straight line.',
    assumed: 'Nothing was stated for this room: a plain heated room is assumed.',
  }[air.basis];
  return {
    title: figure === 'air' ? 'Warmth' : 'Moisture',
    value:
      figure === 'air'
        ? `${degrees(air.dayC, units)} by day, ${degrees(air.nightC, units)} by night`
        : `${Math.round(air.dayRh)} %, VPD ${condition.vpdDay.toFixed(2)} kPa`,
    parts: [
      ['Day', `${degrees(air.dayC, units)}, ${Math.round(air.dayRh)} %`],
      ['Night', `${degrees(air.nightC, units)}, ${Math.round(air.nightRh)} %`],
    ],
    inputs: [
      ['Room', room?.name ?? ''],
      ['Where it comes from', BASIS_WORD[air.basis]],
      ['Air movement', MOVEMENT_WORDS[air.movement]],
      [
        'Leaf warmer than the air by',
        `${condition.leafK.toFixed(1)} K by day: VPD at the leaf ${condition.vpdLeaf.toFixed(2)} kPa`,
      ],
      ['A sprayed leaf is dry after', dryAfter(facts, air)],
      ...air.steps.map((step): Pair => [STEP_WORDS[step.from], stepWords(step)]),
    ],
    method: [
      basis,
      said(
        'VPD is the saturation pressure at the leaf, told for a leaf as warm as the air and for one warmed by light,',
        'less the vapour in the air (Hyland and Wexler).',
      ),
    ],
    assumptions: assumedOfAir(facts, room),
    doubt: said(
      `Within about ${air.spread.celsius.toFixed(1)} K, and ${Math.round(air.spread.rhBelow)} points of humidity`,
      `less to ${Math.round(air.spread.rhAbove)} more, in four cases of five. Leaks and what wets the air are guesses`,
      'until a record says better.',
    ),
  };
}

/** Water on leaves for a night lets spots and rot in. */
function dryAfter({ home }: HomeFacts, { dayC, dayRh, nightC, nightRh, movement }: Condition['air']): string {
  const pressurePa = pressureAt(home.elevationM);
  const after = (celsius: number, rh: number) => {
    const wet = hoursWet({ celsius, rh, movement, pressurePa });
    return wet >= LONG_WET_H ? `more than ${LONG_WET_H} h` : `${wet.toFixed(1)} h`;
  };
  return `${after(dayC, dayRh)} by day, ${after(nightC, nightRh)} by night, to a factor of two`;
}
const LONG_WET_H = 12;

const signedK = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)} K`;

/** What one thing makes of a spot's air. */
function stepWords({ dayK, nightK, water }: AirStep): string {
  const wetter =
    Math.abs(water - 1) >= 0.005 ? `, water ${water > 1 ? '+' : '−'}${Math.round(Math.abs(water - 1) * 100)} %` : '';
  return `${signedK(dayK)} by day, ${signedK(nightK)} by night${wetter}`;
}

/** What was not said of a room's heating and airing, and what is taken in its place. */
function assumedOfAir(facts: HomeFacts, room: Room | undefined): string[] {
  const isSaid = facts.climates.some(({ roomId }) => roomId === room?.id);
  if (isSaid)
    return ['Offsets of single spots are usual values, right to within a half, until a record corrects them.'];
  return [
    'Nothing was said of its heating and airing: 20 °C by day, 17 °C by night, usual walls, shut windows with gaps ' +
      'and eight hours of people a day are assumed; a cabinet follows its room.',
    'Offsets of single spots are usual values, right to within a half, until a record corrects them.',
  ];
}
