import { useLocalSearchParams } from 'expo-router';
import { EnclosureScreen } from '../../../features/air/enclosure-screen';

export default function Route() {
  const { roomId } = useLocalSearchParams<{ roomId: string }>();
  return <EnclosureScreen roomId={roomId} />;
}
