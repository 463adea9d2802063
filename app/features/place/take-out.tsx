/** Takes a fact out with all that hangs on it; asks first where its plants go. */
import { carried, clearedBy, drop, fallenWith, type Change, type HomeFacts } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { useNow } from '../../state/use-now';
import { dateAt } from '../../state/year';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { plantName, spotPlace } from '../../parts/words';
import type { FormList } from '../../forms/form-specs';
import { TAKE_OUT as WORDS } from './place-words';

interface Given {
  readonly facts: HomeFacts;
  readonly list: FormList;
  readonly entry: { readonly id: string };
  readonly name: string;
  readonly onDone: () => void;
}

const NOWHERE = 'nowhere';

/** What goes with an entry, the plants that lose their spot, and the spots that are free for them. */
function useFall({ facts, list, entry }: Pick<Given, 'facts' | 'list' | 'entry'>) {
  const now = useNow();
  const [goTo, setGoTo] = useState<Readonly<Record<string, string>>>({});
  const { gone, cleared } = fallenWith(facts, [{ list, id: entry.id }]);
  const goneSpots = new Set(gone.filter((fallen) => fallen.list === 'spots').map(({ id }) => id));
  const homeless = facts.plants.filter((plant) => plant.spotId !== null && goneSpots.has(plant.spotId));
  const free = facts.spots.filter(
    (spot) => !goneSpots.has(spot.id) && !facts.plants.some((plant) => plant.spotId === spot.id),
  );
  const whereTo = (plantId: string) => (goTo[plantId] === NOWHERE ? null : (goTo[plantId] ?? null));
  const changes: Change[] = [
    ...cleared.map((one) =>
      one.list === 'plants' && one.field === 'spotId'
        ? carried(
            facts.plants.find((plant) => plant.id === one.id)!,
            whereTo(one.id),
            dateAt(facts, now),
          )
        : clearedBy(one),
    ),
    ...gone.map((fallen) => drop(fallen.list, fallen.id)),
  ];
  const send = (plantId: string, spotId: string) => setGoTo({ ...goTo, [plantId]: spotId });
  const isTaken = (plantId: string, spotId: string) =>
    Object.entries(goTo).some(([other, taken]) => other !== plantId && taken === spotId);
  return { others: gone.length - 1, homeless, free, goTo, send, isTaken, changes };
}

type Fall = ReturnType<typeof useFall>;

export function TakeOut({ facts, list, entry, name, onDone }: Given) {
  const { danger } = useInk();
  const attempt = useHome((state) => state.attempt);
  const [asking, setAsking] = useState<'no' | 'yes'>('no');
  const [refusal, setRefusal] = useState<string | null>(null);
  const fall = useFall({ facts, list, entry });
  const takeOut = async () => {
    const refused = await attempt(WORDS.tookOut(name), fall.changes);
    if (refused) setRefusal(refused.message);
    else onDone();
  };
  return (
    <View style={{ gap: SPACE.s, paddingTop: SPACE.m }}>
      {asking === 'no' ? (
        <Button
          kind="danger"
          style={{ alignSelf: 'flex-start' }}
          onPress={() => (fall.homeless.length > 0 || fall.others > 0 ? setAsking('yes') : void takeOut())}
        >
          {WORDS.takeOut(name)}
        </Button>
      ) : (
        <View role="group" aria-label={WORDS.takeOut(name)} style={{ gap: SPACE.s }}>
          <WhatGoes facts={facts} fall={fall} />
          <Row>
            <Button kind="danger" onPress={() => void takeOut()}>
              {WORDS.yesTakeOut(name)}
            </Button>
            <Button onPress={() => setAsking('no')}>{WORDS.leaveIt}</Button>
          </Row>
        </View>
      )}
      {refusal ? <Small style={{ color: danger }}>✕ {refusal}</Small> : null}
    </View>
  );
}

const OFFERED_SPOTS = 12;

function WhatGoes({ facts, fall }: { readonly facts: HomeFacts; readonly fall: Fall }) {
  const { others, homeless, free, goTo, send, isTaken } = fall;
  const choices = (plantId: string) => [
    { value: NOWHERE, word: WORDS.nowhereForNow },
    ...free
      .filter(({ id }) => !isTaken(plantId, id))
      .slice(0, OFFERED_SPOTS)
      .map(({ id }) => ({ value: id, word: spotPlace(facts, id) })),
  ];
  return (
    <>
      <Body>{others > 0 ? WORDS.goesWithIt(others) : WORDS.itCanBeUndone}</Body>
      {homeless.length > 0 ? <Strong>{WORDS.whereItsPlantsGo}</Strong> : null}
      {homeless.map((plant) => (
        <View key={plant.id} style={{ gap: SPACE.xs }}>
          <Body>{plantName(facts, plant)}</Body>
          <Choices
            label={WORDS.whereOneGoes(plantName(facts, plant))}
            value={goTo[plant.id] ?? NOWHERE}
            onValue={(value) => send(plant.id, value)}
            choices={choices(plant.id)}
          />
        </View>
      ))}
    </>
  );
}
