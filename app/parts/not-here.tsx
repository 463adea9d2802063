/** Said when an address names something that is not in this home. */
import type { Href } from 'expo-router';
import { TextLink } from '../ui/button';
import { Page } from '../ui/page';
import { Body, Title } from '../ui/type';
import { NOT_HERE as WORDS } from './part-words';

export function NotHere({ what, back }: { readonly what: string; readonly back: Href }) {
  return (
    <Page>
      <Title>{WORDS.notHere}</Title>
      <Body>{WORDS.notInThisHome(what)}</Body>
      <TextLink href={back}>{WORDS.goBack}</TextLink>
    </Page>
  );
}
