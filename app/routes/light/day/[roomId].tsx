import { useLocalSearchParams } from 'expo-router';
import { RoomDayScreen } from '../../../features/light/room-day-screen';

export default function Route() {
  const { roomId } = useLocalSearchParams<{ roomId: string }>();
  return <RoomDayScreen roomId={roomId} />;
}
