import { useLocalSearchParams } from 'expo-router';
import { PlantsLayout } from '../../features/plants/plants-layout';
import { isPlantPart } from '../../parts/plant-part';

export default function PlantRoute() {
  const { plantId, open } = useLocalSearchParams<{ plantId: string; open?: string }>();
  return <PlantsLayout plantId={plantId} {...(isPlantPart(open) ? { open } : {})} />;
}
