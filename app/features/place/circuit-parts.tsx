/** What a circuit's programme does, and the lamps that hang on it, each with where it hangs. */
import type { HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { timerWords } from '../../parts/timer-words';
import { Button, RowLink, TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading } from '../../ui/type';
import { CIRCUIT_PARTS as WORDS } from './place-words';

export function CircuitParts({ facts, circuitId }: { readonly facts: HomeFacts; readonly circuitId: string }) {
  const lamps = facts.lamps.filter((lamp) => lamp.circuitId === circuitId);
  const circuit = facts.circuits.find(({ id }) => id === circuitId);
  return (
    <View style={{ gap: SPACE.xs }}>
      {circuit && circuit.programme.length > 0 ? (
        <>
          <Heading>{WORDS.itsProgramme}</Heading>
          <Body>{timerWords(circuit)}</Body>
        </>
      ) : null}
      {circuit ? (
        <Button
          style={{ alignSelf: 'flex-start' }}
          onPress={() => router.push({ pathname: '/place/programme/[circuitId]', params: { circuitId } })}
        >
          {WORDS.setProgramme}
        </Button>
      ) : null}
      {circuit ? <TextLink href="/plugs">{WORDS.itsPlug}</TextLink> : null}
      <Heading>{WORDS.itsLamps}</Heading>
      {lamps.length === 0 ? <Body>{WORDS.noLampYet}</Body> : null}
      {lamps.map((lamp) => {
        const tier = facts.tiers.find(({ id }) => id === lamp.tierId);
        const stand = facts.stands.find(({ id }) => id === tier?.standId);
        const room = facts.rooms.find(({ id }) => id === stand?.roomId);
        return (
          <RowLink
            key={lamp.id}
            href={{ pathname: '/place/[list]/[id]', params: { list: 'lamps', id: lamp.id } }}
            title={lamp.name}
            note={[stand?.name, room?.name].filter(Boolean).join(' · ')}
            valueNote={WORDS.watts(lamp.powerW)}
          />
        );
      })}
    </View>
  );
}
