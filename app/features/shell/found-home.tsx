/** The first screen of an empty Dulvan: found a home, or bring one in. */
import { View } from 'react-native';
import { TextLink } from '../../ui/button';
import { Page } from '../../ui/page';
import { Body, Title } from '../../ui/type';
import { newHome } from '../../forms/blank';
import { FactForm } from '../../forms/fact-form';

export function FoundHome() {
  return (
    <Page>
      <Title>Where do your plants live?</Title>
      <Body>
        Light follows from the place. Give it a name and say where it is, to about a degree; rooms, windows and plants
        come next.
      </Body>
      <FactForm list="home" initial={newHome()} isNew />
      <View>
        <Body>Have a bundle from another Dulvan?</Body>
        <TextLink href="/settings">Bring it in under Settings</TextLink>
      </View>
    </Page>
  );
}
