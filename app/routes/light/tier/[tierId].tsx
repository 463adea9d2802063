import { useLocalSearchParams } from 'expo-router';
import { TierScreen } from '../../../features/light/tier-screen';

export default function Route() {
  const { tierId } = useLocalSearchParams<{ tierId: string }>();
  return <TierScreen tierId={tierId} />;
}
