/** A room under the light of a month: its plan, its stands, who stands where. */
import { compassWord, sideBearing, type HomeFacts, type MonthFit, type Room } from '@dulvan/core';
import { router } from 'expo-router';
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
import { spotsOn } from '../../parts/in-order';
import { useFits } from '../../parts/use-fits';
import { useSpotLight } from '../../parts/use-spot-light';
import { useMonth } from '../../parts/use-month';
import { RoomPlan } from '../../parts/room-plan';
import { WashLegend } from './wash-legend';
import { ROOMS_SCREEN as WORDS } from './rooms-words';

export function RoomsScreen({ roomId }: { readonly roomId: string | null }) {
  const facts = useFacts();
  if (!facts) return null;
  const room = facts.rooms.find((candidate) => candidate.id === roomId) ?? largestFirst(facts.rooms)[0];
  if (!room) {
    return (
      <TwoPanes
        first={
          <>
            <Title>{WORDS.noRoomYet}</Title>
            <Body>{WORDS.beginWith}</Body>
            <TextLink href="/place/rooms/new">{WORDS.addRoom}</TextLink>
          </>
        }
        second={null}
      />
    );
  }
  return <RoomView key={room.id} facts={facts} room={room} />;
}

const largestFirst = (rooms: readonly Room[]) => [...rooms].sort((p, q) => q.widthM * q.depthM - p.widthM * p.depthM);

function RoomView({ facts, room }: { readonly facts: HomeFacts; readonly room: Room }) {
  const [month, setMonth] = useMonth();
  const asked = useSunlightMap(facts, room.id);
  const wash = shownValue(asked);
  const fits = useFits(facts, month);
  const dliAt = useSpotLight(month);
  const units = useUnits();
  const outer = facts.rooms.find((other) => other.id === room.insideRoomId);
  const first = (
    <>
      <Choices
        label={WORDS.room}
        choices={largestFirst(facts.rooms).map(({ id, name }) => ({ value: id, word: name }))}
        value={room.id}
        onValue={(id) => router.navigate({ pathname: '/rooms/[roomId]', params: { roomId: id } })}
      />
      <View>
        <Title>{room.name}</Title>
        <Small>
          {WORDS.sizeAndFacing(
            length(room.widthM, units),
            length(room.depthM, units),
            length(room.heightM, units),
            compassWord(sideBearing(room, 'a')),
            outer ? WORDS.standsIn(outer.name) : '',
          )}
        </Small>
      </View>
      <Drawing
        name={WORDS.pictureOf(facts.home.name, room.name, monthName(month))}
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
            dliAt={dliAt}
            onSpot={(spotId) => router.push({ pathname: '/spots/[spotId]', params: { spotId } })}
          />
        )}
      </Drawing>
      <View style={{ gap: SPACE.xs }}>
        <Strong>{WORDS.meanDailyLight(monthName(month))}</Strong>
        <MonthSlider month={month} onMonth={setMonth} />
        <TextLink href={{ pathname: '/light/day/[roomId]', params: { roomId: room.id } }}>{WORDS.throughADay}</TextLink>
        <TextLink href={{ pathname: '/air/[roomId]', params: { roomId: room.id } }}>{WORDS.itsAir}</TextLink>
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
      {stands.length === 0 ? <Body>{WORDS.nothingHereHoldsPlants}</Body> : null}
      {stands.map((stand) => {
        const tiers = facts.tiers.filter((tier) => tier.standId === stand.id).sort((p, q) => q.heightM - p.heightM);
        const spots = tiers.flatMap((tier) => spotsOn(facts, tier.id));
        return (
          <View key={stand.id} style={{ gap: SPACE.xs }}>
            <View
              style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', flexWrap: 'wrap' }}
            >
              <Heading style={{ flexShrink: 1 }}>{stand.name}</Heading>
              <TextLink
                href={{ pathname: '/stands/[standId]', params: { standId: stand.id } }}
                label={WORDS.sideViewOf(stand.name)}
              >
                {WORDS.sideView}
              </TextLink>
            </View>
            {spots.map((spot) => {
              const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
              const dli = dliOf(spot.id);
              return (
                <RowLink
                  key={spot.id}
                  href={{ pathname: '/spots/[spotId]', params: { spotId: spot.id } }}
                  label={WORDS.spotAndWho(spot.name, plant ? plantName(facts, plant) : WORDS.freeSpot)}
                  mark={plant ? <FitMark fit={fits.get(spot.id) ?? null} /> : <View style={{ width: 24 }} />}
                  title={spot.name}
                  note={plant ? plantName(facts, plant) : WORDS.free}
                  value={dli === undefined ? '…' : WORDS.molDay(mol(dli))}
                />
              );
            })}
          </View>
        );
      })}
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'rooms', id: room.id } }}>
        {WORDS.editThisRoom}
      </TextLink>
    </>
  );
}
