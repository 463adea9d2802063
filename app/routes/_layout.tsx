import { BarlowCondensed_500Medium } from '@expo-google-fonts/barlow-condensed/500Medium';
import { BarlowCondensed_600SemiBold } from '@expo-google-fonts/barlow-condensed/600SemiBold';
import { PublicSans_400Regular } from '@expo-google-fonts/public-sans/400Regular';
import { PublicSans_600SemiBold } from '@expo-google-fonts/public-sans/600SemiBold';
import { useFonts } from 'expo-font';
import Head from 'expo-router/head';
import { useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { Shell } from '../features/shell/shell';
import { useSettings } from '../state/settings';
import { darkTheme, lightTheme } from '../ui/theme';
import '../ui/web-animation';
import '../ui/web-states';

/** No ripple runs over what is touched: the surface is paper. */
const CALM = { rippleEffectEnabled: false };

export default function RootLayout() {
  // Nothing waits for the fonts: until they are here, the system's own stand in.
  useFonts({ BarlowCondensed_500Medium, BarlowCondensed_600SemiBold, PublicSans_400Regular, PublicSans_600SemiBold });
  const system = useColorScheme();
  const appearance = useSettings((state) => state.appearance);
  const dark = appearance === 'dark' || (appearance === 'auto' && system === 'dark');
  return (
    <SafeAreaProvider>
      <PaperProvider theme={dark ? darkTheme : lightTheme} settings={CALM}>
        <Head>
          <title>Dulvan</title>
        </Head>
        <Shell />
      </PaperProvider>
    </SafeAreaProvider>
  );
}
