/** The accepted plan as a list to walk with, in an order that never needs a taken spot; and its promises. */
import { drop, openSteps, stepChanges, type AcceptedPlan, type HomeFacts, type PlanStep } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { dayWords, stepLines, stepWords } from '../../parts/plan-steps';
import { fitShare, plantName } from '../../parts/words';
import { useFacts, useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { useNow } from '../../state/use-now';
import { useVerdicts } from '../../state/verdicts';
import { dateAt } from '../../state/year';
import { Button } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Page, Rule } from '../../ui/page';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { KeepFiles } from './keep-files';
import { OTHERS, WALK as WORDS } from './plan-words';

interface Given {
  readonly facts: HomeFacts;
}

export function WalkScreen() {
  const facts = useFacts();
  if (!facts) return null;
  const steps = openSteps(facts);
  const days = [...new Set(steps.map(({ on }) => on))];
  return (
    <Page>
      <Title>{WORDS.title}</Title>
      {steps.length === 0 ? (
        <>
          <Body>{WORDS.none}</Body>
          <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => router.push('/plan')}>
            {WORDS.makeOne}
          </Button>
        </>
      ) : null}
      {days.map((day) => (
        <Day key={day} facts={facts} day={day} steps={steps.filter(({ on }) => on === day)} />
      ))}
      {facts.circuits.length + steps.length > 0 ? <KeepFiles facts={facts} /> : null}
      {steps.length > 0 ? <GiveUp steps={steps} /> : null}
      <History facts={facts} />
    </Page>
  );
}

interface DayGiven extends Given {
  readonly day: string;
  readonly steps: readonly PlanStep[];
}

function Day({ facts, day, steps }: DayGiven) {
  const today = dateAt(facts, useNow());
  const heading = day === today ? WORDS.today : day < today ? WORDS.overdue(dayWords(day)) : WORDS.onDay(dayWords(day));
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{heading}</Heading>
      {steps.map((step) => (
        <Step key={step.id} facts={facts} step={step} />
      ))}
      {steps.some(({ kind }) => kind === 'timer') ? <Small>{WORDS.timerCaution}</Small> : null}
      {steps.some(({ kind }) => kind === 'hang') ? <Small>{WORDS.hangCaution}</Small> : null}
      {steps.some(({ kind }) => kind === 'humidifier') ? <Small>{OTHERS.humidityCaution}</Small> : null}
    </View>
  );
}

function Step({ facts, step }: Given & { readonly step: PlanStep }) {
  const change = useHome((state) => state.change);
  const today = dateAt(facts, useNow());
  const units = useUnits();
  const words = stepWords(facts, step, units);
  const lines = stepLines(facts, step, units);
  return (
    <View style={{ gap: SPACE.xs }}>
      <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
        <View style={{ flex: 1, gap: 2 }}>
          <Strong testID="plan-step">{lines.what}</Strong>
          {lines.from ? <Small>{lines.from}</Small> : null}
          {lines.to ? <Body>{lines.to}</Body> : null}
          {step.kind === 'shade' ? <Small>{WORDS.shadeHow}</Small> : null}
        </View>
        <Button
          kind="main"
          label={WORDS.doneLabel(words)}
          onPress={() => void change(words, stepChanges(facts, step, today))}
        >
          {WORDS.done}
        </Button>
      </View>
      <Rule />
    </View>
  );
}

function GiveUp({ steps }: { readonly steps: readonly PlanStep[] }) {
  const change = useHome((state) => state.change);
  const giveUp = () =>
    void change(
      WORDS.gaveUp,
      steps.map(({ id }) => drop('planSteps', id)),
    );
  return (
    <Button kind="danger" style={{ alignSelf: 'flex-start' }} onPress={giveUp}>
      {WORDS.dropAll}
    </Button>
  );
}

/** Plans that were accepted, each with what it promised beside what is. */
function History({ facts }: Given) {
  const plans = [...facts.plans].sort((p, q) => (p.acceptedOn < q.acceptedOn ? 1 : -1));
  if (plans.length === 0) return null;
  return (
    <>
      <Heading>{WORDS.history}</Heading>
      {plans.map((plan) => (
        <Kept key={plan.id} facts={facts} plan={plan} />
      ))}
    </>
  );
}

function Kept({ facts, plan }: Given & { readonly plan: AcceptedPlan }) {
  const { answers } = useVerdicts();
  const scoreOf = (plantId: string) => answers?.plants.find((one) => one.plantId === plantId)?.fit?.verdict.score;
  const words = WORDS.accepted(
    dayWords(plan.acceptedOn),
    String(Math.round(plan.kWhBefore)),
    String(Math.round(plan.kWhAfter)),
  );
  return (
    <Fold title={words}>
      <Table
        name={words}
        lines="between"
        columns={[
          { name: WORDS.plant, share: 2 },
          { name: WORDS.promised, align: 'right' },
          { name: WORDS.isNow, align: 'right' },
        ]}
        rows={plan.promised.flatMap(({ plantId, after }) => {
          const plant = facts.plants.find(({ id }) => id === plantId);
          const now = scoreOf(plantId);
          return plant
            ? [{ key: plantId, cells: [plantName(facts, plant), fitShare(after), now == null ? '–' : fitShare(now)] }]
            : [];
        })}
      />
    </Fold>
  );
}
