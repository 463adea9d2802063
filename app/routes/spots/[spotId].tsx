import { useLocalSearchParams } from 'expo-router';
import { SpotScreen } from '../../features/rooms/spot-screen';

export default function Route() {
  const { spotId } = useLocalSearchParams<{ spotId: string }>();
  return <SpotScreen spotId={spotId} />;
}
