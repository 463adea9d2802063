import { useLocalSearchParams } from 'expo-router';
import { BenchScreen } from '../../../features/air/bench-screen';

export default function Route() {
  const { roomId } = useLocalSearchParams<{ roomId: string }>();
  return <BenchScreen roomId={roomId} />;
}
