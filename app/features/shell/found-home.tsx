/** The first screen of an empty Dulvan: found a home, or bring one in. */
import { View } from 'react-native';
import { TextLink } from '../../ui/button';
import { Page } from '../../ui/page';
import { Body, Title } from '../../ui/type';
import { BringBack } from '../../parts/bring-back';
import { newHome } from '../../forms/blank';
import { FactForm } from '../../forms/fact-form';
import { FOUND_HOME as WORDS } from './shell-words';

export default function FoundHome() {
  return (
    <Page>
      <Title>{WORDS.whereDoYourPlants}</Title>
      <Body>{WORDS.intro}</Body>
      <FactForm list="home" initial={newHome()} isNew />
      <BringBack />
      <View>
        <Body>{WORDS.haveSavedFile}</Body>
        <TextLink href="/settings">{WORDS.openItUnderSettings}</TextLink>
      </View>
    </Page>
  );
}
