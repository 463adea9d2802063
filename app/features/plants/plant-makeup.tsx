/**
 * What a plant is: its taxon or its parents in shares, and what is seen of it. Each change is stored at once and can
 * be undone.
 */
import { TRAITS, TRAIT_RULES, patch, type HomeFacts, type Plant, type Taxon } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { useTaxonFinder } from '../../state/taxa';
import { Button } from '../../ui/button';
import { ManyChoices } from '../../ui/choices';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Heading, Small, Strong } from '../../ui/type';
import { plantName } from '../../parts/words';
import { TaxonPicker } from '../../parts/taxon-picker';
import { Parents } from './parents';
import { PLANT_MAKEUP as WORDS } from './plants-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plant: Plant;
}

export function PlantMakeup({ facts, plant }: Given) {
  const change = useHome((state) => state.change);
  const attempt = useHome((state) => state.attempt);
  const [naming, setNaming] = useState<'no' | 'taxon' | 'parents'>('no');
  const name = plantName(facts, plant);
  const fieldsOf = (fields: Partial<Plant>) => [patch('plants', plant.id, fields)];
  const barred = new Set(plant.traits.flatMap((trait) => TRAIT_RULES[trait].not));
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.whatItIs}</Heading>
      <Row>
        <Button onPress={() => setNaming(naming === 'taxon' ? 'no' : 'taxon')}>{WORDS.changeItsName}</Button>
        <Button onPress={() => setNaming(naming === 'parents' ? 'no' : 'parents')}>{WORDS.hybridOf}</Button>
      </Row>
      {naming === 'taxon' ? (
        <Naming
          onTaxon={(taxon) =>
            void change(WORDS.named(name), fieldsOf({ taxonId: taxon.id, parents: [] })).then(() => setNaming('no'))
          }
        />
      ) : null}
      {naming === 'parents' ? (
        <Parents
          facts={facts}
          parents={plant.parents}
          onParents={(parents) => attempt(WORDS.setParentsOf(name), fieldsOf({ parents }))}
          onDone={() => setNaming('no')}
        />
      ) : null}
      <Strong>{WORDS.whatYouSee}</Strong>
      <ManyChoices
        label={WORDS.whatYouSee}
        choices={TRAITS.map((trait) => ({ value: trait, word: TRAIT_RULES[trait].word, disabled: barred.has(trait) }))}
        chosen={plant.traits}
        onChosen={(traits) => void change(WORDS.notedWhatIsSeen(name), fieldsOf({ traits }))}
      />
      {plant.traits.map((trait) => (
        <Small key={trait}>→ {TRAIT_RULES[trait].rule}</Small>
      ))}
    </View>
  );
}

function Naming({ onTaxon }: { readonly onTaxon: (taxon: Taxon) => void }) {
  const finder = useTaxonFinder();
  return <TaxonPicker label={WORDS.itsName} finder={finder} onTaxon={onTaxon} autoFocus />;
}
