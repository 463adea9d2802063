/** The catalogue and, where there is room, the chosen taxon beside it; on a phone one or the other. */
import { View } from 'react-native';
import { Body } from '../../ui/type';
import { SPACE } from '../../ui/theme';
import { useInk, useIsWide } from '../../ui/use-ink';
import { CatalogueScreen } from './catalogue-screen';
import { TaxonScreen } from './taxon-screen';

export function CatalogueLayout({ taxonId }: { readonly taxonId?: string }) {
  const wide = useIsWide();
  const { line } = useInk();
  if (!wide) return taxonId ? <TaxonScreen taxonId={taxonId} /> : <CatalogueScreen />;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ width: 460, borderRightWidth: 1, borderColor: line }}>
        <CatalogueScreen {...(taxonId ? { chosenId: taxonId } : {})} />
      </View>
      <View style={{ flex: 1 }}>
        {taxonId ? (
          <TaxonScreen taxonId={taxonId} />
        ) : (
          <View style={{ padding: SPACE.l }}>
            <Body>Choose a taxon: its year, its dangers and every figure stand here.</Body>
          </View>
        )}
      </View>
    </View>
  );
}
