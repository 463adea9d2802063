/** Spots ranked for a plant, each with its reason and a way to choose it. */
import type { Change, HomeFacts, Plant, RankedSpot } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/button';
import { FitMark } from '../../parts/fit-mark';
import { Pending } from '../../parts/pending';
import { useMonth } from '../../parts/use-month';
import { verdictSentence } from '../../parts/verdict-words';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { fitShare, plantName, spotPlace } from '../../parts/words';
import { shownValue, useRanking } from '../../state/questions';
import { useNow } from '../../state/use-now';
import { dateAt } from '../../state/year';
import { SpotTaken, othersOn } from './spot-taken';
import { SPOT_CHOICES as WORDS } from './plants-words';

interface ListGiven {
  readonly facts: HomeFacts;
  readonly ranked: readonly RankedSpot[];
  readonly month: number;
  readonly here: string | null;
  /** Word of the button that chooses a spot. */
  readonly verb: string;
  readonly onChoose: (spotId: string) => void;
}

interface Given extends Pick<ListGiven, 'facts' | 'verb'> {
  /** Who is to stand there: the plant as it is, or as it is being added. */
  readonly plant: Plant;
  readonly name: string;
  /** Chosen, with what happens to those who stand there now. */
  readonly onChoose: (spotId: string, others: readonly Change[]) => void;
}

/** The spots of a home, the best for a plant first; one that is taken asks what becomes of who stands there. */
export function SpotChoices({ facts, plant, name, verb, onChoose }: Given) {
  const [month] = useMonth();
  const date = dateAt(facts, useNow());
  const ranking = useRanking(facts, plant);
  const ranked = shownValue(ranking);
  const [taken, setTaken] = useState<string | null>(null);
  if (!ranked) return <Pending asked={ranking} />;
  const choose = (spotId: string) =>
    othersOn(facts, spotId, plant.id).length > 0 ? setTaken(spotId) : onChoose(spotId, []);
  return (
    <>
      <RankedSpots facts={facts} ranked={ranked} month={month} here={plant.spotId} verb={verb} onChoose={choose} />
      {taken ? (
        <SpotTaken
          facts={facts}
          plant={plant}
          name={name}
          spotId={taken}
          date={date}
          onAnswer={(others) => {
            setTaken(null);
            if (others) onChoose(taken, others);
          }}
        />
      ) : null}
    </>
  );
}

const SHOWN_AT_FIRST = 5;
/** So many come with each press: a home may have two thousand spots. */
const SHOWN_MORE = 40;
const REFUSAL_WORD = {
  'too-tall': 'The plant is taller than the free height here.',
  'too-wide': 'The pot is wider than the room here.',
} as const;

function RankedSpots({ facts, ranked, month, here, verb, onChoose }: ListGiven) {
  const [most, setMost] = useState(SHOWN_AT_FIRST);
  const shown = ranked.slice(0, most);
  const left = ranked.length - shown.length;
  return (
    <View style={{ gap: SPACE.s }}>
      {shown.map((choice) => {
        const place = spotPlace(facts, choice.spotId);
        const occupants = facts.plants
          .filter((plant) => choice.occupants.includes(plant.id))
          .map((plant) => plantName(facts, plant));
        return (
          <View
            key={choice.spotId}
            role="group"
            aria-label={place}
            style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center', minHeight: 52 }}
          >
            <FitMark fit={choice.fit.months[month - 1] ?? null} />
            <View style={{ flex: 1 }}>
              <Body>{place}</Body>
              <Small>
                {choice.refusal
                  ? REFUSAL_WORD[choice.refusal]
                  : `${verdictSentence(choice.fit.verdict)} · ${fitShare(choice.score)}`}
              </Small>
              {occupants.length > 0 ? <Small>{WORDS.takenBy(occupants.join(', '))}</Small> : null}
            </View>
            {choice.spotId === here ? (
              <Small>{WORDS.hereNow}</Small>
            ) : choice.refusal ? null : (
              <Button onPress={() => onChoose(choice.spotId)} label={`${verb}: ${place}`}>
                {verb}
              </Button>
            )}
          </View>
        );
      })}
      {left > 0 ? (
        <Button onPress={() => setMost(most + SHOWN_MORE)}>
          {left <= SHOWN_MORE ? WORDS.allSpots(ranked.length) : WORDS.moreSpots(SHOWN_MORE, ranked.length)}
        </Button>
      ) : null}
      {ranked.length === 0 ? <Body>{WORDS.noSpotYet}</Body> : null}
    </View>
  );
}
