/** The place as facts: home, rooms, circuits; each leads to its form. */
import type { HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { RowLink, TextLink } from '../../ui/button';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { timerWords } from '../../parts/timer-words';
import { count, length, weatherName } from '../../parts/words';
import { PLACE_SCREEN as WORDS } from './place-words';

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
  const weather = facts.weathers[0]?.name ?? WORDS.noWeatherFile;
  const lampFiles = count(facts.photometries.length, 'lamp file');
  const circuitsAndHistory = (
    <>
      <Circuits facts={facts} />
      <View>
        <Heading>{WORDS.lightMeasuredAndImported}</Heading>
        <TextLink href="/light/readings">{WORDS.lightMeter(count(facts.readings.length, 'reading'))}</TextLink>
        <TextLink href="/loggers">{WORDS.loggers}</TextLink>
        <TextLink href="/light/files">{WORDS.files(weather, lampFiles)}</TextLink>
      </View>
      <View>
        <Heading>{WORDS.whatWasChanged}</Heading>
        <TextLink href="/changes">{WORDS.everyChange}</TextLink>
      </View>
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
      <Body>{WORDS.where(Math.abs(latitude), north, Math.abs(longitude), east, elevationM, timeZone)}</Body>
      <Small>{WORDS.weather(weatherName(facts))}</Small>
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'home', id } }}>{WORDS.editWhereItIs}</TextLink>
    </View>
  );
}

function Rooms({ facts }: Given) {
  const units = useUnits();
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.rooms}</Heading>
      {facts.rooms.map(({ id, name, widthM, depthM, heightM }) => {
        const windows = facts.windows.filter((window) => window.roomId === id).length;
        const stands = facts.stands.filter((stand) => stand.roomId === id).length;
        return (
          <RowLink
            key={id}
            href={{ pathname: '/place/[list]/[id]', params: { list: 'rooms', id } }}
            title={name}
            note={WORDS.size(length(widthM, units), length(depthM, units), length(heightM, units))}
            valueNote={`${count(windows, 'window')}, ${count(stands, 'stand')}`}
          />
        );
      })}
      <TextLink href="/place/rooms/new">{WORDS.addRoom}</TextLink>
    </View>
  );
}

function Circuits({ facts }: Given) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.lampCircuits}</Heading>
      {facts.circuits.map((circuit) => (
        <RowLink
          key={circuit.id}
          href={{ pathname: '/place/[list]/[id]', params: { list: 'circuits', id: circuit.id } }}
          title={circuit.name}
          note={timerWords(circuit)}
          valueNote={count(facts.lamps.filter((lamp) => lamp.circuitId === circuit.id).length, 'lamp')}
        />
      ))}
      <TextLink href="/place/circuits/new">{WORDS.addCircuit}</TextLink>
      <TextLink href="/plugs">{WORDS.plugs}</TextLink>
      {facts.supplies.map(({ id, name, limitW }) => (
        <RowLink
          key={id}
          href={{ pathname: '/place/[list]/[id]', params: { list: 'supplies', id } }}
          title={name}
          note={WORDS.supplyAllows(limitW)}
        />
      ))}
      <TextLink href="/place/supplies/new">{WORDS.addSupply}</TextLink>
    </View>
  );
}
