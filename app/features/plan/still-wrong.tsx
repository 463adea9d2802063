/** Plants that decline even by the plan, and what would help them: a lamp with its power and running cost. */
import {
  DYING_CLASSES,
  lampNeeded,
  lifeClass,
  planSettingsOf,
  priceOver,
  type FoundPlan,
  type HomeFacts,
  type PlantProposal,
} from '@dulvan/core';
import { View } from 'react-native';
import { verdictSentence } from '../../parts/verdict-words';
import { brightness, hours, mol, plantName, spotPlace } from '../../parts/words';
import { useUnits } from '../../state/settings';
import { usePlantAnswer, useSpotAnswer } from '../../state/verdicts';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { money } from './figures';
import { STILL as WORDS } from './plan-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
}

export function StillWrong({ facts, plan }: Given) {
  const dying = plan.plants.filter(({ after }) => DYING_CLASSES.has(lifeClass(after)));
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.heading}</Heading>
      {dying.length === 0 ? <Body>{WORDS.nothing}</Body> : null}
      {dying.map((proposal) => (
        <OneWrong key={proposal.plantId} facts={facts} proposal={proposal} />
      ))}
    </View>
  );
}

/** Ground that a lamp lights for one spot, m2, share of its light that gets there, and light for power, umol/J. */
const SPOT_M2 = 0.3 * 0.3;
const REACHES_SHARE = 0.5;
const UMOL_J = 2.4;
const DAYS = 365;

function OneWrong({ facts, proposal }: { readonly facts: HomeFacts; readonly proposal: PlantProposal }) {
  const units = useUnits();
  const answer = usePlantAnswer(proposal.plantId);
  const spotId = proposal.spotIds[0]!;
  const spot = useSpotAnswer(spotId);
  const plant = facts.plants.find(({ id }) => id === proposal.plantId)!;
  const lamp = answer?.fit && spot ? lampNeeded(answer.targets, spot.conditions, answer.fit) : null;
  const watts = lamp ? Math.ceil((lamp.ppfd * SPOT_M2) / REACHES_SHARE / UMOL_J) : 0;
  const kWh = lamp ? (watts * lamp.hours * DAYS) / 1000 : 0;
  const price = priceOver(facts.tariffs, [{ onMinute: 480, offMinute: 1200 }]);
  const cost = price === null ? '' : `, ${money(price * kWh, planSettingsOf(facts).currency)}`;
  return (
    <View style={{ gap: 2 }}>
      <Strong>{`${plantName(facts, plant)} · ${spotPlace(facts, spotId)}`}</Strong>
      {proposal.there ? <Small>{`${verdictSentence(proposal.there.verdict)}.`}</Small> : null}
      {lamp ? (
        <>
          <Small>{WORDS.lamp(mol(lamp.dli), brightness(lamp.ppfd, units), hours(lamp.hours))}</Small>
          <Small>{WORDS.forLamp(watts, Math.round(kWh), cost)}</Small>
        </>
      ) : (
        <Small>{WORDS.noLamp}</Small>
      )}
      <Small>{WORDS.giveAway}</Small>
    </View>
  );
}
