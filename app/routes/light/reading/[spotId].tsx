import { useLocalSearchParams } from 'expo-router';
import { TakeReading } from '../../../features/light/take-reading';

export default function Route() {
  const { spotId } = useLocalSearchParams<{ spotId: string }>();
  return <TakeReading spotId={spotId} />;
}
