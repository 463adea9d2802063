/**
 * A plant's verdict where it stands: how long it lives, its first sign, its flowers; what is wrong, and what would
 * help.
 */
import { troublesFor, urgencyOf, type HomeFacts, type Plant, type PlantAnswer, type YearFit } from '@dulvan/core';
import { View } from 'react-native';
import { FactorSign } from '../../parts/factor-sign';
import { MendList } from '../../parts/mends';
import { firstSign, flowersSentence, poorYearWords, verdictSentence } from '../../parts/verdict-words';
import { GOAL_WORD, troubleSentence } from '../../parts/words';
import { useMends } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { useVerdicts } from '../../state/verdicts';
import { TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Waiting } from '../../ui/waiting';
import { Body, Small, Strong } from '../../ui/type';
import { PLANT_VERDICT as WORDS } from './plants-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly answer: PlantAnswer | null;
  readonly month: number;
}

const SHOWN_TROUBLES = 3;

export function PlantVerdict({ facts, plant, answer, month }: Given) {
  const { state } = useVerdicts();
  if (!answer?.fit) {
    // What is not known yet is not asserted: the shape of what comes stands in its place.
    return state === 'working' && plant.spotId ? <Waiting lines={4} words={WORDS.workingOut} /> : null;
  }
  const { fit, targets } = answer;
  return (
    <View style={{ gap: SPACE.s }}>
      <InWords fit={fit} targets={targets} goal={plant.goal} />
      <Troubles fit={fit} goal={plant.goal} />
      <Help facts={facts} plant={plant} answer={answer} />
      <TextLink href={{ pathname: '/why', params: { figure: 'fit', plant: plant.id, month: String(month) } }}>
        {WORDS.whyThisVerdict}
      </TextLink>
    </View>
  );
}

function InWords({
  fit,
  targets,
  goal,
}: { readonly fit: YearFit; readonly goal: Plant['goal'] } & Pick<PlantAnswer, 'targets'>) {
  const units = useUnits();
  const sign = firstSign(fit, targets[0]!.nature);
  const poor = poorYearWords(fit.verdict);
  return (
    <View style={{ gap: 2 }}>
      <Strong testID="plant-verdict">{`${verdictSentence(fit.verdict)}.`}</Strong>
      {sign ? <Body>{WORDS.firstSign(sign)}</Body> : null}
      {poor ? <Body>{poor}</Body> : null}
      {fit.flowers ? <Body testID="plant-flowers">{flowersSentence(fit.flowers, units)}</Body> : null}
      <Small>{WORDS.whatYouWant(GOAL_WORD[goal].toLowerCase())}</Small>
    </View>
  );
}

function Troubles({ fit, goal }: { readonly fit: YearFit; readonly goal: Plant['goal'] }) {
  const units = useUnits();
  const troubles = troublesFor(goal, fit);
  if (troubles.length === 0) return <Body>{WORDS.nothingIsWrong}</Body>;
  return (
    <>
      {troubles.slice(0, SHOWN_TROUBLES).map((trouble) => (
        <View
          key={`${trouble.factor}${trouble.aspect}${trouble.months[0]}`}
          style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' }}
        >
          <View style={{ paddingTop: 2 }}>
            <FactorSign factor={trouble.factor} />
          </View>
          <Body style={{ flex: 1 }} testID="plant-trouble">
            {troubleSentence(trouble, units)}
          </Body>
        </View>
      ))}
    </>
  );
}

/** What would help; not looked for where the plant does what is wanted of it. */
function Help({
  facts,
  plant,
  answer,
}: {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly answer: PlantAnswer;
}) {
  const needs = answer.fit && ['week', 'season', 'later'].includes(urgencyOf(plant.goal, answer.fit));
  const asked = useMends(needs ? facts : null);
  return needs ? <MendList facts={facts} plant={plant} answer={answer} asked={asked} /> : null;
}
