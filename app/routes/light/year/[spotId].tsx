import { useLocalSearchParams } from 'expo-router';
import { LightYearScreen } from '../../../features/light/light-year-screen';

export default function Route() {
  const { spotId } = useLocalSearchParams<{ spotId: string }>();
  return <LightYearScreen spotId={spotId} />;
}
