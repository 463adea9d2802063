/**
 * A logger's file on its way in: chosen, looked at as it will be read, corrected, and taken in with progress and a
 * stop.
 */
import type { HomeFacts } from '@dulvan/core';
import {
  COLUMN_KINDS,
  DATE_ORDERS,
  MEASURED,
  recogniseTable,
  type LoggedSummary,
  type Measured,
  type RecognisedTable,
  type TableReading,
} from '@dulvan/formats';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { momentWords } from '../../parts/moments';
import { count } from '../../parts/words';
import { useFacts } from '../../state/home';
import { importLogged, useLoggers, type Imported, type Logger } from '../../state/loggers';
import { Button, TextLink } from '../../ui/button';
import { ChooseFile } from '../../ui/choose-file';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { Page } from '../../ui/page';
import { PickOne } from '../../ui/pick-one';
import { Progress } from '../../ui/progress';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { Wrong } from '../../ui/wrong';
import { atPlace, placesOf } from './logger-places';
import { COLUMN_WORDS, IMPORT_SCREEN as WORDS, LOGGERS_SCREEN } from './loggers-words';

export function ImportScreen() {
  const facts = useFacts();
  return facts ? <Import facts={facts} /> : null;
}

/** Of a file this much is looked at before it is read, bytes. */
const BEGINNING = 16_384;
const UTC = 'Etc/UTC';

interface Chosen {
  readonly file: File;
  readonly table: RecognisedTable;
}

function Import({ facts }: { readonly facts: HomeFacts }) {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const loggers = useLoggers(facts.home.id);
  const look = async (file: File) => {
    const beginning = await file.slice(0, BEGINNING).text();
    const found = recogniseTable(beginning, facts.home.timeZone);
    setRefused(found.ok ? null : found.message);
    setChosen(found.ok ? { file, table: found.table } : null);
  };
  return (
    <Page>
      <TextLink href="/loggers">{LOGGERS_SCREEN.title}</TextLink>
      <Title>{WORDS.title}</Title>
      <Body>{WORDS.about}</Body>
      <ChooseFile
        label={WORDS.choose}
        accept=".csv,.txt,.tsv,.tab,text/csv,text/plain"
        onFile={(file) => void look(file)}
      />
      <Wrong message={refused} />
      {chosen && loggers.state === 'ready' ? (
        <Taking key={`${chosen.file.name}/${chosen.file.size}`} facts={facts} chosen={chosen} loggers={loggers.value} />
      ) : null}
    </Page>
  );
}

interface TakingGiven {
  readonly facts: HomeFacts;
  readonly chosen: Chosen;
  readonly loggers: readonly Logger[];
}

/** What is wrong with how a table is to be read; null when nothing. */
function wrongWith({ columns }: TableReading): string | null {
  if (!columns.includes('time') && !columns.includes('date')) return WORDS.needsTime;
  return MEASURED.some((kind) => columns.includes(kind)) ? null : WORDS.needsMeasure;
}

function Taking({ facts, chosen: { file, table }, loggers }: TakingGiven) {
  const [reading, setReading] = useState(table.reading);
  const [name, setName] = useState(file.name.replace(/\.[^.]*$/, '').slice(0, 80));
  const [place, setPlace] = useState(`room/${facts.rooms[0]?.id ?? ''}`);
  const [share, setShare] = useState<number | null>(null);
  const [outcome, setOutcome] = useState<Imported | null>(null);
  const stop = useRef<AbortController | null>(null);
  const wrong = name.trim() === '' ? WORDS.nameNeeded : wrongWith(reading);
  const start = async () => {
    stop.current = new AbortController();
    setOutcome(null);
    setShare(0);
    const at = { name: name.trim(), ...atPlace(place) };
    const { signal } = stop.current;
    const homeId = facts.home.id;
    const done = await importLogged({ homeId, file, reading, place: at, loggers, onShare: setShare, signal });
    setShare(null);
    setOutcome(done);
  };
  return (
    <View style={{ gap: SPACE.m }}>
      <Preview table={table} reading={reading} onReading={setReading} />
      <HowToRead facts={facts} reading={reading} onReading={setReading} />
      <Strong>{WORDS.where}</Strong>
      <PickOne label={WORDS.where} choices={placesOf(facts)} value={place} onValue={setPlace} />
      <Field
        label={WORDS.name}
        value={name}
        onValue={setName}
        error={name.trim() === '' ? WORDS.nameNeeded : undefined}
      />
      {share === null ? (
        <Button kind="main" disabled={wrong !== null} onPress={() => void start()} style={{ alignSelf: 'flex-start' }}>
          {WORDS.importIt}
        </Button>
      ) : (
        <View style={{ gap: SPACE.s }}>
          <Progress label={WORDS.working} share={share} />
          <Small>{WORDS.percent(`${Math.round(share * 100)}`)}</Small>
          <Button onPress={() => stop.current?.abort()} style={{ alignSelf: 'flex-start' }}>
            {WORDS.stop}
          </Button>
        </View>
      )}
      <Wrong message={share === null ? wrong : null} />
      {outcome ? <Outcome outcome={outcome} home={facts.home} /> : null}
    </View>
  );
}

interface ReadingGiven {
  readonly reading: TableReading;
  readonly onReading: (reading: TableReading) => void;
}

/** The first lines, and what each column is taken for. */
function Preview({ table, reading, onReading }: ReadingGiven & { readonly table: RecognisedTable }) {
  const nameOf = (i: number) => table.names[i] || WORDS.columnNumbered(`${i + 1}`);
  const columns = reading.columns.map((kind, i) => ({ kind, i }));
  const told = columns.filter(({ kind }) => kind !== 'ignore');
  const set = (at: number, kind: string) =>
    onReading({ ...reading, columns: reading.columns.map((one, i) => (i === at ? (kind as typeof one) : one)) });
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.preview}</Heading>
      <Table
        name={WORDS.preview}
        lines="between"
        columns={told.map(({ kind }) => ({ name: COLUMN_WORDS[kind] }))}
        rows={table.rows.map((cells, row) => ({ key: String(row), cells: told.map(({ i }) => cells[i] ?? '') }))}
      />
      {columns.map(({ kind, i }) => (
        <View key={i} style={{ gap: SPACE.xs }}>
          <Small>{`${nameOf(i)}: ${table.rows[0]?.[i] ?? ''}`}</Small>
          <PickOne
            label={WORDS.column(nameOf(i))}
            choices={COLUMN_KINDS.map((value) => ({ value, word: COLUMN_WORDS[value] }))}
            value={kind}
            onValue={(value) => set(i, value)}
          />
        </View>
      ))}
    </View>
  );
}

function HowToRead({ facts, reading, onReading }: ReadingGiven & { readonly facts: HomeFacts }) {
  const zone = facts.home.timeZone;
  return (
    <View style={{ gap: SPACE.s }}>
      <Strong>{WORDS.dateOrder}</Strong>
      <Choices
        label={WORDS.dateOrder}
        choices={DATE_ORDERS.map((value) => ({ value, word: WORDS[value] }))}
        value={reading.dateOrder}
        onValue={(value) => onReading({ ...reading, dateOrder: value as TableReading['dateOrder'] })}
      />
      <Strong>{WORDS.clock}</Strong>
      <Choices
        label={WORDS.clock}
        choices={[
          { value: zone, word: WORDS.clockHere(zone) },
          { value: UTC, word: WORDS.clockUtc },
        ]}
        value={reading.timeZone}
        onValue={(timeZone) => onReading({ ...reading, timeZone })}
      />
      {reading.columns.includes('temperature') ? (
        <>
          <Strong>{WORDS.unit}</Strong>
          <Choices
            label={WORDS.unit}
            choices={[
              { value: 'C', word: WORDS.celsius },
              { value: 'F', word: WORDS.fahrenheit },
            ]}
            value={reading.temperatureUnit}
            onValue={(value) => onReading({ ...reading, temperatureUnit: value as 'C' | 'F' })}
          />
        </>
      ) : null}
    </View>
  );
}

const many = (value: number) => value.toLocaleString('en');

function Outcome({ outcome, home }: { readonly outcome: Imported; readonly home: HomeFacts['home'] }) {
  if (outcome.state === 'refused') {
    const { line, message } = outcome;
    return <Wrong message={line === null ? WORDS.failed(message) : WORDS.refused(many(line), message)} />;
  }
  const { lines, firstAt, lastAt } = outcome.summary;
  const done =
    outcome.state === 'done' && firstAt !== null && lastAt !== null
      ? WORDS.done(many(lines), momentWords(firstAt, home), momentWords(lastAt, home))
      : WORDS.stopped(many(lines));
  return (
    <View role="status" aria-live="polite" style={{ gap: SPACE.xs }}>
      <Body>{done}</Body>
      {oddWords(outcome.summary).map((words) => (
        <Small key={words}>{`! ${words}`}</Small>
      ))}
      <TextLink href="/loggers">{WORDS.toLoggers}</TextLink>
    </View>
  );
}

/** What was odd in a file, in words. */
function oddWords({ missing, oddities }: LoggedSummary): string[] {
  const words = missing > 0 ? [WORDS.missing(count(missing, 'value'))] : [];
  for (const [kind, found] of Object.entries(oddities)) {
    if (!found) continue;
    const what = COLUMN_WORDS[kind as Measured];
    if (found.gaps > 0) words.push(WORDS.gaps(what, count(found.gaps, 'gap'), `${found.longestGapH.toFixed(1)} h`));
    if (found.jumps > 0) words.push(WORDS.jumps(what, count(found.jumps, 'sudden jump')));
    if (found.stuck > 0) words.push(WORDS.stuck(what, count(found.stuck, 'time')));
    if (found.twice > 0) words.push(WORDS.twice(what, count(found.twice, 'moment')));
  }
  return words;
}
