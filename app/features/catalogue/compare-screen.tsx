/** Two taxa side by side: what tells them apart, and each figure in which their care differs. */
import { lookAlikes } from '@dulvan/catalogue';
import { FIGURES, FIGURE_KEYS, figureOf, type Figure, type FigureKind, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useUnits, type Units } from '../../state/settings';
import { useKnownTaxon, useTaxonFinder } from '../../state/taxa';
import { Button, TextLink } from '../../ui/button';
import { Page, Row } from '../../ui/page';
import { Table, type TableRow } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { commonName } from '../../parts/words';
import { Hazards } from '../../parts/hazards';
import { NotHere } from '../../parts/not-here';
import { figureWords } from '../../parts/figures-table';
import { TaxonPicker } from '../../parts/taxon-picker';
import { COMPARE_SCREEN as WORDS } from './catalogue-words';

export function CompareScreen({ one, other }: { readonly one: string; readonly other: string | null }) {
  const first = useKnownTaxon(one)?.taxon;
  const second = useKnownTaxon(other ?? '')?.taxon;
  const finder = useTaxonFinder();
  if (!first) return <NotHere what="taxon" back="/catalogue" />;
  return (
    <Page>
      <Title>{WORDS.sideBySide}</Title>
      {second ? (
        <Pair first={first} second={second} />
      ) : (
        <>
          <Body>{WORDS.besideWhichOther(commonName(first))}</Body>
          <TaxonPicker
            label={WORDS.other}
            finder={finder}
            onTaxon={(taxon) => router.setParams({ other: taxon.id })}
            autoFocus
          />
        </>
      )}
    </Page>
  );
}

/** From how far apart two figures call for different care, by unit; others differ when one is a fifth and more off. */
const APART: Partial<Record<FigureKind['unit'], number>> = { '°C': 3, K: 2, '%': 8, h: 1, 'h a day': 1, share: 0.1 };

function differs(key: Figure, p: Taxon, q: Taxon): boolean {
  const [a, b] = [figureOf(p, key), figureOf(q, key)];
  const apart = APART[FIGURES[key].unit] ?? 0.2 * Math.max(Math.abs(a), Math.abs(b));
  return a !== b && Math.abs(a - b) >= apart;
}

function Pair({ first, second }: { readonly first: Taxon; readonly second: Taxon }) {
  const twin = lookAlikes.find(({ one, other }) => [one, other].includes(first.id) && [one, other].includes(second.id));
  const units = useUnits();
  const both = [first, second];
  return (
    <View style={{ gap: SPACE.m }}>
      {twin ? (
        <View>
          <Heading>{WORDS.whatTellsThemApart}</Heading>
          <Body>{twin.tell}</Body>
          <Small>{WORDS.inCare(twin.care)}</Small>
        </View>
      ) : null}
      <Table
        name={WORDS.firstAndSecond(first.name, second.name)}
        lines="between"
        columns={[{ name: WORDS.differsEnoughToMatter, share: 3 }, { share: 2 }, { share: 2 }]}
        rows={[
          { key: 'names', cells: ['', ...both.map((taxon) => <TaxonName key={taxon.id} taxon={taxon} />)] },
          ...FIGURE_KEYS.map((key) => figureRow(key, both, units, differs(key, first, second))),
        ]}
      />
      {both.map((taxon) => (
        <View key={taxon.id} style={{ gap: SPACE.xs }}>
          <Strong>{commonName(taxon)}</Strong>
          <Body>{taxon.key}</Body>
          <Hazards hazard={taxon.hazard} />
        </View>
      ))}
      <Row>
        <Button onPress={() => router.setParams({ other: '' })}>{WORDS.anotherOneBesideIt}</Button>
      </Row>
    </View>
  );
}

function TaxonName({ taxon }: { readonly taxon: Taxon }) {
  return (
    <View>
      <TextLink href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: taxon.id } }}>
        {commonName(taxon)}
      </TextLink>
      <Small>{taxon.name}</Small>
    </View>
  );
}

function figureRow(key: Figure, taxa: readonly Taxon[], units: Units, apart: boolean): TableRow {
  const Value = apart ? Strong : Body;
  return {
    key,
    cells: [
      <Small key={key}>{`${apart ? '◆ ' : ''}${FIGURES[key].label}`}</Small>,
      ...taxa.map((taxon) => <Value key={taxon.id}>{figureWords(key, figureOf(taxon, key), units)}</Value>),
    ],
  };
}
