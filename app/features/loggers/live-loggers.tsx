/** Loggers that send by themselves: let in with a token that is shown once, seen or silent, shut out. */
import type { Device } from '@dulvan/contract';
import type { HomeFacts } from '@dulvan/core';
import { formatDistanceStrict } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { Failed } from '../../parts/pending';
import { useNow } from '../../state/use-now';
import { letLoggerIn, postAddress, shutLoggerOut, useDevices, type LoggerPlace } from '../../state/loggers';
import { Button } from '../../ui/button';
import { Field } from '../../ui/field';
import { Fold } from '../../ui/fold';
import { PickOne } from '../../ui/pick-one';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { Wrong } from '../../ui/wrong';
import { LIVE_LOGGERS as WORDS } from './loggers-words';
import { atPlace, loggerPlace, placesOf } from './logger-places';

export function LiveLoggers({ facts }: { readonly facts: HomeFacts }) {
  const { devices, again } = useDevices(facts.home.id);
  if (devices.state === 'failed') return <Failed message={devices.message} onRetry={devices.retry} />;
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.title}</Heading>
      {devices.state === 'ready'
        ? devices.value.map((device) => <OneDevice key={device.id} facts={facts} device={device} onGone={again} />)
        : null}
      <Fold title={WORDS.letIn} note={WORDS.aboutLetIn} begins="shut">
        <LetIn facts={facts} onMade={again} />
      </Fold>
    </View>
  );
}

/** A logger that is silent for longer may have lost its way, minutes. */
const SILENT_AFTER = 180;
const MINUTE_MS = 60_000;

interface DeviceGiven {
  readonly facts: HomeFacts;
  readonly device: Device;
  readonly onGone: () => void;
}

function OneDevice({ facts, device, onGone }: DeviceGiven) {
  const now = useNow();
  const [refused, setRefused] = useState<string | null>(null);
  const { lastSeenAt, battery } = device;
  const seen =
    lastSeenAt === null ? WORDS.neverSeen : WORDS.seen(formatDistanceStrict(lastSeenAt, Math.max(now, lastSeenAt)));
  const isSilent = lastSeenAt !== null && now - lastSeenAt > SILENT_AFTER * MINUTE_MS;
  const shutOut = async () => {
    setRefused(await shutLoggerOut(facts.home.id, device.id));
    onGone();
  };
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{device.name}</Strong>
      <Small>
        {[
          loggerPlace(facts, device),
          seen,
          ...(battery === null ? [] : [WORDS.battery(`${Math.round(battery)}`)]),
        ].join(' · ')}
      </Small>
      {isSilent ? <Body>{WORDS.silent}</Body> : null}
      <Button
        kind="danger"
        label={WORDS.shutOutOf(device.name)}
        style={{ alignSelf: 'flex-start' }}
        onPress={() => void shutOut()}
      >
        {WORDS.shutOut}
      </Button>
      <Wrong message={refused} />
    </View>
  );
}

function LetIn({ facts, onMade }: { readonly facts: HomeFacts; readonly onMade: () => void }) {
  const [name, setName] = useState('');
  const [place, setPlace] = useState(`room/${facts.rooms[0]?.id ?? ''}`);
  const [token, setToken] = useState<string | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const letIn = async () => {
    const at: LoggerPlace = { name: name.trim(), ...atPlace(place) };
    const made = await letLoggerIn(facts.home.id, at);
    setRefused('refused' in made ? made.refused : null);
    setToken('token' in made ? made.token : null);
    if ('token' in made) {
      setName('');
      onMade();
    }
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Field label={WORDS.name} value={name} onValue={setName} />
      <Strong>{WORDS.where}</Strong>
      <PickOne label={WORDS.where} choices={placesOf(facts)} value={place} onValue={setPlace} />
      <Button
        kind="main"
        disabled={name.trim() === ''}
        style={{ alignSelf: 'flex-start' }}
        onPress={() => void letIn()}
      >
        {WORDS.makeToken}
      </Button>
      <Wrong message={refused} />
      {token ? (
        <View role="status" style={{ gap: SPACE.xs }}>
          <Body>{WORDS.tokenOnce}</Body>
          <Body testID="token">{token}</Body>
          <Small>{WORDS.howToSend(postAddress())}</Small>
          <Small>{WORDS.example}</Small>
        </View>
      ) : null}
    </View>
  );
}
