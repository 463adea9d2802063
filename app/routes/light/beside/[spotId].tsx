import { useLocalSearchParams } from 'expo-router';
import { BesideScreen } from '../../../features/light/beside-screen';

export default function Route() {
  const { spotId } = useLocalSearchParams<{ spotId: string }>();
  return <BesideScreen spotId={spotId} />;
}
