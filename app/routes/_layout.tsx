import { BarlowCondensed_500Medium, BarlowCondensed_600SemiBold } from '@expo-google-fonts/barlow-condensed';
import { PublicSans_400Regular, PublicSans_600SemiBold } from '@expo-google-fonts/public-sans';
import MaterialCommunityIcons from '@expo/vector-icons/MaterialCommunityIcons';
import { useFonts } from 'expo-font';
import Head from 'expo-router/head';
import { useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { Shell } from '../features/shell/shell';
import { useSettings } from '../state/settings';
import { darkTheme, lightTheme } from '../ui/theme';
import '../ui/web-animation';

/** Paper's icons come out as pictures without a name: they only decorate words here. */
const PAPER_SETTINGS = {
  icon: ({ name, color, size }: { name: string; color?: string; size: number }) => (
    <MaterialCommunityIcons name={name as never} color={color} size={size} aria-hidden role="presentation" />
  ),
};

export default function RootLayout() {
  const [fontsLoaded] = useFonts({
    BarlowCondensed_500Medium,
    BarlowCondensed_600SemiBold,
    PublicSans_400Regular,
    PublicSans_600SemiBold,
    ...MaterialCommunityIcons.font,
  });
  const system = useColorScheme();
  const appearance = useSettings((state) => state.appearance);
  const dark = appearance === 'dark' || (appearance === 'auto' && system === 'dark');
  if (!fontsLoaded) return null;
  return (
    <SafeAreaProvider>
      <PaperProvider theme={dark ? darkTheme : lightTheme} settings={PAPER_SETTINGS as never}>
        <Head>
          <title>Dulvan</title>
        </Head>
        <Shell />
      </PaperProvider>
    </SafeAreaProvider>
  );
}
