/** The plan out as files: a calendar, and tables of its steps and of the timers. */
import { homeAfter, openSteps, type HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { stepWords } from '../../parts/plan-steps';
import { useUnits } from '../../state/settings';
import { useNow } from '../../state/use-now';
import { dateAt } from '../../state/year';
import { Button } from '../../ui/button';
import { saveFile } from '../../ui/files';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Heading } from '../../ui/type';
import { KEEP as WORDS } from './plan-words';

export function KeepFiles({ facts }: { readonly facts: HomeFacts }) {
  const on = dateAt(facts, useNow());
  const units = useUnits();
  const steps = openSteps(facts).map((step) => ({ id: step.id, on: step.on, title: stepWords(facts, step, units) }));
  const { circuits } = homeAfter(facts, on);
  // What writes files is loaded when one is wanted.
  const save = async (kind: 'calendar' | 'steps' | 'timers') => {
    const { planCalendar, stepsTable, timersTable } = await import('@dulvan/formats/plan-files');
    if (kind === 'calendar')
      saveFile('plan.ics', planCalendar({ steps, circuits, on, name: facts.home.name }), 'text/calendar');
    else if (kind === 'steps') saveFile('plan-steps.csv', stepsTable(steps), 'text/csv');
    else saveFile('timers.csv', timersTable(circuits), 'text/csv');
  };
  const print = async () => {
    const [{ planPaper }, { pdfOf }] = await Promise.all([import('./paper'), import('./print')]);
    saveFile('plan.pdf', await pdfOf(planPaper(facts, on, units)), 'application/pdf');
  };
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.heading}</Heading>
      <Row>
        <Button onPress={() => void save('calendar')}>{WORDS.calendar}</Button>
        <Button onPress={() => void save('steps')}>{WORDS.steps}</Button>
        <Button onPress={() => void save('timers')}>{WORDS.timers}</Button>
        <Button onPress={() => void print()}>{WORDS.paper}</Button>
      </Row>
    </View>
  );
}
