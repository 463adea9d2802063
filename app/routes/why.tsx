import { useLocalSearchParams } from 'expo-router';
import { WhyScreen } from '../features/why/why-screen';

export default function WhyRoute() {
  const { figure, spot, plant, month } = useLocalSearchParams<{
    figure: string;
    spot?: string;
    plant?: string;
    month?: string;
  }>();
  return <WhyScreen figure={figure ?? ''} spot={spot ?? null} plant={plant ?? null} month={Number(month ?? 0)} />;
}
