/** Armed timer plugs that are not as they should be, with the way to them. */
import type { HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { plugTroubles } from '../../parts/plug-words';
import { findingsOf, usePlugs } from '../../state/plugs';
import { TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Strong } from '../../ui/type';
import { PLUG_ALARMS as WORDS } from './today-words';

export function PlugAlarms({ facts }: { readonly facts: HomeFacts }) {
  const { plugs } = usePlugs(facts.home.id);
  const told = (plugs.state === 'ready' ? plugs.value : [])
    .filter(({ armed }) => armed)
    .map((plug) => ({ plug, troubles: plugTroubles(plug, findingsOf(facts, plug)) }))
    .filter(({ troubles }) => troubles.length > 0);
  if (told.length === 0) return null;
  return (
    <View role="alert" style={{ gap: SPACE.s }}>
      <Heading>{WORDS.title}</Heading>
      {told.map(({ plug, troubles }) => (
        <View key={plug.id}>
          <Strong>{plug.name}</Strong>
          {troubles.map((trouble) => (
            <Body key={trouble}>{trouble}</Body>
          ))}
        </View>
      ))}
      <TextLink href="/plugs">{WORDS.see}</TextLink>
    </View>
  );
}
