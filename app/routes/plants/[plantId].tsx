import { useLocalSearchParams } from 'expo-router';
import { PlantsLayout } from '../../features/plants/plants-layout';

export default function PlantRoute() {
  const { plantId } = useLocalSearchParams<{ plantId: string }>();
  return <PlantsLayout plantId={plantId} />;
}
