/** A window's curtain at hand: choose another and see the light change before it is kept. */
import { curtains } from '@dulvan/catalogue';
import { clockOf, patch, type HungCurtain, type Window } from '@dulvan/core';
import { View } from 'react-native';
import { hungAnew } from '../../parts/curtains';
import { useHome } from '../../state/home';
import { Choices } from '../../ui/choices';
import { SPACE } from '../../ui/theme';
import { Small, Strong } from '../../ui/type';
import { CURTAIN_CONTROL as WORDS } from './rooms-words';

export function CurtainControl({ window }: { readonly window: Window }) {
  const tryOut = useHome((state) => state.tryOut);
  const [first, ...others] = window.curtains;
  const choose = (curtainId: string) => {
    const { name } = curtains.find((candidate) => candidate.id === curtainId)!;
    const isBare = curtainId === 'none';
    const summary = isBare ? WORDS.curtainTakenAway(window.name) : WORDS.curtainShut(window.name, name.toLowerCase());
    const now = isBare ? [] : [{ ...(first ?? hungAnew(curtainId)), curtainId }];
    tryOut(summary, [patch('windows', window.id, { curtains: [...now, ...others] })]);
  };
  const label = WORDS.curtainAt(window.name.toLowerCase());
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{label}</Strong>
      <Choices
        label={label}
        choices={curtains.map(({ id, name }) => ({ value: id, word: name }))}
        value={first?.curtainId ?? 'none'}
        onValue={choose}
      />
      {first ? <Small>{WORDS.shut(hoursOf(first))}</Small> : null}
      {others.map((curtain) => (
        <Small key={curtain.curtainId}>{WORDS.behindIt(nameOf(curtain).toLowerCase(), hoursOf(curtain))}</Small>
      ))}
    </View>
  );
}

const nameOf = ({ curtainId }: HungCurtain) => curtains.find(({ id }) => id === curtainId)?.name ?? curtainId;

const hoursOf = ({ fromMinute, toMinute, months }: HungCurtain) =>
  WORDS.shutFromTo(clockOf(fromMinute), clockOf(toMinute), months.length < 12 ? WORDS.inMonths(months.length) : '');
