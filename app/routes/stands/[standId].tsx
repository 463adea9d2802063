import { useLocalSearchParams } from 'expo-router';
import { StandScreen } from '../../features/rooms/stand-screen';

export default function Route() {
  const { standId } = useLocalSearchParams<{ standId: string }>();
  return <StandScreen standId={standId} />;
}
