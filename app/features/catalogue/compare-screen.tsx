/** Two taxa side by side: what tells them apart, and each figure in which their care differs. */
import { lookAlikes } from '@dulvan/catalogue';
import { FIGURES, FIGURE_KEYS, figureOf, type Figure, type FigureKind, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '../../state/settings';
import { useKnownTaxon, useTaxonFinder } from '../../state/taxa';
import { Button, TextLink } from '../../ui/button';
import { Page, Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { commonName } from '../../parts/words';
import { Hazards } from '../../parts/hazards';
import { NotHere } from '../../parts/not-here';
import { figureWords } from '../../parts/figures-table';
import { TaxonPicker } from '../../parts/taxon-picker';

export function CompareScreen({ one, other }: { readonly one: string; readonly other: string | null }) {
  const first = useKnownTaxon(one)?.taxon;
  const second = useKnownTaxon(other ?? '')?.taxon;
  const finder = useTaxonFinder();
  if (!first) return <NotHere what="taxon" back="/catalogue" />;
  return (
    <Page>
      <Title>Side by side</Title>
      {second ? (
        <Pair first={first} second={second} />
      ) : (
        <>
          <Body>{`${commonName(first)}, beside which other?`}</Body>
          <TaxonPicker
            label="The other"
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
  const both = [first, second];
  return (
    <View style={{ gap: SPACE.m }}>
      {twin ? (
        <View>
          <Heading>What tells them apart</Heading>
          <Body>{twin.tell}</Body>
          <Small>{`In care: ${twin.care}`}</Small>
        </View>
      ) : null}
      <View role="table" aria-label={`${first.name} and ${second.name}`}>
        <Columns taxa={both} />
        {FIGURE_KEYS.map((key) => (
          <FigureRow key={key} figure={key} taxa={both} apart={differs(key, first, second)} />
        ))}
      </View>
      {both.map((taxon) => (
        <View key={taxon.id} style={{ gap: SPACE.xs }}>
          <Strong>{commonName(taxon)}</Strong>
          <Body>{taxon.key}</Body>
          <Hazards hazard={taxon.hazard} />
        </View>
      ))}
      <Row>
        <Button onPress={() => router.setParams({ other: '' })}>Another one beside it</Button>
      </Row>
    </View>
  );
}

function Columns({ taxa }: { readonly taxa: readonly Taxon[] }) {
  return (
    <View role="row" style={{ flexDirection: 'row', gap: SPACE.s }}>
      <View role="columnheader" style={{ flex: 3 }}>
        <Small>◆ differs enough to matter</Small>
      </View>
      {taxa.map((taxon) => (
        <View key={taxon.id} role="columnheader" style={{ flex: 2 }}>
          <TextLink href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: taxon.id } }}>
            {commonName(taxon)}
          </TextLink>
          <Small>{taxon.name}</Small>
        </View>
      ))}
    </View>
  );
}

interface FigureRowProps {
  readonly figure: Figure;
  readonly taxa: readonly Taxon[];
  readonly apart: boolean;
}

function FigureRow({ figure, taxa, apart }: FigureRowProps) {
  const { line, accent } = useInk();
  const units = useUnits();
  const Value = apart ? Strong : Body;
  const edge = { borderTopWidth: 1, borderColor: line, paddingVertical: SPACE.xs, alignItems: 'center' } as const;
  return (
    <View role="row" style={[{ flexDirection: 'row', gap: SPACE.s }, edge]}>
      <View role="rowheader" style={{ flex: 3 }}>
        <Small style={apart ? { color: accent } : undefined}>{`${apart ? '◆ ' : ''}${FIGURES[figure].label}`}</Small>
      </View>
      {taxa.map((taxon) => (
        <View key={taxon.id} role="cell" style={{ flex: 2 }}>
          <Value>{figureWords(figure, figureOf(taxon, figure), units)}</Value>
        </View>
      ))}
    </View>
  );
}
