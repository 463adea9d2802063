/** What if there were one more spot, a humidifier, a heat wave: tried and planned for like the others. */
import { heatWave, put, roomIdOfSpot, type AirThing, type Change, type HomeFacts, type RoomMonth } from '@dulvan/core';
import { View } from 'react-native';
import { blankFor } from '../../forms/blank';
import { newId } from '../../parts/new-id';
import { useVerdicts } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Heading, Small } from '../../ui/type';
import { Asked } from './what-if-asked';
import { WHAT_IF as WORDS } from './what-if-words';

export interface WhatIfGiven {
  readonly facts: HomeFacts;
  /** Tries changes and plans the home with them. */
  readonly onTry: (summary: string, changes: readonly Change[]) => void;
}

/** One more spot beside the last of a board. */
export function SpotComes({ facts, onTry }: WhatIfGiven) {
  const choices = facts.tiers.map(({ id, standId, heightM }) => {
    const stand = facts.stands.find((one) => one.id === standId)?.name ?? '';
    return { value: id, word: WORDS.board(stand, Math.round(heightM * 100)) };
  });
  const comes = (tierId: string) => {
    const spot = blankFor(facts, 'spots', tierId);
    const word = choices.find(({ value }) => value === tierId)!.word;
    if (spot) onTry(WORDS.spotCame(word), [put('spots', spot as HomeFacts['spots'][number])]);
  };
  return <Asked heading={WORDS.spot} label={WORDS.whichBoard} choices={choices} none={WORDS.noBoard} onTry={comes} />;
}

/** A usual one for a room: a quarter of a litre an hour, up to 60 %. */
const HUMIDIFIER = { kind: 'humidifier', powerW: 25, gramsH: 250, setRh: 60 } as const;

/** A humidifier in a room. */
export function HumidifierComes({ facts, onTry }: WhatIfGiven) {
  const choices = facts.rooms.map(({ id, name }) => ({ value: id, word: name }));
  const comes = (roomId: string) => {
    const blank = blankFor(facts, 'airThings', roomId) as AirThing | null;
    const word = choices.find(({ value }) => value === roomId)!.word;
    if (blank)
      onTry(WORDS.humidifierCame(word), [put('airThings', { ...blank, ...HUMIDIFIER, name: WORDS.aHumidifier })]);
  };
  return (
    <Asked
      heading={WORDS.humidifier}
      note={WORDS.humidifierNote}
      label={WORDS.whichRoom}
      choices={choices}
      none={WORDS.noRoom}
      onTry={comes}
    />
  );
}

/** Ten hot days in every room. */
export function HeatComes({ facts, onTry }: WhatIfGiven) {
  const { answers } = useVerdicts();
  const comes = () => {
    const airOf = new Map<string, readonly RoomMonth[]>();
    for (const { spotId, conditions } of answers?.spots ?? []) {
      const roomId = roomIdOfSpot(facts, spotId);
      // The air of a room is much the same at all its spots.
      if (roomId !== null && !airOf.has(roomId))
        airOf.set(
          roomId,
          conditions.map(({ air }) => air),
        );
    }
    onTry(WORDS.heatCame, heatWave(facts, airOf, newId));
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.heat}</Heading>
      <Small>{answers ? WORDS.heatNote : WORDS.heatWaits}</Small>
      <Button
        kind="main"
        style={{ alignSelf: 'flex-start' }}
        label={WORDS.tryLabel(WORDS.heat)}
        disabled={answers === null}
        onPress={comes}
      >
        {WORDS.tryIt}
      </Button>
    </View>
  );
}
