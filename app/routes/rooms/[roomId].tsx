import { useLocalSearchParams } from 'expo-router';
import { RoomsScreen } from '../../features/rooms/rooms-screen';

export default function Route() {
  const { roomId } = useLocalSearchParams<{ roomId: string }>();
  return <RoomsScreen roomId={roomId} />;
}
