/** How a taxon lives besides its climate: water, bloom, increase and handling, each with how sure that is. */
import type {
  BudSetter,
  Certainty,
  KnownBlock,
  Manner,
  Taxon,
  Treatment,
  WaterFault,
  WayOfIncrease,
  WetLeaves,
} from '@dulvan/core';
import { View } from 'react-native';
import { monthsWords } from '../../parts/season-words';
import { SURE_WORD } from '../../parts/words';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { doesNotForgive, forgives } from './temper';
import { HABITS as WORDS } from './catalogue-words';

const FAULT_WORD: Readonly<Record<WaterFault, string>> = { lime: 'lime', fluoride: 'fluoride', salt: 'salts' };
const WET_WORD: Readonly<Record<WetLeaves, string>> = {
  never: 'Keep its leaves and crown dry.',
  'dry-by-night': 'Wet leaves must be dry by night.',
  'any-time': 'Wet leaves do it no harm.',
};
const DRIES_WORD: Readonly<Record<Taxon['water']['dries'], string>> = {
  slow: 'slower than most',
  medium: 'as most do',
  fast: 'faster than most',
};
const PACE_WORD: Readonly<Record<Taxon['care']['growth'], string>> = {
  slow: 'slowly',
  medium: 'at a medium pace',
  fast: 'fast',
};
const BREATH_WORD: Readonly<Record<Taxon['water']['stomataOpen'], string>> = {
  'by-day': 'It drinks by day.',
  'by-night': 'It breathes by night and drinks little by day.',
  either: 'When water is short it breathes by night alone.',
};
const SETTER_WORD: Readonly<Record<BudSetter, string>> = {
  'cool-nights': 'cool nights',
  'cold-rest': 'a cold rest',
  'dry-rest': 'a dry rest',
  'long-nights': 'long, unbroken nights',
  'long-days': 'long days',
  'bright-light': 'bright light',
  age: 'age',
};
const WAY_WORD: Readonly<Record<WayOfIncrease, string>> = {
  division: 'division',
  'stem-cutting': 'stem cuttings',
  'leaf-cutting': 'leaf cuttings',
  offsets: 'offsets',
  runners: 'runners',
  layering: 'layering',
  plantlets: 'plantlets',
  seed: 'seed',
  spores: 'spores',
  grafting: 'grafting',
};
const MANNER_WORD: Readonly<Record<Manner, string>> = {
  brittle: 'It is brittle: leaves or stems break at a knock.',
  climbs: 'It climbs: give it something to hold.',
  hangs: 'It hangs: give it room below.',
  'roots-into-walls': 'Its roots mark walls and paint.',
  'dark-leaved': 'Its leaves are dark and warm up in the sun.',
};
const TREATMENT_WORD: Readonly<Record<Treatment, string>> = {
  oil: 'oil',
  soap: 'soap',
  alcohol: 'alcohol',
  copper: 'copper',
  'leaf-shine': 'leaf shine',
  'warm-bath': 'a warm bath',
};

const and = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : WORDS.lastAfterAnd(words.slice(0, -1).join(', '), words[words.length - 1]!);

function waterLines({ water, care }: Taxon): string[] {
  const minds = water.minds.map((fault) => FAULT_WORD[fault]);
  const minding = minds.length > 0 ? WORDS.itDislikes(and(minds)) : '';
  return [
    WORDS.atMostDissolved(water.mostDissolvedPpm, minding),
    WORDS.wateredAgainWhen(Math.round(care.waterAtShare * 100)),
    WORDS.itDriesPot(DRIES_WORD[water.dries]),
    BREATH_WORD[water.stomataOpen],
    WET_WORD[water.wetLeaves],
  ];
}

function bloomLines({ bloom }: Taxon, monthsHere: readonly number[]): string[] {
  if (monthsHere.length === 0 && bloom.setBy.length === 0) return [WORDS.itIsNotKept];
  return [
    monthsHere.length > 0 ? WORDS.hereItBlooms(monthsWords(monthsHere)) : WORDS.bloomsInNoFixedMonth,
    ...(bloom.setBy.length > 0 ? [WORDS.itsBudsAreSet(and(bloom.setBy.map((setter) => SETTER_WORD[setter])))] : []),
    ...(bloom.daysFromBud === null ? [] : [WORDS.fromBudToFlower(bloom.daysFromBud)]),
  ];
}

const increaseLines = ({ increase, care }: Taxon): string[] => [
  WORDS.increasedBy(and(increase.ways.map((way) => WAY_WORD[way]))),
  ...(increase.daysToRoot === null ? [] : [WORDS.rootsHoldAfter(increase.daysToRoot)]),
  WORDS.itGrowsTo(PACE_WORD[care.growth], care.matureHeightCm, care.matureWidthCm),
];

const handlingLines = ({ handling }: Taxon): string[] => [
  ...handling.manners.map((manner) => MANNER_WORD[manner]),
  ...(handling.notWith.length > 0
    ? [
        WORDS.againstPestsNotWith(and(handling.notWith.map((treatment) => TREATMENT_WORD[treatment]))),
        WORDS.readTheLabel,
      ]
    : []),
];

interface Given {
  readonly taxon: Taxon;
  /** Months of bloom on this home's calendar. */
  readonly bloomHere: readonly number[];
}

export function Habits({ taxon, bloomHere }: Given) {
  const blocks: readonly (readonly [string, readonly string[], KnownBlock])[] = [
    [WORDS.water, waterLines(taxon), 'water'],
    [WORDS.bloom, bloomLines(taxon, bloomHere), 'bloom'],
    [WORDS.propagation, increaseLines(taxon), 'increase'],
    [WORDS.handling, handlingLines(taxon), 'handling'],
  ];
  return (
    <View style={{ gap: SPACE.s }}>
      {blocks
        .filter(([, lines]) => lines.length > 0)
        .map(([name, lines, block]) => (
          <Block key={name} name={name} lines={lines} sure={taxon[block].sure} />
        ))}
    </View>
  );
}

function Block({
  name,
  lines,
  sure,
}: {
  readonly name: string;
  readonly lines: readonly string[];
  readonly sure: Certainty;
}) {
  return (
    <View>
      <Heading>{name}</Heading>
      <Body>{lines.join(' ')}</Body>
      <Small>{SURE_WORD[sure]}</Small>
    </View>
  );
}

export function Temper({ taxon }: { readonly taxon: Taxon }) {
  const [mild, hard] = [forgives(taxon), doesNotForgive(taxon)];
  return (
    <View>
      {mild.length > 0 ? <Body>{WORDS.itForgives(and(mild))}</Body> : null}
      {hard.length > 0 ? <Body>{WORDS.itDoesNotForgive(and(hard))}</Body> : null}
    </View>
  );
}
