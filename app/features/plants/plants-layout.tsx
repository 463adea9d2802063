/** The list, with each plant's year where there is room; with a chosen plant beside it, or on a phone in its place. */
import { View } from 'react-native';
import type { PlantPart } from '../../parts/plant-part';
import { useInk, useIsWide } from '../../ui/use-ink';
import { PlantScreen } from './plant-screen';
import { PlantsScreen } from './plants-screen';

interface Given {
  readonly plantId?: string;
  /** The part of the plant's sheet that is asked for. */
  readonly open?: PlantPart;
}

export function PlantsLayout({ plantId, open }: Given) {
  const wide = useIsWide();
  const { line } = useInk();
  const sheet = plantId ? <PlantScreen plantId={plantId} {...(open ? { open } : {})} /> : null;
  if (!wide) return sheet ?? <PlantsScreen />;
  if (!plantId) return <PlantsScreen years="shown" />;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ width: 330, borderRightWidth: 1, borderColor: line }}>
        <PlantsScreen chosenId={plantId} />
      </View>
      <View style={{ flex: 1 }}>{sheet}</View>
    </View>
  );
}
