/** What a taxon's light means in this home: the bands in numbers, and where in it they are met, month by month. */
import { lightBand, type HomeFacts, type LightBand, type SpotAnswer, type Target, type Taxon } from '@dulvan/core';
import { View } from 'react-native';
import { monthsWords } from '../../parts/season-words';
import { mol } from '../../parts/words';
import { useVerdicts } from '../../state/verdicts';
import { TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';

const BAND_WORDS: Readonly<Record<LightBand, string>> = {
  fades: 'too dim to live on',
  survives: 'survives',
  thrives: 'thrives',
  bears: 'bears more than it needs',
  scorches: 'scorches',
};

const HALF_A_YEAR = 6;
/** Spots that are told one by one. */
const BEST_SPOTS = 4;

interface SpotBands {
  readonly spotId: string;
  readonly months: Readonly<Record<LightBand, readonly number[]>>;
}

type SpotYear = Pick<SpotAnswer, 'spotId' | 'conditions'>;

/** The months of a spot's year by band. */
export function spotBands({ spotId, conditions }: SpotYear, targets: readonly Target[]): SpotBands {
  const months: Record<LightBand, number[]> = { fades: [], survives: [], thrives: [], bears: [], scorches: [] };
  conditions.forEach((condition, i) => months[lightBand(targets[i]!.light, condition)].push(condition.month));
  return { spotId, months };
}

/** Months it thrives count, months that harm it count against. */
const worth = ({ months }: SpotBands) =>
  2 * months.thrives.length +
  months.survives.length +
  months.bears.length -
  3 * months.scorches.length -
  2 * months.fades.length;

export const bestFirst = (spots: readonly SpotBands[]): SpotBands[] =>
  [...spots].sort((p, q) => worth(q) - worth(p) || (p.spotId < q.spotId ? -1 : 1));

/** "thrives March to October; survives November to February". */
export function bandsWords({ months }: SpotBands): string {
  const told = (['thrives', 'bears', 'survives', 'fades', 'scorches'] as const).filter(
    (band) => months[band].length > 0,
  );
  return told.map((band) => `${BAND_WORDS[band]} ${monthsWords(months[band])}`).join('; ');
}

interface Given {
  readonly facts: HomeFacts;
  readonly targets: readonly Target[];
}

export function LightHere({ facts, taxon, targets }: Given & { readonly taxon: Taxon }) {
  const { answers, state, failure } = useVerdicts();
  const { survives, keepsForm, thrivesFrom, thrivesTo, scorches } = taxon.light;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>Its light</Heading>
      <Body>
        {`Survives from ${mol(survives)} mol a day, `}
        {keepsForm > survives ? `keeps its form from ${mol(keepsForm)}, ` : ''}
        {`thrives from ${mol(thrivesFrom)} to ${mol(thrivesTo)}, `}
        {`scorches above ${mol(scorches)}.`}
      </Body>
      {facts.spots.length === 0 ? (
        <Small>Where that is in your home can be said once a room has a spot.</Small>
      ) : answers ? (
        <Places facts={facts} targets={targets} spots={answers.spots} />
      ) : (
        <Small>
          {state === 'failed'
            ? (failure ?? 'The light of your home could not be worked out.')
            : 'The light of your home is being worked out.'}
        </Small>
      )}
    </View>
  );
}

const howMany = (spots: number) => (spots === 0 ? 'none has' : spots === 1 ? 'one has' : `${spots} have`);

function Places({ facts, targets, spots }: Given & { readonly spots: readonly SpotAnswer[] }) {
  const names = new Map(facts.spots.map((spot) => [spot.id, spot.name]));
  const bands = bestFirst(spots.map((spot) => spotBands(spot, targets)));
  const best = bands.slice(0, BEST_SPOTS);
  const thriving = bands.filter(({ months }) => months.thrives.length >= HALF_A_YEAR).length;
  return (
    <View role="list" aria-label="Where its light is met in your home" style={{ gap: SPACE.xs }}>
      <Small>
        {`Of your ${spots.length} spots ${howMany(thriving)} the light it thrives by `}
        {'for half of the year or more. The best, by light alone:'}
      </Small>
      {best.map((spot) => (
        <View key={spot.spotId} role="listitem">
          <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId: spot.spotId } }}>
            {names.get(spot.spotId) ?? spot.spotId}
          </TextLink>
          <Small>{bandsWords(spot)}</Small>
        </View>
      ))}
    </View>
  );
}
