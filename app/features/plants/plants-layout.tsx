/** The list and, where there is room, the chosen plant beside it; on a phone one or the other. */
import { View } from 'react-native';
import { useInk, useIsWide } from '../../ui/use-ink';
import { PlantScreen } from './plant-screen';
import { PlantsScreen } from './plants-screen';

export function PlantsLayout({ plantId }: { readonly plantId?: string }) {
  const wide = useIsWide();
  const { line } = useInk();
  if (!wide) return plantId ? <PlantScreen plantId={plantId} /> : <PlantsScreen />;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ width: 420, borderRightWidth: 1, borderColor: line }}>
        <PlantsScreen {...(plantId ? { chosenId: plantId } : {})} />
      </View>
      <View style={{ flex: 1 }}>{plantId ? <PlantScreen plantId={plantId} /> : null}</View>
    </View>
  );
}
