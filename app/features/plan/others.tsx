/** Curtains and humidifiers that a plan has set otherwise, and what each alone does; each can be left out. */
import { settingId, type FoundPlan, type HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { Checkbox } from 'react-native-paper';
import { drawnWords, settingLines } from '../../parts/plan-steps';
import { plantName } from '../../parts/words';
import { SPACE, TOUCH } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import type { ChosenParts } from './chosen';
import { OTHERS as WORDS } from './plan-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
  readonly chosen: ChosenParts;
}

export function Others({ facts, plan, chosen }: Given) {
  if (plan.others.length === 0) return null;
  const has = (kind: string) => plan.others.some(({ setting }) => setting.kind === kind);
  return (
    <View style={{ gap: SPACE.m }}>
      <Heading>{WORDS.heading}</Heading>
      <Small>{WORDS.order}</Small>
      {plan.others.map((other) => (
        <Other key={settingId(other.setting)} facts={facts} chosen={chosen} other={other} />
      ))}
      {has('curtain') ? <Small>{WORDS.curtainCaution}</Small> : null}
      {has('humidifier') ? <Small>{WORDS.humidityCaution}</Small> : null}
    </View>
  );
}

const signed = (points: number) => `${points < 0 ? '−' : '+'}${Math.abs(points)}`;

/** How it is now, in words. */
function nowWords({ windows, airThings }: HomeFacts, { setting }: FoundPlan['others'][number]): string {
  if (setting.kind === 'curtain') return drawnWords(windows.find(({ id }) => id === setting.windowId)?.curtains ?? []);
  return WORDS.rh(airThings.find(({ id }) => id === setting.airThingId)?.setRh ?? 0);
}

function Other({ facts, chosen, other }: Omit<Given, 'plan'> & { readonly other: FoundPlan['others'][number] }) {
  const id = settingId(other.setting);
  const { what, to } = settingLines(facts, other.setting);
  const gain = ({ plantId, points }: (typeof other.gains)[number]) => {
    const plant = facts.plants.find((one) => one.id === plantId);
    return WORDS.gain(plant ? plantName(facts, plant) : plantId, signed(Math.round(100 * points)));
  };
  return (
    <View role="group" aria-label={what} style={{ flexDirection: 'row', gap: SPACE.s }}>
      <View style={{ minWidth: TOUCH, minHeight: TOUCH, justifyContent: 'center' }}>
        <Checkbox
          status={chosen.otherIds.has(id) ? 'checked' : 'unchecked'}
          onPress={() => chosen.toggle(id)}
          {...{ 'aria-label': WORDS.take(what) }}
        />
      </View>
      <View style={{ flex: 1, gap: 2 }}>
        <Strong>{what}</Strong>
        <Small>{WORDS.now(nowWords(facts, other))}</Small>
        <Body>{`→ ${to}`}</Body>
        {other.gains.length > 0 ? <Small>{WORDS.gains(other.gains.map(gain).join(', '))}</Small> : null}
      </View>
    </View>
  );
}
