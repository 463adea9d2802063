import { useLocalSearchParams } from 'expo-router';
import { RoomAirScreen } from '../../features/air/room-air-screen';

export default function Route() {
  const { roomId } = useLocalSearchParams<{ roomId: string }>();
  return <RoomAirScreen roomId={roomId} />;
}
