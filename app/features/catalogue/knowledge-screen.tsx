/** The grower's own knowledge in one place: own taxa and corrections, in and out as files. */
import { knowledge } from '@dulvan/catalogue';
import { FIGURES, knownTaxon, type HomeFacts, drop, put, type Change } from '@dulvan/core';
import {
  KNOWLEDGE_LIMIT,
  readKnowledge,
  writeKnowledgeCsv,
  writeKnowledgeJson,
  type LineRefusal,
} from '@dulvan/formats';
import { useRef, useState, type ChangeEvent } from 'react';
import { FlatList, View } from 'react-native';
import { useFacts, useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { Button, RowLink, TextLink } from '../../ui/button';
import { saveFile } from '../../ui/files';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { useInk, useIsWide } from '../../ui/use-ink';
import { count, plantName } from '../../parts/words';
import { figureWords } from '../../parts/figures-table';
import { KNOWLEDGE_SCREEN as WORDS } from './catalogue-words';

type Item = { readonly kind: 'own'; readonly id: string } | { readonly kind: 'correction'; readonly id: string };

export function KnowledgeScreen() {
  const facts = useFacts();
  const wide = useIsWide();
  if (!facts) return null;
  const items: Item[] = [
    ...facts.ownTaxa.map(({ id }) => ({ kind: 'own' as const, id })),
    ...facts.corrections.map(({ id }) => ({ kind: 'correction' as const, id })),
  ];
  return (
    <FlatList
      data={items}
      keyExtractor={(item) => item.id}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: wide ? SPACE.l : SPACE.m, paddingBottom: SPACE.xl * 2, maxWidth: 860 }}
      ListHeaderComponent={
        <View style={{ gap: SPACE.m, paddingBottom: SPACE.m }}>
          <Title>{WORDS.myOwnKnowledge}</Title>
          <Body>{WORDS.intro}</Body>
          <TextLink href="/catalogue/own">{WORDS.addPlant}</TextLink>
          <InAndOut facts={facts} />
          <Heading>{held(facts)}</Heading>
        </View>
      }
      ListEmptyComponent={<Body>{WORDS.nothingYet}</Body>}
      renderItem={({ item }) =>
        item.kind === 'own' ? <OwnRow facts={facts} id={item.id} /> : <CorrectionRow facts={facts} id={item.id} />
      }
    />
  );
}

const held = ({ ownTaxa, corrections }: HomeFacts) =>
  WORDS.ofYourOwn(taxa(ownTaxa.length), count(corrections.length, 'correction'));

const taxa = (number: number) => (number === 1 ? '1 taxon' : `${number === 0 ? WORDS.no : number} taxa`);

function OwnRow({ facts, id }: { readonly facts: HomeFacts; readonly id: string }) {
  const own = facts.ownTaxa.find((candidate) => candidate.id === id)!;
  const base = knowledge.taxon(own.basedOn);
  return (
    <RowLink
      href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: id } }}
      title={own.name}
      note={base ? WORDS.basedOn(base.name) : WORDS.basedOnUnknown(own.basedOn)}
    />
  );
}

function CorrectionRow({ facts, id }: { readonly facts: HomeFacts; readonly id: string }) {
  const { line } = useInk();
  const units = useUnits();
  const change = useHome((state) => state.change);
  const correction = facts.corrections.find((candidate) => candidate.id === id)!;
  const { figure, plantId, taxonId, value, reason, on } = correction;
  const plant = facts.plants.find((candidate) => candidate.id === plantId);
  const whose = plant
    ? plantName(facts, plant)
    : (knownTaxon(facts, taxonId ?? '', knowledge)?.taxon.name ?? WORDS.taxonNotHere);
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.s,
        borderBottomWidth: 1,
        borderColor: line,
        paddingVertical: SPACE.s,
      }}
    >
      <View style={{ flex: 1 }}>
        <Body>{`${whose}: ${FIGURES[figure].label}, ${figureWords(figure, value, units)}`}</Body>
        <Small>{`“${reason}”, ${on}`}</Small>
      </View>
      <Button
        label={WORDS.withdrawFigureOf(FIGURES[figure].label, whose)}
        onPress={() => void change(WORDS.withdrewCorrectionOf(whose, FIGURES[figure].label), [drop('corrections', id)])}
      >
        {WORDS.withdraw}
      </Button>
    </View>
  );
}

const SHOWN_REFUSALS = 8;

function InAndOut({ facts }: { readonly facts: HomeFacts }) {
  const chooser = useRef<HTMLInputElement>(null);
  const { refusals, message, take } = useTaking(facts);
  const chosen = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file) await take(file);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Row>
        <Button onPress={() => saveFile('dulvan-own-knowledge.csv', writeKnowledgeCsv(facts), 'text/csv')}>
          {WORDS.saveAsCsv}
        </Button>
        <Button onPress={() => saveFile('dulvan-own-knowledge.json', writeKnowledgeJson(facts), 'application/json')}>
          {WORDS.saveAsJson}
        </Button>
        <Button onPress={() => chooser.current?.click()}>{WORDS.openFile}</Button>
      </Row>
      <input
        ref={chooser}
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label={WORDS.fileOfOwnKnowledge}
        onChange={(event) => void chosen(event)}
        style={{ display: 'none' }}
      />
      {message ? (
        <View role="status">
          <Body>{message}</Body>
        </View>
      ) : null}
      {refusals.length > 0 ? <Refusals refusals={refusals} /> : null}
    </View>
  );
}

/** Takes a file of own knowledge in, line by line, and tells what came of it. */
function useTaking(facts: HomeFacts) {
  const attempt = useHome((state) => state.attempt);
  const [refusals, setRefusals] = useState<readonly LineRefusal[]>([]);
  const [message, setMessage] = useState<string | null>(null);
  const take = async (file: File) => {
    setRefusals([]);
    if (file.size > KNOWLEDGE_LIMIT * 2) {
      setMessage(WORDS.fileIsLarger(KNOWLEDGE_LIMIT / 1_000_000));
      return;
    }
    const parsed = readKnowledge(await file.text(), facts.home.id);
    setRefusals(parsed.refusals);
    const changes: Change[] = [
      ...parsed.ownTaxa.map((own) => put('ownTaxa', own)),
      ...parsed.corrections.map((correction) => put('corrections', correction)),
    ];
    if (changes.length === 0) {
      setMessage(WORDS.nothingWasAdded);
      return;
    }
    const took = WORDS.added(count(changes.length, 'line'));
    const leftOut = parsed.refusals.length > 0 ? WORDS.leftOut(count(parsed.refusals.length, 'line')) : '';
    const refusal = await attempt(WORDS.ofOwnKnowledge(took), changes);
    setMessage(refusal ? WORDS.nothingWasAddedSince(refusal.message) : `${took}${leftOut}.`);
  };
  return { refusals, message, take };
}

function Refusals({ refusals }: { readonly refusals: readonly LineRefusal[] }) {
  const { danger } = useInk();
  const more = refusals.length - SHOWN_REFUSALS;
  return (
    <View role="alert">
      {refusals.slice(0, SHOWN_REFUSALS).map(({ line, reason }) => (
        <Small key={`${line}${reason}`} style={{ color: danger }}>
          {WORDS.lineRefused(line, reason)}
        </Small>
      ))}
      {more > 0 ? <Small style={{ color: danger }}>{WORDS.andMore(count(more, 'more line'))}</Small> : null}
    </View>
  );
}
