/** The catalogue: searched by any name, chosen by need. */
import { groups } from '@dulvan/catalogue';
import { EATERS, type Taxon } from '@dulvan/core';
import { useMemo, useState } from 'react';
import { FlatList, View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { useTaxa, useTaxonFinder } from '../../state/taxa';
import { Button, RowLink, TextLink } from '../../ui/button';
import { Choices, ManyChoices, type ChoicesGiven } from '../../ui/choices';
import { Field } from '../../ui/field';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { commonName, mol } from '../../parts/words';
import { EATER_WORD } from '../../parts/hazards';
import { HEIGHT_OFFERS, HUMIDITY_OFFERS, LIGHT_OFFERS, NIGHT_OFFERS, filterOf, suits } from './need-filter';

const DRAFT = 'catalogue/filter';
const EVERYTHING = 5000;

/** A hybrid genus stands under its letter, not under the sign before it. */
const unmarked = (name: string) => name.replace(/^× /, '');

export function CatalogueScreen({ chosenId }: { readonly chosenId?: string }) {
  const wide = useIsWide();
  const search = useSearch();
  return (
    <FlatList
      data={search.rows}
      keyExtractor={(taxon) => taxon.id}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: wide ? SPACE.l : SPACE.m, paddingBottom: SPACE.xl * 2 }}
      initialNumToRender={14}
      ListHeaderComponent={<Head search={search} />}
      ListEmptyComponent={<Body>{nothingFound(search)}</Body>}
      renderItem={({ item }) => <TaxonRow taxon={item} current={item.id === chosenId} />}
    />
  );
}

type Search = ReturnType<typeof useSearch>;

/** What is typed and chosen, kept while other screens are open, and the taxa that answer it. */
function useSearch() {
  const taxa = useTaxa();
  const finder = useTaxonFinder();
  const kept = useDrafts((state) => state.drafts[DRAFT]);
  const draft = useMemo(() => kept ?? {}, [kept]);
  const { put, drop } = useDrafts.getState();
  const text = draft.text ?? '';
  const filter = useMemo(() => filterOf(draft), [draft]);
  const rows = useMemo(() => {
    const found = text.trim()
      ? finder.find(text, EVERYTHING)
      : [...taxa].sort((p, q) => unmarked(p.name).localeCompare(unmarked(q.name)));
    return found.filter((taxon) => suits(taxon, filter));
  }, [taxa, finder, text, filter]);
  return {
    rows,
    of: taxa.length,
    draft,
    text,
    filter,
    hasNeeds: Object.entries(draft).some(([field, value]) => field !== 'text' && value !== '' && value !== 'any'),
    set: (field: string, value: string) => put(DRAFT, { ...draft, [field]: value }),
    clearNeeds: () => (text ? put(DRAFT, { text }) : drop(DRAFT)),
  };
}

function nothingFound({ text, hasNeeds }: Search): string {
  if (!text.trim()) return 'No taxon needs just this. Widen one of the needs.';
  const withNeeds = hasNeeds ? ' with these needs' : '';
  const nothing = `Nothing comes near “${text.slice(0, 60)}”${withNeeds}.`;
  return `${nothing} Try another name, or go by what you see: “It has no label”.`;
}

const HEAD_ROW = {
  flexDirection: 'row',
  justifyContent: 'space-between',
  alignItems: 'center',
  flexWrap: 'wrap',
  gap: SPACE.s,
} as const;

function Head({ search }: { readonly search: Search }) {
  const [needs, setNeeds] = useState<'hidden' | 'shown'>('hidden');
  return (
    <View style={{ gap: SPACE.s, paddingBottom: SPACE.s }}>
      <Title>Catalogue</Title>
      <Field
        label="Any name"
        value={search.text}
        onValue={(value) => search.set('text', value)}
        help="Latin, common or old, spelt as you can."
      />
      <Row gap={SPACE.m}>
        <TextLink href="/catalogue/no-label">It has no label</TextLink>
        <TextLink href="/catalogue/knowledge">My own knowledge</TextLink>
      </Row>
      <View style={HEAD_ROW}>
        <Small testID="taxon-count">{`${search.rows.length} of ${search.of} taxa`}</Small>
        <Row>
          {search.hasNeeds ? <Button onPress={search.clearNeeds}>Clear</Button> : null}
          <Button onPress={() => setNeeds(needs === 'shown' ? 'hidden' : 'shown')}>
            {needs === 'shown' ? 'Hide needs' : 'Choose by need'}
          </Button>
        </Row>
      </View>
      {needs === 'shown' ? <Needs search={search} /> : null}
    </View>
  );
}

const GROUPS = [{ value: 'any', word: 'All groups' }, ...groups.map(({ id, name }) => ({ value: id, word: name }))];

function Needs({ search: { draft, filter, set } }: { readonly search: Search }) {
  const need = (label: string, field: string, choices: ChoicesGiven['choices']) => (
    <Choices label={label} choices={choices} value={draft[field] ?? 'any'} onValue={(value) => set(field, value)} />
  );
  return (
    <View style={{ gap: SPACE.s }}>
      <Strong>Thrives where it gets</Strong>
      {need('Light on offer', 'light', LIGHT_OFFERS)}
      {need('Humidity on offer', 'humidity', HUMIDITY_OFFERS)}
      {need('Coldest night', 'night', NIGHT_OFFERS)}
      {need('Full-grown height', 'height', HEIGHT_OFFERS)}
      <Strong>No harm known to</Strong>
      <ManyChoices
        label="No harm known to"
        choices={EATERS.map((eater) => ({ value: eater, word: EATER_WORD[eater] }))}
        chosen={filter.harmless}
        onChosen={(chosen) => set('harmless', chosen.join(','))}
      />
      <Strong>Group</Strong>
      {need('Group', 'group', GROUPS)}
    </View>
  );
}

/** The worst it can do to anyone who eats it. */
function harmWord({ hazard }: Taxon): string {
  const harms = EATERS.map((eater) => hazard[eater]);
  if (harms.includes('toxic')) return '⚠ toxic';
  if (harms.includes('irritant')) return '⚠ irritates';
  return harms.includes('unknown') ? 'harm not all known' : '';
}

function TaxonRow({ taxon, current }: { readonly taxon: Taxon; readonly current: boolean }) {
  const harm = harmWord(taxon);
  return (
    <RowLink
      href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: taxon.id } }}
      label={`${taxon.common[0]}, ${taxon.name}`}
      current={current}
    >
      <View style={{ flex: 1 }}>
        <Body>{commonName(taxon)}</Body>
        <Small>{taxon.name}</Small>
      </View>
      <View style={{ alignItems: 'flex-end' }}>
        <Small>{`${mol(taxon.light.thrivesFrom)} to ${mol(taxon.light.thrivesTo)} mol a day`}</Small>
        <Small>{`from ${Math.round(taxon.moisture.thrivesFrom)} % humidity`}</Small>
        {harm ? <Small>{harm}</Small> : null}
      </View>
    </RowLink>
  );
}
