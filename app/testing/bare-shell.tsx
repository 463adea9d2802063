/** The least that an application of these packages costs: a heading, a button and the fonts, for the bench to compare with. */
import { BarlowCondensed_500Medium } from '@expo-google-fonts/barlow-condensed/500Medium';
import { BarlowCondensed_600SemiBold } from '@expo-google-fonts/barlow-condensed/600SemiBold';
import { PublicSans_400Regular } from '@expo-google-fonts/public-sans/400Regular';
import { PublicSans_600SemiBold } from '@expo-google-fonts/public-sans/600SemiBold';
import { AppRegistry, Text, View } from 'react-native';
import { Button, MD3LightTheme, PaperProvider } from 'react-native-paper';

const FONTS = { BarlowCondensed_500Medium, BarlowCondensed_600SemiBold, PublicSans_400Regular, PublicSans_600SemiBold };

const style = document.createElement('style');
style.textContent = Object.entries(FONTS)
  .map(([name, url]) => `@font-face { font-family: ${name}; src: url(${String(url)}); font-display: swap; }`)
  .join('\n');
document.head.append(style);

function Bare() {
  return (
    <PaperProvider theme={MD3LightTheme}>
      <View>
        <Text role="heading" aria-level={1} style={{ fontFamily: 'BarlowCondensed_600SemiBold', fontSize: 28 }}>
          Dulvan
        </Text>
        <Text style={{ fontFamily: 'PublicSans_400Regular' }}>Light at every spot of your rooms.</Text>
        <Button mode="contained">Add a plant</Button>
      </View>
    </PaperProvider>
  );
}

AppRegistry.registerComponent('Bare', () => Bare);
AppRegistry.runApplication('Bare', { rootTag: document.getElementById('root') });
