/** What a taxon's light means in this home: the bands in numbers, and the spots on which it would do best. */
import {
  GROWING_CLASSES,
  lifeClass,
  verdictOf,
  verdictScore,
  type HomeFacts,
  type SpotAnswer,
  type Target,
  type Taxon,
} from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { verdictSentence } from '../../parts/verdict-words';
import { fitShare, mol } from '../../parts/words';
import { useVerdicts } from '../../state/verdicts';
import { TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { LIGHT_HERE as WORDS } from './catalogue-words';

/** Spots that are told one by one. */
const BEST_SPOTS = 4;

interface Given {
  readonly facts: HomeFacts;
  readonly targets: readonly Target[];
}

export function LightHere({ facts, taxon, targets }: Given & { readonly taxon: Taxon }) {
  const { answers, state, failure } = useVerdicts();
  const { survives, keepsForm, thrivesFrom, thrivesTo, scorches } = taxon.light;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.itsLight}</Heading>
      <Body>
        {WORDS.survivesFrom(mol(survives))}
        {keepsForm > survives ? WORDS.keepsItsFormFrom(mol(keepsForm)) : ''}
        {WORDS.thrivesFromTo(mol(thrivesFrom), mol(thrivesTo))}
        {WORDS.scorchesAbove(mol(scorches))}
      </Body>
      {facts.spots.length === 0 ? (
        <Small>{WORDS.noSpotYet}</Small>
      ) : answers ? (
        <Places facts={facts} targets={targets} spots={answers.spots} month={answers.month} />
      ) : (
        <Small>{state === 'failed' ? (failure ?? WORDS.lightFailed) : WORDS.lightWorking}</Small>
      )}
    </View>
  );
}

const howMany = (spots: number) => (spots === 0 ? WORDS.onNone : spots === 1 ? WORDS.onOne : WORDS.onSome(spots));

interface PlacesGiven extends Given {
  readonly spots: readonly SpotAnswer[];
  readonly month: number;
}

function Places({ facts, targets, spots, month }: PlacesGiven) {
  const names = new Map(facts.spots.map((spot) => [spot.id, spot.name]));
  const rated = useMemo(
    () =>
      spots
        .map(({ spotId, conditions }) => ({ spotId, conditions, score: verdictScore(targets, conditions, month) }))
        .sort((p, q) => q.score - p.score || (p.spotId < q.spotId ? -1 : 1)),
    [spots, targets, month],
  );
  const growing = rated.filter(({ score }) => GROWING_CLASSES.has(lifeClass(score))).length;
  return (
    <View role="list" aria-label={WORDS.whereItWouldDoBest} style={{ gap: SPACE.xs }}>
      <Small>{WORDS.growsWellOn(spots.length, howMany(growing))}</Small>
      {rated.slice(0, BEST_SPOTS).map(({ spotId, conditions, score }) => (
        <View key={spotId} role="listitem">
          <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId } }}>{names.get(spotId) ?? spotId}</TextLink>
          <Small>{`${verdictSentence(verdictOf(targets, conditions, month))} · ${fitShare(score)}`}</Small>
        </View>
      ))}
    </View>
  );
}
