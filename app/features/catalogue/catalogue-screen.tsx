/** The catalogue: searched by any name, chosen by need. */
import { EATERS, type Taxon } from '@dulvan/core';
import { useState } from 'react';
import { FlatList, View } from 'react-native';
import { Button, RowLink, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Search } from '../../ui/search';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { commonName, mol } from '../../parts/words';
import { NeedsFilter } from './needs-filter';
import { useSearch, type Order, type Searching } from './use-search';
import { CATALOGUE_SCREEN as WORDS } from './catalogue-words';

const ORDERS = [
  { value: 'common', word: 'By common name' },
  { value: 'latin', word: 'By Latin name' },
] as const;

interface Given {
  readonly chosenId?: string;
  /** Whether the needs stand in a pane beside the list, or open within it. */
  readonly needs?: 'beside' | 'within';
}

export function CatalogueScreen({ chosenId, needs = 'within' }: Given) {
  const wide = useIsWide();
  const search = useSearch();
  return (
    <FlatList
      data={search.rows}
      keyExtractor={(taxon) => taxon.id}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: wide ? SPACE.l : SPACE.m, paddingBottom: SPACE.xl * 2 }}
      initialNumToRender={14}
      ListHeaderComponent={<Head search={search} needs={needs} />}
      ListEmptyComponent={<Body>{nothingFound(search)}</Body>}
      renderItem={({ item }) => <TaxonRow taxon={item} order={search.order} current={item.id === chosenId} />}
    />
  );
}

function nothingFound({ text, hasNeeds }: Searching): string {
  if (!text.trim()) return WORDS.noTaxonNeedsThis;
  const withNeeds = hasNeeds ? WORDS.withTheseNeeds : '';
  const nothing = WORDS.nothingComesNear(text.slice(0, 60), withNeeds);
  return WORDS.tryAnotherName(nothing);
}

const HEAD_ROW = {
  flexDirection: 'row',
  justifyContent: 'space-between',
  alignItems: 'center',
  flexWrap: 'wrap',
  gap: SPACE.s,
} as const;

function Head({ search, needs }: Required<Pick<Given, 'needs'>> & { readonly search: Searching }) {
  const [opened, setOpened] = useState<'no' | 'yes'>('no');
  return (
    <View style={{ gap: SPACE.s, paddingBottom: SPACE.s }}>
      <Title>{WORDS.catalogue}</Title>
      <Search label={WORDS.anyName} value={search.text} onValue={(value) => search.set('text', value)} />
      <Small>{WORDS.speltAsYouCan}</Small>
      <Row gap={SPACE.m}>
        <TextLink href="/catalogue/no-label">{WORDS.itHasNoLabel}</TextLink>
        <TextLink href="/catalogue/knowledge">{WORDS.myOwnKnowledge}</TextLink>
      </Row>
      {search.text.trim() ? (
        <Small>{WORDS.nearestNamesFirst}</Small>
      ) : (
        <Choices
          label={WORDS.order}
          choices={ORDERS}
          value={search.order}
          onValue={(value) => search.set('order', value)}
        />
      )}
      <View style={HEAD_ROW}>
        <Small testID="taxon-count">{WORDS.taxaOf(search.rows.length, search.of)}</Small>
        <Row>
          {search.hasNeeds ? <Button onPress={search.clearNeeds}>{WORDS.clearNeeds}</Button> : null}
          {needs === 'within' ? (
            <Button onPress={() => setOpened(opened === 'yes' ? 'no' : 'yes')}>
              {opened === 'yes' ? WORDS.hideNeeds : WORDS.chooseByNeed}
            </Button>
          ) : null}
        </Row>
      </View>
      {needs === 'within' && opened === 'yes' ? <NeedsFilter needs={search} /> : null}
    </View>
  );
}

/** The worst it can do to anyone who eats it. */
function harmWord({ hazard }: Taxon): string {
  const harms = EATERS.map((eater) => hazard[eater]);
  if (harms.includes('toxic')) return '⚠ toxic';
  if (harms.includes('irritant')) return '⚠ irritates';
  return harms.includes('unknown') ? WORDS.harmNotAllKnown : '';
}

interface TaxonRowGiven {
  readonly taxon: Taxon;
  readonly order: Order;
  readonly current: boolean;
}

function TaxonRow({ taxon, order, current }: TaxonRowGiven) {
  const harm = harmWord(taxon);
  return (
    <RowLink
      href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: taxon.id } }}
      label={`${taxon.common[0]}, ${taxon.name}`}
      current={current}
      title={order === 'latin' ? taxon.name : commonName(taxon)}
      note={order === 'latin' ? commonName(taxon) : taxon.name}
      valueNote={[
        WORDS.thrivesOnMol(mol(taxon.light.thrivesFrom), mol(taxon.light.thrivesTo)),
        WORDS.fromHumidity(Math.round(taxon.moisture.thrivesFrom)),
        ...(harm ? [harm] : []),
      ].join('\n')}
    />
  );
}
