/** The catalogue and, where there is room, the chosen taxon beside it; on a phone one or the other. */
import { ScrollView, View } from 'react-native';
import { Body, Heading } from '../../ui/type';
import { SPACE } from '../../ui/theme';
import { useInk, useIsWide } from '../../ui/use-ink';
import { CatalogueScreen } from './catalogue-screen';
import { NeedsFilter } from './needs-filter';
import { TaxonScreen } from './taxon-screen';
import { useNeeds } from './use-search';
import { CATALOGUE_LAYOUT as WORDS } from './catalogue-words';

export function CatalogueLayout({ taxonId }: { readonly taxonId?: string }) {
  const wide = useIsWide();
  const { line } = useInk();
  if (!wide) return taxonId ? <TaxonScreen taxonId={taxonId} /> : <CatalogueScreen />;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ width: 460, borderRightWidth: 1, borderColor: line }}>
        {taxonId ? <CatalogueScreen chosenId={taxonId} /> : <CatalogueScreen needs="beside" />}
      </View>
      <View style={{ flex: 1 }}>{taxonId ? <TaxonScreen taxonId={taxonId} /> : <NothingChosen />}</View>
    </View>
  );
}

/** Beside the list while no taxon is chosen: what it may be chosen by. */
function NothingChosen() {
  const needs = useNeeds();
  return (
    <ScrollView contentContainerStyle={{ padding: SPACE.l, gap: SPACE.m, maxWidth: 620 }}>
      <Body>{WORDS.chooseTaxon}</Body>
      <Heading>{WORDS.chooseByNeed}</Heading>
      <NeedsFilter needs={needs} />
    </ScrollView>
  );
}
