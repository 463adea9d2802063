/** What was changed in this home, newest first, page by page, each change with a way to undo it. */
import type { JournalEntry } from '@dulvan/contract';
import type { HomeFacts } from '@dulvan/core';
import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { momentWords } from '../../parts/moments';
import { ask } from '../../state/api';
import { useFacts, useHome } from '../../state/home';
import { Button, TextLink } from '../../ui/button';
import { Page } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { HISTORY as WORDS } from './place-words';

const A_PAGE = 20;

export function ChangesScreen() {
  const facts = useFacts();
  if (!facts) return null;
  return (
    <Page>
      <TextLink href="/place">{WORDS.place}</TextLink>
      <Title>{WORDS.whatWasChanged}</Title>
      <History facts={facts} />
    </Page>
  );
}

/** Pages of the journal, newest first; read anew whenever a change is stored. */
function usePages(homeId: string) {
  const revision = useHome((state) => state.revision);
  const [entries, setEntries] = useState<readonly JournalEntry[]>([]);
  const [more, setMore] = useState<'yes' | 'no'>('no');
  const read = useCallback(
    async (before: number | null) => {
      const query = { limit: String(A_PAGE), ...(before === null ? {} : { before: String(before) }) };
      const answer = await ask('journal', { params: { homeId }, query });
      return answer.ok ? answer.value : [];
    },
    [homeId],
  );
  useEffect(() => {
    let stale = false;
    void read(null).then((page) => {
      if (stale) return;
      setEntries(page);
      setMore(page.length === A_PAGE ? 'yes' : 'no');
    });
    return () => {
      stale = true;
    };
  }, [read, revision]);
  const readMore = async () => {
    const page = await read(entries[entries.length - 1]!.revision);
    setEntries([...entries, ...page]);
    setMore(page.length === A_PAGE ? 'yes' : 'no');
  };
  return { entries, more, readMore };
}

function History({ facts }: { readonly facts: HomeFacts }) {
  const { danger } = useInk();
  const homeId = facts.home.id;
  const undo = useHome((state) => state.undo);
  const { entries, more, readMore } = usePages(homeId);
  const [refused, setRefused] = useState<{ readonly id: string; readonly message: string } | null>(null);
  const undone = new Set(entries.map((entry) => entry.undoes));
  const take = async (id: string) => {
    const refusal = await undo([{ homeId, entryId: id }]);
    setRefused(refusal ? { id, message: refusal.message } : null);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      {entries.map((entry) => (
        <View key={entry.id}>
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
            <View style={{ flex: 1 }}>
              <Body>{entry.summary}</Body>
              <Small>{momentWords(entry.at, facts.home)}</Small>
            </View>
            {undone.has(entry.id) ? (
              <Small>{WORDS.undone}</Small>
            ) : (
              <Button label={WORDS.undoChange(entry.summary)} onPress={() => void take(entry.id)}>
                {WORDS.undo}
              </Button>
            )}
          </View>
          {refused?.id === entry.id ? (
            <View role="alert">
              <Small style={{ color: danger }}>✕ {refused.message}</Small>
            </View>
          ) : null}
        </View>
      ))}
      {entries.length === 0 ? <Small>{WORDS.nothingYet}</Small> : null}
      {more === 'yes' ? (
        <Button onPress={() => void readMore()} style={{ alignSelf: 'flex-start' }}>
          {WORDS.showEarlierChanges}
        </Button>
      ) : null}
    </View>
  );
}
