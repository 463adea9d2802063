/** Timer plugs: what each does and says, whether it may be set from here, and a way to add one. */
import type { Plug } from '@dulvan/contract';
import { clockOf, yearOfTimer, type HomeFacts } from '@dulvan/core';
import { formatDistanceStrict } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { Failed } from '../../parts/pending';
import { plugTroubles } from '../../parts/plug-words';
import { programmeWords, timerWords } from '../../parts/timer-words';
import { useFacts } from '../../state/home';
import { armPlug, checkPlug, findingsOf, forgetPlug, usePlugs, type PlugRefusal } from '../../state/plugs';
import { useNow } from '../../state/use-now';
import { Button, TextLink } from '../../ui/button';
import { Row, Rule, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { Waiting } from '../../ui/waiting';
import { Wrong } from '../../ui/wrong';
import { AddPlug } from './add-plug';
import { ArmSheet } from './arm-sheet';
import { PLUGS_SCREEN as WORDS } from './plugs-words';

export function PlugsScreen() {
  const facts = useFacts();
  return facts ? <Plugs facts={facts} /> : null;
}

function Plugs({ facts }: { readonly facts: HomeFacts }) {
  const { plugs, again } = usePlugs(facts.home.id);
  const known = plugs.state === 'ready' ? plugs.value : null;
  return (
    <TwoPanes
      first={
        <>
          <TextLink href="/place">{WORDS.place}</TextLink>
          <Title>{WORDS.title}</Title>
          <Body>{WORDS.about}</Body>
          {plugs.state === 'working' ? <Waiting lines={3} words={WORDS.working} /> : null}
          {plugs.state === 'failed' ? <Failed message={plugs.message} onRetry={plugs.retry} /> : null}
          {known?.length === 0 ? <Small>{WORDS.none}</Small> : null}
          {known?.map((plug) => (
            <OnePlug key={plug.id} facts={facts} plug={plug} onChanged={again} />
          ))}
        </>
      }
      second={known ? <AddPlug facts={facts} plugs={known} onAdded={again} /> : null}
    />
  );
}

interface PlugGiven {
  readonly facts: HomeFacts;
  readonly plug: Plug;
  readonly onChanged: () => void;
}

function OnePlug({ facts, plug, onChanged }: PlugGiven) {
  const now = useNow();
  const [refused, setRefused] = useState<PlugRefusal | null>(null);
  const [busy, setBusy] = useState<'no' | 'yes'>('no');
  const [asking, setAsking] = useState<'no' | 'yes'>('no');
  const { name, told, toldAt, sentAt, armed } = plug;
  const timer = facts.circuits.find(({ id }) => id === plug.circuitId);
  const troubles = plugTroubles(plug, findingsOf(facts, plug));
  const ago = (at: number) => formatDistanceStrict(at, Math.max(now, at));
  const say = async (saying: Promise<PlugRefusal | null>) => {
    setBusy('yes');
    setAsking('no');
    setRefused(await saying);
    setBusy('no');
    onChanged();
  };
  const homeId = facts.home.id;
  return (
    <View role="group" aria-label={name} style={{ gap: SPACE.xs }}>
      <Rule />
      <Strong>{name}</Strong>
      <Small>{plug.address}</Small>
      <Small>{timer ? WORDS.timerSays(timer.name, timerWords(timer)) : WORDS.timerGone}</Small>
      <Small>{told === null || toldAt === null ? WORDS.neverTold : WORDS.toldAgo(ago(toldAt), stateWords(told))}</Small>
      {told ? <Small>{WORDS.clockAndYear(clockOf(told.clock.minute), keptWords(told))}</Small> : null}
      {troubles.map((trouble) => (
        <Body key={trouble}>{`⚠ ${trouble}`}</Body>
      ))}
      {troubles.length === 0 && told !== null && timer ? <Body>{WORDS.asItShould}</Body> : null}
      <Small>{armed ? WORDS.armed(sentAt === null ? null : ago(sentAt)) : WORDS.notArmed}</Small>
      <Row>
        <Button label={WORDS.checkOf(name)} disabled={busy === 'yes'} onPress={() => void say(checkPlug(homeId, plug))}>
          {WORDS.check}
        </Button>
        {armed ? (
          <Button label={WORDS.disarmOf(name)} onPress={() => void say(armPlug(homeId, plug, false))}>
            {WORDS.disarm}
          </Button>
        ) : (
          <Button label={WORDS.armOf(name)} disabled={busy === 'yes' || !timer} onPress={() => setAsking('yes')}>
            {WORDS.arm}
          </Button>
        )}
        <Button kind="danger" label={WORDS.forgetOf(name)} onPress={() => void say(forgetPlug(homeId, plug))}>
          {WORDS.forget}
        </Button>
      </Row>
      <Wrong message={refused?.message ?? null} />
      {asking === 'yes' && timer ? (
        <ArmSheet
          name={name}
          timer={timer}
          onYes={() => void say(armPlug(homeId, plug, true))}
          onNo={() => setAsking('no')}
        />
      ) : null}
    </View>
  );
}

type Told = NonNullable<Plug['told']>;

const stateWords = ({ on, watts }: Told): string =>
  on ? WORDS.isOn(watts === null ? null : String(Math.round(watts))) : WORDS.isOff;

const keptWords = ({ programme }: Told): string =>
  programme.length === 0
    ? WORDS.keepsNothing
    : programmeWords(yearOfTimer({ onMinute: 0, offMinute: 0, months: [], programme }));
