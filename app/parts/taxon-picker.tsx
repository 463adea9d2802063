/** A field that finds a taxon by any of its names. */
import type { Taxon } from '@dulvan/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { RowBody } from '../ui/button';
import { Search } from '../ui/search';
import { SPACE } from '../ui/theme';
import { Body, Small, Strong } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { commonName } from './words';
import { TAXON_PICKER as WORDS } from './part-words';

interface Given {
  readonly label: string;
  readonly finder: { find(text: string): Taxon[] };
  readonly onTaxon: (taxon: Taxon) => void;
  /** Where what is typed is kept, when it should outlive this field. */
  readonly text?: string;
  readonly onText?: (text: string) => void;
  readonly autoFocus?: boolean;
}

export function TaxonPicker({ label, finder, onTaxon, text, onText, autoFocus = false }: Given) {
  const { line } = useInk();
  const [typed, setTyped] = useState('');
  const asked = text ?? typed;
  const found = useMemo(() => finder.find(asked), [finder, asked]);
  return (
    <View style={{ gap: SPACE.s }}>
      <Strong>{label}</Strong>
      <Search label={label} value={asked} onValue={onText ?? setTyped} autoFocus={autoFocus} />
      <Small>{WORDS.anyName}</Small>
      {found.map((taxon) => (
        <TouchableRipple
          key={taxon.id}
          role="button"
          aria-label={`${taxon.common[0]}, ${taxon.name}`}
          onPress={() => onTaxon(taxon)}
          style={{ borderBottomWidth: 1, borderColor: line }}
        >
          <RowBody
            title={commonName(taxon)}
            note={[taxon.name, ...taxon.synonyms.map((synonym) => WORDS.onceCalled(synonym))].join(' · ')}
          />
        </TouchableRipple>
      ))}
      {asked.trim().length > 1 && found.length === 0 ? <Body>{WORDS.nothingComesNear(asked.slice(0, 60))}</Body> : null}
    </View>
  );
}
