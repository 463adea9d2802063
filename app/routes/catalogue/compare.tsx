import { useLocalSearchParams } from 'expo-router';
import { CompareScreen } from '../../features/catalogue/compare-screen';

export default function CompareRoute() {
  const { one, other } = useLocalSearchParams<{ one: string; other?: string }>();
  return <CompareScreen one={one} other={other || null} />;
}
