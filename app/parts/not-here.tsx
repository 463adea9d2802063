/** Said when an address names something that is not in this home. */
import type { Href } from 'expo-router';
import { TextLink } from '../ui/button';
import { Page } from '../ui/page';
import { Body, Title } from '../ui/type';

export function NotHere({ what, back }: { readonly what: string; readonly back: Href }) {
  return (
    <Page>
      <Title>Not here</Title>
      <Body>{`This ${what} is not in this home, or not any more.`}</Body>
      <TextLink href={back}>Go back</TextLink>
    </Page>
  );
}
