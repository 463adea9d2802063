/** The catalogue: searched by any name, chosen by need. */
import { groups } from '@dulvan/catalogue';
import { EATERS, type Taxon } from '@dulvan/core';
import { useMemo, useState } from 'react';
import { FlatList, View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { useTaxa, useTaxonFinder } from '../../state/taxa';
import { Button, RowLink, TextLink } from '../../ui/button';
import { Choices, ManyChoices } from '../../ui/choices';
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

export function CatalogueScreen({ chosenId }: { readonly chosenId?: string }) {
  const wide = useIsWide();
  const taxa = useTaxa();
  const finder = useTaxonFinder();
  const kept = useDrafts((state) => state.drafts[DRAFT]);
  const draft = useMemo(() => kept ?? {}, [kept]);
  const { put, drop } = useDrafts.getState();
  const [filters, setFilters] = useState<'hidden' | 'shown'>('hidden');
  const text = draft.text ?? '';
  const filter = useMemo(() => filterOf(draft), [draft]);
  const rows = useMemo(() => {
    const found = text.trim() ? finder.find(text, EVERYTHING) : [...taxa].sort((p, q) => p.name.localeCompare(q.name));
    return found.filter((taxon) => suits(taxon, filter));
  }, [taxa, finder, text, filter]);
  const set = (field: string, value: string) => put(DRAFT, { ...draft, [field]: value });
  const filtered = Object.entries(draft).some(([field, value]) => field !== 'text' && value !== '' && value !== 'any');
  return (
    <FlatList
      data={rows}
      keyExtractor={(taxon) => taxon.id}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: wide ? SPACE.l : SPACE.m, paddingBottom: SPACE.xl * 2 }}
      initialNumToRender={14}
      ListHeaderComponent={
        <View style={{ gap: SPACE.s, paddingBottom: SPACE.s }}>
          <Title>Catalogue</Title>
          <Field
            label="Any name"
            value={text}
            onValue={(value) => set('text', value)}
            help="Latin, common or old, spelt as you can."
          />
          <Row gap={SPACE.m}>
            <TextLink href="/catalogue/no-label">It has no label</TextLink>
            <TextLink href="/catalogue/knowledge">My own knowledge</TextLink>
          </Row>
          <View
            style={{
              flexDirection: 'row',
              justifyContent: 'space-between',
              alignItems: 'center',
              flexWrap: 'wrap',
              gap: SPACE.s,
            }}
          >
            <Small testID="taxon-count">{`${rows.length} of ${taxa.length} taxa`}</Small>
            <Row>
              {filtered ? <Button onPress={() => (text ? put(DRAFT, { text }) : drop(DRAFT))}>Clear</Button> : null}
              <Button onPress={() => setFilters(filters === 'shown' ? 'hidden' : 'shown')}>
                {filters === 'shown' ? 'Hide needs' : 'Choose by need'}
              </Button>
            </Row>
          </View>
          {filters === 'shown' ? (
            <View style={{ gap: SPACE.s }}>
              <Strong>Thrives where it gets</Strong>
              <Choices
                label="Light on offer"
                choices={LIGHT_OFFERS}
                value={draft.light ?? 'any'}
                onValue={(value) => set('light', value)}
              />
              <Choices
                label="Humidity on offer"
                choices={HUMIDITY_OFFERS}
                value={draft.humidity ?? 'any'}
                onValue={(value) => set('humidity', value)}
              />
              <Choices
                label="Coldest night"
                choices={NIGHT_OFFERS}
                value={draft.night ?? 'any'}
                onValue={(value) => set('night', value)}
              />
              <Choices
                label="Full-grown height"
                choices={HEIGHT_OFFERS}
                value={draft.height ?? 'any'}
                onValue={(value) => set('height', value)}
              />
              <Strong>No harm known to</Strong>
              <ManyChoices
                label="No harm known to"
                choices={EATERS.map((eater) => ({ value: eater, word: EATER_WORD[eater] }))}
                chosen={filter.harmless}
                onChosen={(chosen) => set('harmless', chosen.join(','))}
              />
              <Strong>Group</Strong>
              <Choices
                label="Group"
                choices={[
                  { value: 'any', word: 'All groups' },
                  ...groups.map(({ id, name }) => ({ value: id, word: name })),
                ]}
                value={draft.group ?? 'any'}
                onValue={(value) => set('group', value)}
              />
            </View>
          ) : null}
        </View>
      }
      ListEmptyComponent={
        <Body>
          {text.trim()
            ? `Nothing comes near “${text.slice(0, 60)}”${filtered ? ' with these needs' : ''}. Try another name, or go by what you see: “It has no label”.`
            : 'No taxon needs just this. Widen one of the needs.'}
        </Body>
      }
      renderItem={({ item }) => <TaxonRow taxon={item} current={item.id === chosenId} />}
    />
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
