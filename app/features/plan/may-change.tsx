/** What a plan may change: how often plants are carried, how readily, and what of each timer. */
import {
  patch,
  type Arrangements,
  type HardeningPace,
  type HomeFacts,
  type MayBeSet,
  type MoveEffort,
  type TimerFreedom,
} from '@dulvan/core';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { Choices } from '../../ui/choices';
import { Question } from '../../ui/question';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong } from '../../ui/type';
import { MAY_CHANGE as WORDS } from './plan-words';
import { choicesOf, usePlanSetting } from './setting';

export function MayChange({ facts }: { readonly facts: HomeFacts }) {
  const { settings, set } = usePlanSetting(facts);
  const change = useHome((state) => state.change);
  const setFreedom = (id: string, freedom: TimerFreedom) =>
    void change(WORDS.changed(WORDS.freedoms[freedom]), [patch('circuits', id, { freedom })]);
  return (
    <View style={{ gap: SPACE.m }}>
      <Question
        label={WORDS.howOften}
        choices={choicesOf(WORDS.arrangements)}
        value={String(settings.arrangements)}
        onValue={(value) =>
          set(WORDS.arrangements[value as `${Arrangements}`], { arrangements: Number(value) as Arrangements })
        }
      />
      <Question
        label={WORDS.howReadily}
        choices={choicesOf(WORDS.moves)}
        value={settings.moves}
        onValue={(value) => set(WORDS.moves[value as MoveEffort], { moves: value as MoveEffort })}
        note={WORDS.movesNote}
      />
      <Question
        label={WORDS.howFast}
        choices={choicesOf(WORDS.hardening)}
        value={settings.hardening}
        onValue={(value) => set(WORDS.hardening[value as HardeningPace], { hardening: value as HardeningPace })}
        note={WORDS.hardeningNote}
      />
      <Others facts={facts} />
      <Strong>{WORDS.whatTimers}</Strong>
      {facts.circuits.length === 0 ? <Small>{WORDS.noTimers}</Small> : null}
      {facts.circuits.map(({ id, name, freedom }) => (
        <View key={id} style={{ gap: SPACE.xs }}>
          <Body>{name}</Body>
          <Choices
            label={name}
            choices={choicesOf(WORDS.freedoms)}
            value={freedom}
            onValue={(value) => setFreedom(id, value as TimerFreedom)}
          />
        </View>
      ))}
    </View>
  );
}

/** Curtains and humidifiers, where there are any that could be set. */
function Others({ facts }: { readonly facts: HomeFacts }) {
  const { settings, set } = usePlanSetting(facts);
  return (
    <>
      {facts.windows.some(({ curtains }) => curtains.length > 0) ? (
        <Question
          label={WORDS.mayDraw}
          choices={choicesOf(WORDS.maySet)}
          value={settings.curtains}
          onValue={(value) => set(WORDS.mayDraw, { curtains: value as MayBeSet })}
          note={WORDS.mayDrawNote}
        />
      ) : null}
      {facts.airThings.some(({ kind, setRh }) => kind === 'humidifier' && setRh !== null) ? (
        <Question
          label={WORDS.mayMoisten}
          choices={choicesOf(WORDS.maySet)}
          value={settings.humidifiers}
          onValue={(value) => set(WORDS.mayMoisten, { humidifiers: value as MayBeSet })}
        />
      ) : null}
    </>
  );
}
