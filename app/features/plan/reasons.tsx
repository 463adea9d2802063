/** Why a plan has a plant where it has it: how it does here and there, and what else there would be. */
import type { FoundPlan, HomeFacts, NightBreaker, PlantProposal } from '@dulvan/core';
import { View } from 'react-native';
import { verdictSentence } from '../../parts/verdict-words';
import { fitShare, plantName, spotPlace, troubleSentence } from '../../parts/words';
import { useUnits } from '../../state/settings';
import { usePlantAnswer } from '../../state/verdicts';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { circuitName } from './figures';
import { freerWords, hereWords } from './here-words';
import { REASONS as WORDS } from './plan-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
  readonly proposal: PlantProposal;
}

export function Reasons({ facts, plan, proposal }: Given) {
  const units = useUnits();
  const now = usePlantAnswer(proposal.plantId)?.fit;
  const { there, here, spotIds, fromSpotId } = proposal;
  const moves = spotIds.some((spotId) => spotId !== fromSpotId);
  return (
    <View style={{ gap: SPACE.xs }}>
      {fromSpotId === null ? <Small>{WORDS.nowhere}</Small> : null}
      {now && moves ? <Small>{WORDS.now(verdictSentence(now.verdict))}</Small> : null}
      {there ? <Small>{WORDS.there(verdictSentence(there.verdict))}</Small> : null}
      {there?.worst ? <Small>{WORDS.still(troubleSentence(there.worst, units))}</Small> : null}
      {there && there.nightBrokenBy.length > 0 ? <Small>{nightWords(facts, there.nightBrokenBy)}</Small> : null}
      {there?.ifFreer ? <Small>{freerWords(facts, there.ifFreer, units)}</Small> : null}
      <Small>{elsewhereWords(facts, plan, proposal)}</Small>
      {here && moves ? (
        <Small>{WORDS.here(circuitName(facts, here.circuitId), hereWords(here, units), fitShare(here.score))}</Small>
      ) : null}
    </View>
  );
}

/** "No buds there: its nights are too short while the evening lamps of the galley are on." */
const nightWords = (facts: HomeFacts, lights: readonly NightBreaker[]): string =>
  WORDS.nightBroken(
    lights
      .map((light) =>
        light.what === 'room'
          ? WORDS.roomLight(facts.rooms.find(({ id }) => id === light.roomId)?.name ?? '')
          : WORDS.timerLight(circuitName(facts, light.circuitId)),
      )
      .join(' and '),
  );

/** A spot is better from so much on. */
const BETTER = 0.02;

/** The best of the other spots: worse, or why the plan does not give it. */
function elsewhereWords(facts: HomeFacts, plan: FoundPlan, { plantId, elsewhere, after }: PlantProposal): string {
  const [best] = elsewhere;
  if (!best) return WORDS.stayBest;
  const place = spotPlace(facts, best.spotId);
  const fit = fitShare(best.score);
  if (best.score < after + BETTER) return WORDS.next(place, fit);
  const other = plan.plants.find((one) => one.plantId !== plantId && one.spotIds[0] === best.spotId);
  const plant = other && facts.plants.find(({ id }) => id === other.plantId);
  return plant ? WORDS.taken(place, fit, plantName(facts, plant)) : WORDS.better(place, fit);
}
