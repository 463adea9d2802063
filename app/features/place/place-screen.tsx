/** The place as facts: home, rooms, circuits; each leads to its form. */
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
  const units = useUnits();
  if (!facts) return null;
  const { home } = facts;
  const north = home.latitude >= 0 ? 'N' : 'S';
  const east = home.longitude >= 0 ? 'E' : 'W';
  const roomsOf = (
    <>
      <Title>{home.name}</Title>
      <View>
        <Body>{`${Math.abs(home.latitude)}° ${north}, ${Math.abs(home.longitude)}° ${east}, ${home.elevationM} m above the sea · ${home.timeZone}`}</Body>
        <Small>{`Weather: ${weatherName(facts)}`}</Small>
        <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'home', id: home.id } }}>
          Edit where it is
        </TextLink>
      </View>
      <View style={{ gap: SPACE.xs }}>
        <Heading>Rooms</Heading>
        {facts.rooms.map((room) => (
          <RowLink
            key={room.id}
            href={{ pathname: '/place/[list]/[id]', params: { list: 'rooms', id: room.id } }}
            label={room.name}
          >
            <View style={{ flex: 1 }}>
              <Body>{room.name}</Body>
              <Small>{`${length(room.widthM, units)} by ${length(room.depthM, units)}, ${length(room.heightM, units)} high`}</Small>
            </View>
            <Small>
              {`${count(facts.windows.filter((window) => window.roomId === room.id).length, 'window')}, ${count(facts.stands.filter((stand) => stand.roomId === room.id).length, 'stand')}`}
            </Small>
          </RowLink>
        ))}
        <TextLink href="/place/rooms/new">Add a room</TextLink>
      </View>
    </>
  );
  const circuitsAndHistory = (
    <>
      <View style={{ gap: SPACE.xs }}>
        <Heading>Lamp circuits</Heading>
        {facts.circuits.map((circuit) => (
          <RowLink
            key={circuit.id}
            href={{ pathname: '/place/[list]/[id]', params: { list: 'circuits', id: circuit.id } }}
            label={circuit.name}
          >
            <View style={{ flex: 1 }}>
              <Body>{circuit.name}</Body>
              <Small>{`${clock(circuit.onMinute)} to ${clock(circuit.offMinute)}`}</Small>
            </View>
            <Small>{count(facts.lamps.filter((lamp) => lamp.circuitId === circuit.id).length, 'lamp')}</Small>
          </RowLink>
        ))}
        <TextLink href="/place/circuits/new">Add a circuit</TextLink>
      </View>
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
