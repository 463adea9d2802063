/** A room under the light of a month: its plan, its stands, who stands where. */
import { compassWord, sideBearing, type HomeFacts, type MonthFit, type Room } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { shownValue, useSunlightMap } from '../../state/questions';
import { useVerdicts } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { RowLink, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Drawing } from '../../ui/drawing';
import { FitMark } from '../../parts/fit-mark';
import { MonthSlider } from '../../ui/month-slider';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { length, mol, plantName } from '../../parts/words';
import { monthName } from '../../ui/months';
import { CurtainControl } from './curtain-control';
import { useMonth } from '../../parts/use-month';
import { RoomPlan } from '../../parts/room-plan';
import { WashLegend } from './wash-legend';

export function RoomsScreen({ roomId }: { readonly roomId: string | null }) {
  const facts = useFacts();
  if (!facts) return null;
  const room = facts.rooms.find((candidate) => candidate.id === roomId) ?? largestFirst(facts.rooms)[0];
  if (!room) {
    return (
      <TwoPanes
        first={
          <>
            <Title>No room yet</Title>
            <Body>Draw the first one: its walls, its windows, what holds your plants.</Body>
            <TextLink href="/place/rooms/new">Add a room</TextLink>
          </>
        }
        second={null}
      />
    );
  }
  return <RoomView key={room.id} facts={facts} room={room} />;
}

const largestFirst = (rooms: readonly Room[]) => [...rooms].sort((p, q) => q.widthM * q.depthM - p.widthM * p.depthM);

/** The fit in a month of whoever stands at each spot. */
function useFits(facts: HomeFacts, month: number): Map<string, MonthFit | null> {
  const { answers } = useVerdicts();
  return useMemo(() => {
    const byPlant = new Map(answers?.plants.map((answer) => [answer.plantId, answer.fit?.months[month - 1] ?? null]));
    return new Map(
      facts.plants.flatMap((plant) =>
        plant.spotId === null ? [] : [[plant.spotId, byPlant.get(plant.id) ?? null] as const],
      ),
    );
  }, [facts, answers, month]);
}

function RoomView({ facts, room }: { readonly facts: HomeFacts; readonly room: Room }) {
  const [month, setMonth] = useMonth();
  const asked = useSunlightMap(facts, room.id);
  const wash = shownValue(asked);
  const fits = useFits(facts, month);
  const units = useUnits();
  const outer = facts.rooms.find((other) => other.id === room.insideRoomId);
  const first = (
    <>
      <Choices
        label="Room"
        choices={largestFirst(facts.rooms).map(({ id, name }) => ({ value: id, word: name }))}
        value={room.id}
        onValue={(id) => router.navigate({ pathname: '/rooms/[roomId]', params: { roomId: id } })}
      />
      <View>
        <Title>{room.name}</Title>
        <Small>
          {length(room.widthM, units)} by {length(room.depthM, units)}, {length(room.heightM, units)} high · wall A
          looks {compassWord(sideBearing(room, 'a'))}
          {outer ? ` · stands in ${outer.name}` : ''}
        </Small>
      </View>
      <Drawing
        name={`${facts.home.name}, ${room.name}: mean daily light in ${monthName(month)}`}
        minHeight={260}
        legend={wash ? <WashLegend heightM={wash.heightM} /> : <Pending asked={asked} />}
      >
        {(width) => (
          <RoomPlan
            facts={facts}
            room={room}
            month={month}
            wash={wash}
            width={width}
            fits={fits}
            onSpot={(spotId) => router.push({ pathname: '/spots/[spotId]', params: { spotId } })}
          />
        )}
      </Drawing>
      <View style={{ gap: SPACE.xs }}>
        <Strong>{monthName(month)}: mean daily light</Strong>
        <MonthSlider month={month} onMonth={setMonth} />
        <TextLink href={{ pathname: '/light/day/[roomId]', params: { roomId: room.id } }}>
          Through a day, hour by hour
        </TextLink>
      </View>
    </>
  );
  return <TwoPanes first={first} second={<RoomContents facts={facts} room={room} month={month} fits={fits} />} />;
}

interface ContentsGiven {
  readonly facts: HomeFacts;
  readonly room: Room;
  readonly month: number;
  readonly fits: ReadonlyMap<string, MonthFit | null>;
}

function RoomContents({ facts, room, month, fits }: ContentsGiven) {
  const { answers } = useVerdicts();
  const windows = facts.windows.filter((window) => window.roomId === room.id);
  const stands = facts.stands.filter((stand) => stand.roomId === room.id);
  const dliOf = (spotId: string) => answers?.spots.find((spot) => spot.spotId === spotId)?.conditions[month - 1]?.dli;
  return (
    <>
      {windows.map((window) => (
        <CurtainControl key={window.id} window={window} />
      ))}
      {stands.length === 0 ? <Body>Nothing here holds plants yet.</Body> : null}
      {stands.map((stand) => {
        const tiers = facts.tiers.filter((tier) => tier.standId === stand.id).sort((p, q) => q.heightM - p.heightM);
        const spots = tiers.flatMap((tier) => facts.spots.filter((spot) => spot.tierId === tier.id));
        return (
          <View key={stand.id} style={{ gap: SPACE.xs }}>
            <View
              style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', flexWrap: 'wrap' }}
            >
              <Heading>{stand.name}</Heading>
              <TextLink
                href={{ pathname: '/stands/[standId]', params: { standId: stand.id } }}
                label={`Look along ${stand.name}`}
              >
                Look along it
              </TextLink>
            </View>
            {spots.map((spot) => {
              const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
              const dli = dliOf(spot.id);
              return (
                <RowLink
                  key={spot.id}
                  href={{ pathname: '/spots/[spotId]', params: { spotId: spot.id } }}
                  label={`${spot.name}${plant ? `, ${plantName(facts, plant)}` : ', free'}`}
                >
                  {plant ? <FitMark fit={fits.get(spot.id) ?? null} /> : <View style={{ width: 24 }} />}
                  <View style={{ flex: 1 }}>
                    <Body>{spot.name}</Body>
                    <Small>{plant ? plantName(facts, plant) : 'Free'}</Small>
                  </View>
                  <Body style={{ fontVariant: ['tabular-nums'] }}>
                    {dli === undefined ? '…' : `${mol(dli)} mol a day`}
                  </Body>
                </RowLink>
              );
            })}
          </View>
        );
      })}
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'rooms', id: room.id } }}>
        Edit this room, its windows and stands
      </TextLink>
    </>
  );
}
