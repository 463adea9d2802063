/** What would do best on a spot: own plants that would gain by standing there, and taxa of the catalogue. */
import { View } from 'react-native';
import type { HomeFacts, PlantForSpot } from '@dulvan/core';
import { FitMark } from '../../parts/fit-mark';
import { Pending } from '../../parts/pending';
import { useTaxa } from '../../state/taxa';
import { verdictSentence } from '../../parts/verdict-words';
import { commonName, fitShare, latinName, plantName, spotPlace } from '../../parts/words';
import { shownValue, useBestTaxa, usePlantsForSpot } from '../../state/questions';
import { RowLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { WOULD_DO_WELL as WORDS } from './rooms-words';

const PLANTS_SHOWN = 4;
const TAXA_SHOWN = 6;

interface Given {
  readonly facts: HomeFacts;
  readonly spotId: string;
  readonly month: number;
}

export function WouldDoWell(given: Given) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.wouldDoBestHere}</Heading>
      {given.facts.plants.length > 0 ? <OwnPlants {...given} /> : null}
      <BestTaxa {...given} />
    </View>
  );
}

function OwnPlants({ facts, spotId, month }: Given) {
  const asked = usePlantsForSpot(facts, spotId, PLANTS_SHOWN);
  const gaining = shownValue(asked);
  return (
    <View style={{ gap: SPACE.xs }} testID="own-plants">
      <Strong>{WORDS.ofYourPlants}</Strong>
      <Pending asked={asked} />
      {gaining?.length === 0 ? <Body>{WORDS.noneWouldGain}</Body> : null}
      {gaining?.map((one) => (
        <OwnPlant key={one.plantId} facts={facts} one={one} month={month} />
      ))}
    </View>
  );
}

function OwnPlant({ facts, one, month }: { facts: HomeFacts; one: PlantForSpot; month: number }) {
  const plant = facts.plants.find(({ id }) => id === one.plantId);
  if (!plant) return null;
  const { fit, scoreNow } = one;
  const now =
    scoreNow === null || plant.spotId === null
      ? WORDS.withoutSpot
      : WORDS.now(fitShare(scoreNow), spotPlace(facts, plant.spotId));
  return (
    <RowLink
      href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id, open: 'spots' } }}
      mark={<FitMark fit={fit.months[month - 1] ?? null} />}
      title={plantName(facts, plant)}
      note={`${latinName(facts, plant)}\n${verdictSentence(fit.verdict)} · ${now}`}
      value={fitShare(fit.verdict.score)}
    />
  );
}

function BestTaxa({ facts, spotId, month }: Given) {
  const taxa = useTaxa();
  const asked = useBestTaxa(facts, spotId, taxa, TAXA_SHOWN);
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{WORDS.ofTheCatalogue}</Strong>
      <Small>{WORDS.howTheyAreJudged}</Small>
      <Pending asked={asked} />
      {shownValue(asked)?.map(({ taxonId, fit }) => {
        const taxon = taxa.find((candidate) => candidate.id === taxonId)!;
        return (
          <RowLink
            key={taxonId}
            href={{ pathname: '/catalogue/[taxonId]', params: { taxonId } }}
            mark={<FitMark fit={fit.months[month - 1] ?? null} />}
            title={commonName(taxon)}
            note={`${taxon.name} · ${verdictSentence(fit.verdict).toLowerCase()}`}
            value={fitShare(fit.verdict.score)}
          />
        );
      })}
    </View>
  );
}
