/** A field that finds a taxon by any of its names. */
import type { Taxon } from '@dulvan/core';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Field } from '../ui/field';
import { SPACE, TOUCH } from '../ui/theme';
import { Body, Small, Strong } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { commonName } from './words';

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
      <Field
        label={label}
        value={asked}
        onValue={onText ?? setTyped}
        help="Any name, spelt as you can: Latin, common, old, a cultivar."
        autoFocus={autoFocus}
      />
      {found.map((taxon) => (
        <Pressable
          key={taxon.id}
          role="button"
          aria-label={`${taxon.common[0]}, ${taxon.name}`}
          onPress={() => onTaxon(taxon)}
          style={{ minHeight: TOUCH, borderBottomWidth: 1, borderColor: line, paddingVertical: SPACE.xs }}
        >
          <Strong>{commonName(taxon)}</Strong>
          <Small>{[taxon.name, ...taxon.synonyms.map((synonym) => `once ${synonym}`)].join(' · ')}</Small>
        </Pressable>
      ))}
      {asked.trim().length > 1 && found.length === 0 ? (
        <Body>{`Nothing comes near “${asked.slice(0, 60)}”. Try another name or the nearest relative.`}</Body>
      ) : null}
    </View>
  );
}
