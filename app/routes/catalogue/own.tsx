import { useLocalSearchParams } from 'expo-router';
import { OwnTaxonScreen } from '../../features/catalogue/own-taxon';

export default function OwnTaxonRoute() {
  const { taxonId } = useLocalSearchParams<{ taxonId?: string }>();
  return <OwnTaxonScreen taxonId={taxonId ?? null} />;
}
