/** What a plan comes to, beside the home as it is: plants, electricity, carries; how near to the best; what to mind. */
import { loadWarnings, planSettingsOf, type FoundPlan, type HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { count, plantName } from '../../parts/words';
import { SPACE } from '../../ui/theme';
import { Heading, Small, Body } from '../../ui/type';
import { Table } from '../../ui/table';
import { useInk } from '../../ui/use-ink';
import { kWhWords, money, percent, standingOf } from './figures';
import { MATTERS, SUMMARY as WORDS } from './plan-words';
import { carriesOf } from './variants';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
  readonly seconds: number | null;
}

const named = (facts: HomeFacts, ids: readonly string[]): string =>
  ids
    .flatMap((id) => facts.plants.filter((plant) => plant.id === id).map((plant) => plantName(facts, plant)))
    .join(', ');

export function Summary({ facts, plan, seconds }: Given) {
  const before = standingOf(plan.plants.map((one) => one.before));
  const after = standingOf(plan.plants.map((one) => one.after));
  const { currency } = planSettingsOf(facts);
  const costs = [plan.energyBefore.year.cost, plan.energyAfter.year.cost];
  const row = (key: string, name: string, cells: readonly string[]) => ({ key, cells: [name, ...cells] });
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.heading}</Heading>
      <Table
        name={WORDS.heading}
        lines="between"
        columns={[{ share: 2 }, { name: WORDS.asItIs, align: 'right' }, { name: WORDS.byThePlan, align: 'right' }]}
        rows={[
          row('dying', WORDS.dying, [String(before.dying), String(after.dying)]),
          row('lives', WORDS.livesOn, [String(before.livesOn), String(after.livesOn)]),
          row('grows', WORDS.growing, [String(before.growing), String(after.growing)]),
          row('kwh', WORDS.kWh, [kWhWords(plan.energyBefore.year.kWh), kWhWords(plan.energyAfter.year.kWh)]),
          ...(costs[0] == null || costs[1] == null
            ? []
            : [row('cost', WORDS.cost, [money(costs[0], currency), money(costs[1], currency)])]),
          row('carries', WORDS.carries, ['', String(carriesOf(plan))]),
        ]}
      />
      <Proven plan={plan} seconds={seconds} />
      <Minded facts={facts} plan={plan} />
    </View>
  );
}

function Proven({ plan, seconds }: Omit<Given, 'facts'>) {
  const { gap } = plan.proof;
  return (
    <>
      <Small>{Number.isFinite(gap) ? WORDS.proof(percent(gap)) : WORDS.unproven}</Small>
      {plan.certainty === 'worked-out' ? <Small>{WORDS.light(count(plan.rounds, 'time'))}</Small> : null}
      {seconds === null ? null : <Small>{WORDS.took(seconds.toFixed(seconds < 10 ? 1 : 0))}</Small>}
    </>
  );
}

/** What was assumed, and what could hurt someone. */
function Minded({ facts, plan }: Omit<Given, 'seconds'>) {
  const { danger } = useInk();
  const loads = loadWarnings(facts);
  return (
    <>
      {plan.assumed.length > 0 ? <Small>{WORDS.assumed(named(facts, plan.assumed))}</Small> : null}
      {plan.unknown.length > 0 ? <Small>{WORDS.unknown(named(facts, plan.unknown))}</Small> : null}
      {plan.alwaysInReach.map(({ plantId, who }) => (
        <Body key={plantId} style={{ color: danger }}>
          {WORDS.inReach(
            named(facts, [plantId]),
            who.map((member) => MATTERS.household[member].toLowerCase()).join(', '),
          )}
        </Body>
      ))}
      {loads.map(({ id, name, loadW, limitW, state }) => (
        <Body key={id} style={state === 'over' ? { color: danger } : {}}>
          {WORDS.load(name, String(Math.round(loadW)), String(limitW), WORDS[state])}
        </Body>
      ))}
      {plan.timers.some(({ isChanged }) => isChanged) || loads.length > 0 ? <Small>{WORDS.loadCaution}</Small> : null}
    </>
  );
}
