/** What happened to a plant, newest first: what was written down of it and what was changed; and a line to add. */
import type { HomeRecord, JournalEntry, ResponseOf } from '@dulvan/contract';
import type { HomeFacts, Plant } from '@dulvan/core';
import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask, requestKey, type Answer } from '../../state/api';
import { useDrafts } from '../../state/drafts';
import { momentWords } from '../../parts/moments';
import { useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { Field } from '../../ui/field';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { PLANT_JOURNAL as WORDS } from './plants-words';

const CHANGES = '50';
const RECORDS_A_PAGE = '25';

interface Given {
  readonly facts: HomeFacts;
  readonly plant: Plant;
}

/** A line of the journal, whatever it tells of. */
type Line =
  | { readonly what: 'change'; readonly at: number; readonly entry: JournalEntry }
  | { readonly what: 'record'; readonly at: number; readonly record: HomeRecord };

/** A plant's records, page by page, and the changes that touched it. */
function useJournal({ facts, plant }: Given) {
  const homeId = facts.home.id;
  const revision = useHome((state) => state.revision);
  const [changes, setChanges] = useState<readonly JournalEntry[] | null>(null);
  const [records, setRecords] = useState<readonly HomeRecord[] | null>(null);
  const [after, setAfter] = useState<string | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const readPage = useCallback(
    (from: string | null) => {
      const query = { plantId: plant.id, limit: RECORDS_A_PAGE, ...(from === null ? {} : { after: from }) };
      return ask('records', { params: { homeId }, query });
    },
    [homeId, plant.id],
  );
  const takePage = useCallback((from: string | null, page: Answer<ResponseOf<'records'>>) => {
    if (!page.ok) return setFailure(page.refusal.message);
    setFailure(null);
    setAfter(page.value.after);
    return setRecords((before) => [...(from === null ? [] : (before ?? [])), ...page.value.records]);
  }, []);
  useEffect(() => {
    let stale = false;
    void ask('journal', { params: { homeId }, query: { plantId: plant.id, limit: CHANGES } }).then((answer) => {
      if (stale) return;
      if (answer.ok) setChanges(answer.value);
      else setFailure(answer.refusal.message);
    });
    return () => {
      stale = true;
    };
  }, [homeId, plant.id, revision]);
  useEffect(() => {
    let stale = false;
    void readPage(null).then((page) => stale || takePage(null, page));
    return () => {
      stale = true;
    };
  }, [readPage, takePage]);
  const readRecords = async (from: string | null) => takePage(from, await readPage(from));
  return { changes, records, after, failure, setFailure, readRecords };
}

/** Newest first; changes older than the last record that has been read wait for it. */
function linesOf(changes: readonly JournalEntry[], records: readonly HomeRecord[], more: string | null): Line[] {
  const oldest = more === null ? -Infinity : Math.min(...records.map((record) => record.at));
  return [
    ...changes.filter((entry) => entry.at >= oldest).map((entry): Line => ({ what: 'change', at: entry.at, entry })),
    ...records.map((record): Line => ({ what: 'record', at: record.at, record })),
  ].sort((p, q) => q.at - p.at);
}

const WAY_WORD = { top: 'from above', tray: 'from the tray', soak: 'soaked' } as const;

function recordWords(record: HomeRecord): string {
  if (record.kind === 'note') return record.body.text;
  const { litres, way } = record.body;
  return WORDS.watered(WAY_WORD[way], litres === null ? '' : `, ${litres} l`);
}

/** A note on a plant, of now. */
const noteOn = (plant: Plant, text: string) =>
  ({ kind: 'note', at: Date.now(), plantId: plant.id, spotId: null, roomId: null, body: { text } }) as const;

export function PlantJournal({ facts, plant }: Given) {
  const { danger } = useInk();
  const { changes, records, after, failure, setFailure, readRecords } = useJournal({ facts, plant });
  const draftKey = `note/${plant.id}`;
  const text = useDrafts((state) => state.drafts[draftKey]?.text ?? '');
  const { put, drop } = useDrafts.getState();
  const params = { homeId: facts.home.id };
  const [writing, setWriting] = useState(false);
  const write = async () => {
    setWriting(true);
    const answer = await ask('appendRecords', { params, body: { key: requestKey(), records: [noteOn(plant, text)] } });
    setWriting(false);
    if (!answer.ok) return setFailure(answer.refusal.message);
    drop(draftKey);
    return readRecords(null);
  };
  const withdraw = async (recordId: string) => {
    const answer = await ask('withdrawRecord', { params: { ...params, recordId } });
    if (!answer.ok) return setFailure(answer.refusal.message);
    return readRecords(null);
  };
  const lines = linesOf(changes ?? [], records ?? [], after);
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.journal}</Heading>
      <Field
        label={WORDS.writeDownWhatYouSee}
        kind="long"
        value={text}
        onValue={(value) => put(draftKey, { text: value })}
      />
      <Button onPress={() => void write()} disabled={text.trim() === '' || writing} style={{ alignSelf: 'flex-start' }}>
        {WORDS.writeItDown}
      </Button>
      {failure ? <Small style={{ color: danger }}>✕ {failure}</Small> : null}
      {lines.map((line) =>
        line.what === 'change' ? (
          <JournalLine key={line.entry.id} words={line.entry.summary} at={line.at} facts={facts} />
        ) : (
          <JournalLine
            key={line.record.id}
            words={recordWords(line.record)}
            at={line.at}
            facts={facts}
            withdrawn={line.record.withdrawnAt !== null}
            onWithdraw={() => void withdraw(line.record.id)}
          />
        ),
      )}
      {changes && records && lines.length === 0 ? <Small>{WORDS.nothingYet}</Small> : null}
      {after === null ? null : (
        <Button onPress={() => void readRecords(after)} style={{ alignSelf: 'flex-start' }}>
          {WORDS.showEarlier}
        </Button>
      )}
    </View>
  );
}

interface LineGiven {
  readonly words: string;
  readonly at: number;
  readonly facts: HomeFacts;
  readonly withdrawn?: boolean;
  readonly onWithdraw?: () => void;
}

function JournalLine({ words, at, facts, withdrawn = false, onWithdraw }: LineGiven) {
  const when = momentWords(at, facts.home);
  return (
    <Row>
      <View style={{ flex: 1 }}>
        <Body style={withdrawn ? { textDecorationLine: 'line-through' } : {}}>{words}</Body>
        <Small>{`${when}${withdrawn ? ', withdrawn' : ''}`}</Small>
      </View>
      {onWithdraw && !withdrawn ? (
        <Button label={WORDS.withdrawEntry(words.slice(0, 60))} onPress={onWithdraw}>
          {WORDS.withdraw}
        </Button>
      ) : null}
    </Row>
  );
}
