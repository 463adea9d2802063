/** Plants that decline even by the plan, and what would help them: a lamp with its power and running cost. */
import {
  DYING_CLASSES,
  lifeClass,
  planSettingsOf,
  type Decisive,
  type FoundPlan,
  type HomeFacts,
  type PlantProposal,
  type ThereFit,
} from '@dulvan/core';
import { View } from 'react-native';
import { verdictSentence } from '../../parts/verdict-words';
import { brightness, mol, plantName, spotPlace, troubleSentence } from '../../parts/words';
import { useUnits } from '../../state/settings';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { money } from './figures';
import { freerWords } from './here-words';
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

function OneWrong({ facts, proposal }: { readonly facts: HomeFacts; readonly proposal: PlantProposal }) {
  const units = useUnits();
  const { plantId, spotIds, there } = proposal;
  const plant = facts.plants.find(({ id }) => id === plantId)!;
  return (
    <View style={{ gap: 2 }}>
      <Strong>{`${plantName(facts, plant)} · ${spotPlace(facts, spotIds[0]!)}`}</Strong>
      {there ? (
        <>
          <Small>{`${verdictSentence(there.verdict)}.`}</Small>
          <Mend facts={facts} there={there} />
          {there.ifFreer ? <Small>{freerWords(facts, there.ifFreer, units)}</Small> : null}
          <Small>{WORDS.giveAway}</Small>
        </>
      ) : null}
    </View>
  );
}

/** What would help against what decides it: a lamp helps no plant that suffers from heat. */
function Mend({ facts, there }: { readonly facts: HomeFacts; readonly there: ThereFit }) {
  const units = useUnits();
  const { worst, lacks, verdict } = there;
  const mends: Readonly<Partial<Record<Decisive, string>>> = WORDS.mends;
  const mend = mends[verdict.decidedBy];
  if (!mend) return lacks ? <Lamp facts={facts} lacks={lacks} /> : <Small>{WORDS.noLamp}</Small>;
  return (
    <>
      {worst ? <Small>{troubleSentence(worst, units)}</Small> : null}
      <Small>{mend}</Small>
    </>
  );
}

function Lamp({ facts, lacks }: { readonly facts: HomeFacts; readonly lacks: NonNullable<ThereFit['lacks']> }) {
  const units = useUnits();
  const { dli, ppfd, watts, kWhYear, costYear } = lacks;
  const cost = costYear === null ? '' : `, ${money(costYear, planSettingsOf(facts).currency)}`;
  return (
    <>
      <Small>{WORDS.lamp(mol(dli), brightness(ppfd, units), `${lacks.hours} h`)}</Small>
      <Small>{WORDS.forLamp(watts, Math.round(kWhYear), cost)}</Small>
    </>
  );
}
