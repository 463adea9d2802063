/** A window's curtain at hand: choose another and see the light change before it is kept. */
import { curtains } from '@dulvan/catalogue';
import type { Window } from '@dulvan/core';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { Choices } from '../../ui/choices';
import { SPACE } from '../../ui/theme';
import { Small, Strong } from '../../ui/type';
import { clock } from '../../ui/words';

export function CurtainControl({ window }: { readonly window: Window }) {
  const tryOut = useHome((state) => state.tryOut);
  const choose = (curtainId: string) => {
    const curtain = curtains.find((candidate) => candidate.id === curtainId)!;
    const summary =
      curtainId === 'none'
        ? `${window.name}: curtain taken away`
        : `${window.name}: ${curtain.name.toLowerCase()} shut`;
    tryOut(summary, [
      { list: 'windows', id: window.id, after: { ...window, curtainId, curtainMonths: [...window.curtainMonths] } },
    ]);
  };
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>Curtain at the {window.name.toLowerCase()}</Strong>
      <Choices
        label={`Curtain at the ${window.name.toLowerCase()}`}
        choices={curtains.map(({ id, name }) => ({ value: id, word: name }))}
        value={window.curtainId}
        onValue={choose}
      />
      {window.curtainId === 'none' ? null : (
        <Small>
          Shut from {clock(window.curtainFromMinute)} to {clock(window.curtainToMinute)}
          {window.curtainMonths.length < 12 ? ` in ${window.curtainMonths.length} months` : ''}
        </Small>
      )}
    </View>
  );
}
