/** The place as facts: home, rooms, circuits; each leads to its form. */
import type { HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { RowLink, TextLink } from '../../ui/button';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { clock, count, length, weatherName } from '../../parts/words';
import { History } from './history';

export function PlaceScreen() {
  const facts = useFacts();
  if (!facts) return null;
  const roomsOf = (
    <>
      <Title>{facts.home.name}</Title>
      <Where facts={facts} />
      <Rooms facts={facts} />
    </>
  );
  const circuitsAndHistory = (
    <>
      <Circuits facts={facts} />
      <View>
        <Heading>Light, measured and imported</Heading>
        <TextLink href="/light/readings">{`Readings of a light meter: ${count(facts.readings.length, 'reading')}`}</TextLink>
        <TextLink href="/light/files">{`Weather file and lamp files: ${facts.weathers[0]?.name ?? 'no weather file'}, ${count(facts.photometries.length, 'lamp file')}`}</TextLink>
      </View>
      <History facts={facts} />
    </>
  );
  return <TwoPanes first={roomsOf} second={circuitsAndHistory} />;
}

interface Given {
  readonly facts: HomeFacts;
}

function Where({ facts }: Given) {
  const { id, latitude, longitude, elevationM, timeZone } = facts.home;
  const north = latitude >= 0 ? 'N' : 'S';
  const east = longitude >= 0 ? 'E' : 'W';
  return (
    <View>
      <Body>{`${Math.abs(latitude)}° ${north}, ${Math.abs(longitude)}° ${east}, ${elevationM} m above the sea · ${timeZone}`}</Body>
      <Small>{`Weather: ${weatherName(facts)}`}</Small>
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'home', id } }}>Edit where it is</TextLink>
    </View>
  );
}

function Rooms({ facts }: Given) {
  const units = useUnits();
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>Rooms</Heading>
      {facts.rooms.map(({ id, name, widthM, depthM, heightM }) => {
        const windows = facts.windows.filter((window) => window.roomId === id).length;
        const stands = facts.stands.filter((stand) => stand.roomId === id).length;
        return (
          <RowLink key={id} href={{ pathname: '/place/[list]/[id]', params: { list: 'rooms', id } }} label={name}>
            <View style={{ flex: 1 }}>
              <Body>{name}</Body>
              <Small>{`${length(widthM, units)} by ${length(depthM, units)}, ${length(heightM, units)} high`}</Small>
            </View>
            <Small>{`${count(windows, 'window')}, ${count(stands, 'stand')}`}</Small>
          </RowLink>
        );
      })}
      <TextLink href="/place/rooms/new">Add a room</TextLink>
    </View>
  );
}

function Circuits({ facts }: Given) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>Lamp circuits</Heading>
      {facts.circuits.map(({ id, name, onMinute, offMinute }) => (
        <RowLink key={id} href={{ pathname: '/place/[list]/[id]', params: { list: 'circuits', id } }} label={name}>
          <View style={{ flex: 1 }}>
            <Body>{name}</Body>
            <Small>{`${clock(onMinute)} to ${clock(offMinute)}`}</Small>
          </View>
          <Small>{count(facts.lamps.filter((lamp) => lamp.circuitId === id).length, 'lamp')}</Small>
        </RowLink>
      ))}
      <TextLink href="/place/circuits/new">Add a circuit</TextLink>
    </View>
  );
}
