/** What a plan carries where, plant by plant, with what it does and why; each can be left out. */
import type { FoundPlan, HomeFacts, Plant, PlantProposal } from '@dulvan/core';
import { View } from 'react-native';
import { Checkbox } from 'react-native-paper';
import { FitMark } from '../../parts/fit-mark';
import { count, fitShare, monthsInWords, plantName, spotPlace } from '../../parts/words';
import { TextLink } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Rule } from '../../ui/page';
import { SPACE, TOUCH } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import type { ChosenParts } from './chosen';
import { MOVES as WORDS } from './plan-words';
import { Reasons } from './reasons';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
  readonly chosen: ChosenParts;
}

/** A plant of this height is a load, cm. */
const TALL_CM = 100;

const isCarried = ({ fromSpotId, spotIds }: PlantProposal) => spotIds.some((spotId) => spotId !== fromSpotId);

export function Moves({ facts, plan, chosen }: Given) {
  const carried = plan.plants.filter(isCarried).sort((p, q) => gain(q) - gain(p));
  const staying = plan.plants.filter((one) => !isCarried(one));
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.heading}</Heading>
      {carried.length === 0 ? <Body>{WORDS.none}</Body> : null}
      {carried.map((proposal) => (
        <Move key={proposal.plantId} facts={facts} plan={plan} chosen={chosen} proposal={proposal} />
      ))}
      {staying.length > 0 ? (
        <Fold title={WORDS.stays(count(staying.length, 'plant'))}>
          {staying.map((proposal) => (
            <Staying key={proposal.plantId} facts={facts} plan={plan} proposal={proposal} />
          ))}
        </Fold>
      ) : null}
    </View>
  );
}

const gain = ({ before, after }: PlantProposal) => after - (before ?? 0);

const plantOf = (facts: HomeFacts, id: string): Plant => facts.plants.find((plant) => plant.id === id)!;

const fitsWords = ({ before, after }: PlantProposal) =>
  WORDS.fits(before === null ? '–' : fitShare(before), fitShare(after));

interface OneGiven extends Omit<Given, 'chosen'> {
  readonly proposal: PlantProposal;
}

function Move({ facts, plan, chosen, proposal }: OneGiven & Pick<Given, 'chosen'>) {
  const { plantId, fromSpotId, settling, there } = proposal;
  const plant = plantOf(facts, plantId);
  const name = plantName(facts, plant);
  const taken = chosen.plantIds.has(plantId);
  return (
    <View role="group" aria-label={name} style={{ gap: SPACE.xs }}>
      <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' }}>
        <View style={{ minWidth: TOUCH, minHeight: TOUCH, justifyContent: 'center' }}>
          <Checkbox
            status={taken ? 'checked' : 'unchecked'}
            onPress={() => chosen.toggle(plantId)}
            {...{ 'aria-label': WORDS.take(name) }}
          />
        </View>
        <View style={{ flex: 1, gap: 2 }}>
          <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId } }}>{name}</TextLink>
          <Small>{fromSpotId === null ? WORDS.firstPlace : WORDS.from(spotPlace(facts, fromSpotId))}</Small>
          <Strong>{placesWords(facts, plan, proposal)}</Strong>
        </View>
        <View style={{ alignItems: 'flex-end', gap: 2 }}>
          <FitMark fit={there?.month ?? null} size={28} />
          <Small testID="plan-fits">{fitsWords(proposal)}</Small>
        </View>
      </View>
      {taken && chosen.work.blocked.includes(plantId) ? <Body>{WORDS.blocked}</Body> : null}
      {settling ? <Small>{WORDS.settling(settling.times.toFixed(1), settling.weeks)}</Small> : null}
      {(plant.heightCm ?? 0) >= TALL_CM ? <Small>{WORDS.tall}</Small> : null}
      <Fold title={WORDS.why}>
        <Reasons facts={facts} plan={plan} proposal={proposal} />
      </Fold>
    </View>
  );
}

function placesWords(facts: HomeFacts, { seasons }: FoundPlan, { spotIds }: PlantProposal): string {
  const [first, ...later] = spotIds;
  const changes = later.flatMap((spotId, i) =>
    spotId === spotIds[i] ? [] : [WORDS.then(spotPlace(facts, spotId), monthsInWords(seasons[i + 1]!))],
  );
  return [WORDS.to(spotPlace(facts, first!)), ...changes].join(', ');
}

function Staying({ facts, plan, proposal }: OneGiven) {
  const { plantId } = proposal;
  return (
    <View style={{ gap: 2 }}>
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <View style={{ flex: 1 }}>
          <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId } }}>
            {plantName(facts, plantOf(facts, plantId))}
          </TextLink>
        </View>
        <Small>{fitsWords(proposal)}</Small>
      </View>
      <Reasons facts={facts} plan={plan} proposal={proposal} />
      <Rule />
    </View>
  );
}
