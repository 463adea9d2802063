/** Takes a fact out with all that hangs on it; asks first where its plants go. */
import type { Change } from '@dulvan/contract';
import type { HomeFacts } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { plantName, spotPlace } from '../../ui/words';
import type { FormList } from './form-specs';

interface Given {
  readonly facts: HomeFacts;
  readonly list: FormList;
  readonly entry: { readonly id: string };
  readonly name: string;
  readonly onDone: () => void;
}

/** All entries that go when one goes, itself included. */
function fallenWith(facts: HomeFacts, list: FormList, id: string): { list: FormList; id: string }[] {
  const gone: { list: FormList; id: string }[] = [{ list, id }];
  const take = (next: FormList, ids: readonly string[]) =>
    ids.forEach((nextId) => gone.push(...fallenWith(facts, next, nextId)));
  const ids = <T extends { readonly id: string }>(entries: readonly T[], belongs: (entry: T) => boolean) =>
    entries.filter(belongs).map((entry) => entry.id);
  if (list === 'rooms') {
    take(
      'windows',
      ids(facts.windows, (window) => window.roomId === id),
    );
    take(
      'stands',
      ids(facts.stands, (stand) => stand.roomId === id),
    );
    take(
      'obstructions',
      ids(facts.obstructions, (obstruction) => obstruction.roomId === id),
    );
    take(
      'blocks',
      ids(facts.blocks, (block) => block.roomId === id),
    );
    take(
      'air',
      ids(facts.air, (air) => air.roomId === id),
    );
    take(
      'rooms',
      ids(facts.rooms, (room) => room.insideRoomId === id),
    );
  }
  if (list === 'stands')
    take(
      'tiers',
      ids(facts.tiers, (tier) => tier.standId === id),
    );
  if (list === 'tiers') {
    take(
      'spots',
      ids(facts.spots, (spot) => spot.tierId === id),
    );
    take(
      'lamps',
      ids(facts.lamps, (lamp) => lamp.tierId === id),
    );
  }
  if (list === 'circuits')
    take(
      'lamps',
      ids(facts.lamps, (lamp) => lamp.circuitId === id),
    );
  return gone;
}

const NOWHERE = 'nowhere';

export function TakeOut({ facts, list, entry, name, onDone }: Given) {
  const { danger } = useInk();
  const change = useHome((state) => state.change);
  const [asking, setAsking] = useState<'no' | 'yes'>('no');
  const [goTo, setGoTo] = useState<Readonly<Record<string, string>>>({});
  const [refusal, setRefusal] = useState<string | null>(null);
  const gone = fallenWith(facts, list, entry.id);
  const goneSpots = new Set(gone.filter((item) => item.list === 'spots').map((item) => item.id));
  const homeless = facts.plants.filter((plant) => plant.spotId !== null && goneSpots.has(plant.spotId));
  const free = facts.spots.filter(
    (spot) => !goneSpots.has(spot.id) && !facts.plants.some((plant) => plant.spotId === spot.id),
  );
  const takeOut = async () => {
    const changes: Change[] = [
      ...homeless.map((plant): Change => ({
        list: 'plants',
        id: plant.id,
        after: { ...plant, spotId: goTo[plant.id] && goTo[plant.id] !== NOWHERE ? goTo[plant.id]! : null },
      })),
      ...gone.map((item) => ({ ...item, after: null }) as Change),
    ];
    const refused = await change(`Took out ${name}`, changes);
    if (refused) setRefusal(refused.message);
    else onDone();
  };
  const others = gone.length - 1;
  return (
    <View style={{ gap: SPACE.s, paddingTop: SPACE.m }}>
      {asking === 'no' ? (
        <Button
          kind="danger"
          style={{ alignSelf: 'flex-start' }}
          onPress={() => (homeless.length > 0 || others > 0 ? setAsking('yes') : void takeOut())}
        >
          {`Take out ${name}`}
        </Button>
      ) : (
        <View role="group" aria-label={`Take out ${name}`} style={{ gap: SPACE.s }}>
          <Body>
            {others > 0 ? `With it go ${others} things that hang on it. It can be undone.` : 'It can be undone.'}
          </Body>
          {homeless.length > 0 ? <Strong>Where do its plants go?</Strong> : null}
          {homeless.map((plant) => (
            <View key={plant.id} style={{ gap: SPACE.xs }}>
              <Body>{plantName(facts, plant)}</Body>
              <Choices
                label={`Where ${plantName(facts, plant)} goes`}
                value={goTo[plant.id] ?? NOWHERE}
                onValue={(value) => setGoTo({ ...goTo, [plant.id]: value })}
                choices={[
                  { value: NOWHERE, word: 'Nowhere for now' },
                  ...free
                    .filter(
                      (spot) => !Object.entries(goTo).some(([other, taken]) => other !== plant.id && taken === spot.id),
                    )
                    .slice(0, 12)
                    .map((spot) => ({ value: spot.id, word: spotPlace(facts, spot.id) })),
                ]}
              />
            </View>
          ))}
          <Row>
            <Button kind="danger" onPress={() => void takeOut()}>
              {`Yes, take out ${name}`}
            </Button>
            <Button onPress={() => setAsking('no')}>Leave it</Button>
          </Row>
        </View>
      )}
      {refusal ? <Small style={{ color: danger }}>✕ {refusal}</Small> : null}
    </View>
  );
}
