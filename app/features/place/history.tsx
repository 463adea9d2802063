/** What was changed in this home, newest first, each change with a way to take it back. */
import type { JournalEntry } from '@dulvan/contract';
import type { HomeFacts } from '@dulvan/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '../../state/api';
import { useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';

const ENTRIES = '20';

export function History({ facts }: { readonly facts: HomeFacts }) {
  const homeId = facts.home.id;
  const undo = useHome((state) => state.undo);
  const [entries, setEntries] = useState<readonly JournalEntry[]>([]);
  useEffect(() => {
    let stale = false;
    void ask('journal', { params: { homeId }, query: { limit: ENTRIES } }).then((answer) => {
      if (!stale && answer.ok) setEntries(answer.value);
    });
    return () => {
      stale = true;
    };
    // Every stored change makes new facts, so the facts tell when to look again.
  }, [homeId, facts]);
  const takenBack = new Set(entries.map((entry) => entry.undoes));
  const when = (at: number) =>
    new Date(at).toLocaleString('en-GB', {
      day: 'numeric',
      month: 'short',
      hour: '2-digit',
      minute: '2-digit',
      timeZone: facts.home.timeZone,
    });
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>Changed lately</Heading>
      {entries.map((entry) => (
        <View key={entry.id} style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
          <View style={{ flex: 1 }}>
            <Body>{entry.summary}</Body>
            <Small>{when(entry.at)}</Small>
          </View>
          {takenBack.has(entry.id) ? (
            <Small>Taken back</Small>
          ) : (
            <Button label={`Take back: ${entry.summary}`} onPress={() => void undo([{ homeId, entryId: entry.id }])}>
              Take back
            </Button>
          )}
        </View>
      ))}
    </View>
  );
}
