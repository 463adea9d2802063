/** The parts of one kind that belong to something, and a way to add one. */
import { View } from 'react-native';
import type { FormList } from '../../forms/form-specs';
import { RowLink, TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Heading } from '../../ui/type';
import { PART_LIST as WORDS } from './place-words';

export interface PartsGiven {
  readonly title: string;
  readonly list: FormList;
  readonly parent: string;
  readonly noun: string;
  /** There can be no more than so many. */
  readonly most?: number;
  readonly parts: readonly { readonly id: string; readonly name: string; readonly note: string }[];
}

export function Parts({ title, list, parent, noun, parts, most = Infinity }: PartsGiven) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{title}</Heading>
      {parts.map((part) => (
        <RowLink
          key={part.id}
          href={{ pathname: '/place/[list]/[id]', params: { list, id: part.id } }}
          title={part.name}
          valueNote={part.note}
        />
      ))}
      {parts.length < most ? (
        <TextLink href={{ pathname: '/place/[list]/[id]', params: { list, id: 'new', parent } }}>
          {WORDS.addOne(noun)}
        </TextLink>
      ) : null}
    </View>
  );
}
