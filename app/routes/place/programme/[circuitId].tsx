import { useLocalSearchParams } from 'expo-router';
import { ProgrammeScreen } from '../../../features/place/programme-screen';

export default function ProgrammeRoute() {
  const { circuitId } = useLocalSearchParams<{ circuitId: string }>();
  return <ProgrammeScreen key={circuitId} circuitId={circuitId} />;
}
