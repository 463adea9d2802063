import { useLocalSearchParams } from 'expo-router';
import { LoggerScreen } from '../../features/loggers/logger-screen';

export default function Route() {
  const { loggerId } = useLocalSearchParams<{ loggerId: string }>();
  return <LoggerScreen loggerId={loggerId} />;
}
