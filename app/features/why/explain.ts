/** What each figure of a spot was made from, put in words. */
import {
  clockOf,
  DAY_THRESHOLD_PPFD,
  LEAF_HEIGHT_M,
  compassWord,
  lightDoubt,
  placedSpots,
  seasonalMonth,
  sideBearing,
  type Condition,
  type HomeFacts,
  type HungCurtain,
  type Room,
  type SpotAnswer,
} from '@dulvan/core';
import { curtains, knowledge } from '@dulvan/catalogue';
import { timerWords } from '../../parts/timer-words';
import { brightness, count, hours, length, mol, weatherName, monthsInWords } from '../../parts/words';
import type { Units } from '../../state/settings';
import { monthName } from '../../ui/months';
import { explainAir } from './explain-air';
import { roomOf, type Asked, type Explanation, type Pair } from './explanation';
import { DLI_ASSUMED, dliMethod, said } from './method-words';

export type Figure = 'dli' | 'peak' | 'sun' | 'day' | 'air' | 'vpd';

/** Explains one figure of a spot in a month. */
export function explain(asked: Asked, figure: Figure): Explanation {
  const condition = asked.answer.conditions[asked.month - 1]!;
  switch (figure) {
    case 'dli':
      return explainDli(asked, condition);
    case 'peak':
      return explainPeak(asked, condition);
    case 'sun':
      return explainSun(asked, condition);
    case 'day':
      return explainDay(asked, condition);
    case 'air':
    case 'vpd':
      return explainAir(asked, condition, figure);
  }
}

function explainPeak(asked: Asked, condition: Condition): Explanation {
  return {
    title: 'Brightest hour',
    value: brightness(condition.peakPpfd, asked.units),
    parts: [],
    inputs: placeFacts(asked),
    method: [
      said(
        'The hour of the month with the strongest direct sun on a clear day, with that hour’s sky, ground and',
        'reflected light on top, and every lamp that burns in the month.',
        'A fleck of sun that passes counts for its share of the hour.',
      ),
      'The sun is traced to the leaf through pane, frame and curtain at the middle of every quarter hour.',
    ],
    assumptions: [
      'The five day types of the month; the brightest one counts here.',
      heightWords(asked.facts, asked.spotId, asked.units),
    ],
    doubt: 'A fifth either way in clear air; a leaf turned to the sun gets more than a level one.',
  };
}

function explainSun(asked: Asked, condition: Condition): Explanation {
  return {
    title: 'Direct sun',
    value: `${hours(condition.sunHoursLikely)} a day`,
    parts: [
      ['If every day were clear', hours(condition.sunHoursPossible)],
      ['With the month’s cloud', hours(condition.sunHoursLikely)],
    ],
    inputs: placeFacts(asked),
    method: [
      said(
        'Hours in which the line from leaf to sun passes a window, no board in between, counted every quarter',
        'hour. Likely hours weigh each by how often the sun shines then (beam above 120 W/m²).',
      ),
    ],
    assumptions: [
      'A curtain that scatters most of its light takes the direct sun away while it is shut.',
      'Nothing outside but what is stated for each window.',
    ],
    doubt: 'A quarter of an hour at the edges; half a metre of a tree not stated can take it all.',
  };
}

function explainDay(asked: Asked, condition: Condition): Explanation {
  return {
    title: 'Day length at the leaf',
    value: hours(condition.dayH),
    parts: [
      ['Light above the threshold', hours(condition.dayH)],
      ['Longest unbroken night', hours(condition.longestNightH)],
    ],
    inputs: [...circuitFacts(asked), ...placeFacts(asked)],
    method: [
      said(
        `A leaf takes it for day above ${DAY_THRESHOLD_PPFD} µmol/m²s, far below what it grows by.`,
        'Daylight counts from the height of the sun, twilight included, at which this spot’s share of it',
        'passes that; lamps count while they burn.',
      ),
      'Taken on the fifteenth of the month.',
    ],
    assumptions: [roomLightWords(asked), 'A clear sky’s twilight.'],
    doubt: 'Species differ between 0.1 and 2 µmol/m²s: a quarter of an hour at either end.',
  };
}

/** At which heights a spot's light is judged. */
function heightWords(facts: HomeFacts, spotId: string, units: Units): string {
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  if (!placed || placed.heights.topM === placed.heights.middleM)
    return said(
      `The leaf lies level, ${length(LEAF_HEIGHT_M, units)} above the board:`,
      'no plant of known height stands there.',
    );
  const { middleM, topM } = placed.heights;
  return said(
    `Leaves lie level. The day’s sum is judged at their middle, ${length(middleM, units)} above the board, the`,
    `brightest hour at the top of the tallest plant, ${length(topM, units)} above it.`,
  );
}

/** How far a month's light may be off by the kind of place it is. */
function doubtWords(facts: HomeFacts, spotId: string, { shares }: Condition): string {
  const placed = placedSpots(facts).find(({ spot }) => spot.id === spotId);
  const straight = shares.sun + shares.sky + shares.ground + shares.obstruction;
  const daylight = straight + shares.reflected;
  if (!placed || daylight <= 0) return 'Its daylight is next to none.';
  const { share, method, because, surfaces } = lightDoubt(facts, placed, shares.reflected / daylight);
  const percent = (part: number) => `${Math.round(part * 100)} %`;
  const by = because.length > 0 ? ` (${because.join(', ')})` : '';
  const guessed = surfaces > 0.02 ? `, ${percent(surfaces)} for surfaces whose brightness is a guess` : '';
  return said(
    `In a stated weather its daylight is good for about ${percent(share)}:`,
    `${percent(method)} for the method in such a place${by}, as found against an independent tracing${guessed}.`,
    'One reading of a meter beats it.',
  );
}

/** Less straight daylight than this is none, mol a day. */
const NO_DAYLIGHT_DLI = 0.005;

function explainDli({ facts, spotId, answer, month, climate, units }: Asked, condition: Condition): Explanation {
  const { shares } = condition;
  const lampParts = Object.entries(shares.lamps)
    .filter(([, dli]) => dli >= 0.005)
    .map(([id, dli]): Pair => [facts.lamps.find((lamp) => lamp.id === id)?.name ?? 'Lamp', `${mol(dli)} mol`]);
  const parts: Pair[] = (
    [
      ['Sun, straight', shares.sun],
      ['Sky', shares.sky],
      ['Ground outside', shares.ground],
      ['What stands outside', shares.obstruction],
      ['Reflected by walls, boards and other surfaces', shares.reflected],
      ['The room’s own light', shares.roomLight],
    ] as const
  )
    .filter(([, dli]) => dli >= 0.005)
    .map(([name, dli]): Pair => [name, `${mol(dli)} mol`]);
  const clearness = climate?.clearness[seasonalMonth(month, facts.home.latitude) - 1];
  const daylight = shares.sun + shares.sky + shares.ground + shares.obstruction;
  const lit = daylight < NO_DAYLIGHT_DLI && lampParts.length > 0 ? 'lamps-alone' : 'windows-too';
  const daylightFacts: Pair[] = [
    ['Share of open ground’s light, overcast', `${mol(answer.daylightFactor * 100)} %`],
    ['Weather', weatherName(facts)],
    ...(facts.weathers.length > 0
      ? []
      : [
          [
            `Clearness in ${monthName(month)}`,
            clearness === undefined ? 'assumed 0.45' : clearness.toFixed(2),
          ] as const,
        ]),
    ...placeFacts({ facts, spotId, units }),
  ];
  return {
    title: 'Light',
    value: `${mol(condition.dli)} mol a day`,
    parts: [...parts, ...lampParts, ...correctedParts(answer)],
    inputs: [...(lit === 'lamps-alone' ? [] : daylightFacts), ...circuitFacts({ facts, spotId })],
    method: dliMethod(lit, Boolean(roomOf(facts, spotId)?.insideRoomId)),
    assumptions: [heightWords(facts, spotId, units), ...DLI_ASSUMED],
    doubt: said(
      `A dull day brings ${mol(condition.dliDullDay)} mol, a bright one ${mol(condition.dliBrightDay)};`,
      `the month’s mean lies between ${mol(condition.dliPoorYear)} and ${mol(condition.dliGoodYear)} in eight`,
      `years of ten, ${mol(condition.dliTypicalYear)} in a typical one (from 120 drawn years of days).`,
      doubtWords(facts, spotId, condition),
    ),
  };
}

/** What readings have done to the computed light. */
function correctedParts({ calibration }: SpotAnswer): Pair[] {
  const line = (name: string, given: NonNullable<SpotAnswer['calibration']>['daylight']): Pair[] =>
    given
      ? [
          [
            `${name} corrected by ${count(given.readings.length, 'reading')} to`,
            `${given.factor.toFixed(2)} times, ± ${Math.round(given.doubt * 100)} %`,
          ],
        ]
      : [];
  return calibration ? [...line('Daylight', calibration.daylight), ...line('Lamp light', calibration.lamps)] : [];
}

function roomLightWords({ facts, spotId }: Asked): string {
  const room = roomOf(facts, spotId);
  const outer = facts.rooms.find(({ id }) => id === room?.insideRoomId);
  const burns = (whose: string, { eveningFromMinute, eveningToMinute, eveningLux }: Room) =>
    said(
      `${whose} light is on from ${clockOf(eveningFromMinute)} to ${clockOf(eveningToMinute)} with ${eveningLux} lux`,
      'at the plants, as you stated.',
    );
  const words = [
    room && room.eveningLux > 0 ? burns('The room’s own', room) : null,
    room && outer && outer.eveningLux > 0
      ? said(
          `${burns('The outer room’s', outer)} ${Math.round(room.shellTransmittance * 100)} % of it comes through`,
          'the shell.',
        )
      : null,
  ].filter((each) => each !== null);
  return words.length > 0 ? words.join(' ') : 'No light of the room itself after dark is stated, so none is counted.';
}

/** The windows that light a spot, with what hangs in them. */
function placeFacts({ facts, spotId, units }: Pick<Asked, 'facts' | 'spotId' | 'units'>): Pair[] {
  const own = roomOf(facts, spotId);
  const room = own?.insideRoomId ? facts.rooms.find((outer) => outer.id === own.insideRoomId) : own;
  if (!room) return [];
  return facts.windows
    .filter((window) => window.roomId === room.id)
    .map((window): Pair => {
      const bearing = compassWord(sideBearing(room, window.side));
      const curtain =
        window.curtains.length === 0 ? 'no curtain' : window.curtains.map(curtainWords).join(', behind it ');
      const through = knowledge.glazing(window.glazingId)?.normalTransmittance;
      return [
        window.name,
        said(
          `${bearing}, ${length(window.widthM, units)} by ${length(window.heightM, units)}, glass`,
          `${through === undefined ? 'unknown' : `${Math.round(through * 100)} %`}, ${curtain}`,
        ),
      ];
    });
}

function curtainWords({ curtainId, fromMinute, toMinute, months }: HungCurtain): string {
  const name = curtains.find((curtain) => curtain.id === curtainId)?.name.toLowerCase() ?? 'a curtain';
  const when = months.length < 12 ? ` ${monthsInWords(months)}` : '';
  return `${name} from ${clockOf(fromMinute)} to ${clockOf(toMinute)}${when}`;
}

function circuitFacts({ facts, spotId }: Pick<Asked, 'facts' | 'spotId'>): Pair[] {
  const room = roomOf(facts, spotId);
  const standIds = new Set(facts.stands.filter((stand) => stand.roomId === room?.id).map((stand) => stand.id));
  const tierIds = new Set(facts.tiers.filter((tier) => standIds.has(tier.standId)).map((tier) => tier.id));
  const circuitIds = new Set(facts.lamps.filter((lamp) => tierIds.has(lamp.tierId)).map((lamp) => lamp.circuitId));
  return facts.circuits
    .filter((circuit) => circuitIds.has(circuit.id))
    .map((circuit): Pair => [circuit.name, timerWords(circuit)]);
}
