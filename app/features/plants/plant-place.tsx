/**
 * Where a plant stands and when it goes wrong: its room with its spot marked, the months, the factors; choosing in one
 * marks the others.
 */
import type { HomeFacts, Plant, PlantAnswer } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { KeyButton } from '../../parts/key';
import { ReserveCurve } from '../../parts/reserve-curve';
import { SpotPlan } from '../../parts/spot-plan';
import { useSpotAnswer } from '../../state/verdicts';
import { useWhen } from '../../state/year';
import { TextLink } from '../../ui/button';
import { MonthSlider } from '../../ui/month-slider';
import { SPACE } from '../../ui/theme';
import { FitYear } from './fit-year';
import { PLANT_PLACE as WORDS } from './plants-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly answer: PlantAnswer | null;
  readonly month: number;
  readonly onMonth: (month: number) => void;
}

export function PlantPlace({ facts, plant, answer, month, onMonth }: Given) {
  const when = useWhen(facts);
  const here = useSpotAnswer(plant.spotId);
  if (!plant.spotId) return null;
  const months = answer?.fit?.months;
  return (
    <View style={{ gap: SPACE.s }}>
      <MonthSlider month={month} onMonth={onMonth} />
      {months ? <FitYear months={months} month={month} onMonth={onMonth} /> : null}
      {here && answer ? (
        <ReserveCurve
          targets={answer.targets}
          conditions={here.conditions}
          month={when.month}
          left={answer.reserveLeft}
        />
      ) : null}
      <SpotPlan facts={facts} spotId={plant.spotId} month={month} onSpot={(chosen) => openOther(facts, chosen)} />
      <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId: plant.spotId } }}>
        {WORDS.yearAtItsSpot}
      </TextLink>
      <KeyButton />
    </View>
  );
}

/** Another spot on the plan leads to who stands there. */
function openOther(facts: HomeFacts, chosen: string): void {
  const other = facts.plants.find((plant) => plant.spotId === chosen);
  if (other) router.replace({ pathname: '/plants/[plantId]', params: { plantId: other.id } });
  else router.push({ pathname: '/spots/[spotId]', params: { spotId: chosen } });
}
