/** What happened to a plant, newest first, and a line to add. */
import type { JournalEntry } from '@dulvan/contract';
import type { HomeFacts, Plant } from '@dulvan/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '../../state/api';
import { Button } from '../../ui/button';
import { Field } from '../../ui/field';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { useDrafts } from '../../state/drafts';

const ENTRIES = '50';

export function PlantJournal({ facts, plant }: { readonly facts: HomeFacts; readonly plant: Plant }) {
  const { danger } = useInk();
  const homeId = facts.home.id;
  const [entries, setEntries] = useState<readonly JournalEntry[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [written, setWritten] = useState(0);
  const draftKey = `note/${plant.id}`;
  const text = useDrafts((state) => state.drafts[draftKey]?.text ?? '');
  const { put, drop } = useDrafts.getState();
  useEffect(() => {
    let stale = false;
    void ask('journal', { params: { homeId }, query: { plantId: plant.id, limit: ENTRIES } }).then((answer) => {
      if (stale) return;
      if (answer.ok) setEntries(answer.value);
      else setFailure(answer.refusal.message);
    });
    return () => {
      stale = true;
    };
    // Every stored change of the plant makes new facts, so the facts tell when to look again.
  }, [homeId, plant.id, facts, written]);
  const write = async () => {
    const answer = await ask('addNote', { params: { homeId }, body: { plantId: plant.id, text } });
    if (!answer.ok) {
      setFailure(answer.refusal.message);
      return;
    }
    setFailure(null);
    drop(draftKey);
    setWritten(written + 1);
  };
  const when = (at: number) =>
    new Date(at).toLocaleString('en-GB', {
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
      timeZone: facts.home.timeZone,
    });
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>Journal</Heading>
      <Field
        label="Write down what you see"
        kind="long"
        value={text}
        onValue={(value) => put(draftKey, { text: value })}
      />
      <Button onPress={() => void write()} disabled={text.trim() === ''} style={{ alignSelf: 'flex-start' }}>
        Write it down
      </Button>
      {failure ? <Small style={{ color: danger }}>✕ {failure}</Small> : null}
      {entries?.map((entry) => (
        <View key={entry.id}>
          <Body>{entry.summary}</Body>
          <Small>{when(entry.at)}</Small>
        </View>
      ))}
      {entries?.length === 0 ? <Small>Nothing yet.</Small> : null}
    </View>
  );
}
