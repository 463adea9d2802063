import { useLocalSearchParams } from 'expo-router';
import { CatalogueLayout } from '../../features/catalogue/catalogue-layout';

export default function TaxonRoute() {
  const { taxonId } = useLocalSearchParams<{ taxonId: string }>();
  return <CatalogueLayout taxonId={taxonId} />;
}
