/** What a plant is: its taxon or its parents in shares, and what is seen of it. Each change is stored at once and can be undone. */
import { knowledge } from '@dulvan/catalogue';
import {
  TRAITS,
  TRAIT_RULES,
  knownTaxon,
  patch,
  type HomeFacts,
  type Parent,
  type Plant,
  type Taxon,
} from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { useTaxonFinder } from '../../state/taxa';
import { Button } from '../../ui/button';
import { ManyChoices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { plantName } from '../../parts/words';
import { typedNumber } from '../../parts/typed-number';
import { TaxonPicker } from '../../parts/taxon-picker';

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
      <Heading>What it is</Heading>
      <Row>
        <Button onPress={() => setNaming(naming === 'taxon' ? 'no' : 'taxon')}>Name it anew</Button>
        <Button onPress={() => setNaming(naming === 'parents' ? 'no' : 'parents')}>A hybrid of ...</Button>
      </Row>
      {naming === 'taxon' ? (
        <Naming
          onTaxon={(taxon) =>
            void change(`Named ${name}`, fieldsOf({ taxonId: taxon.id, parents: [] })).then(() => setNaming('no'))
          }
        />
      ) : null}
      {naming === 'parents' ? (
        <Parents
          facts={facts}
          plant={plant}
          onParents={(parents) => attempt(`Set the parents of ${name}`, fieldsOf({ parents }))}
          onDone={() => setNaming('no')}
        />
      ) : null}
      <Strong>What you see of it</Strong>
      <ManyChoices
        label="What you see of it"
        choices={TRAITS.map((trait) => ({ value: trait, word: TRAIT_RULES[trait].word, disabled: barred.has(trait) }))}
        chosen={plant.traits}
        onChosen={(traits) => void change(`Noted what is seen of ${name}`, fieldsOf({ traits }))}
      />
      {plant.traits.map((trait) => (
        <Small key={trait}>→ {TRAIT_RULES[trait].rule}</Small>
      ))}
    </View>
  );
}

function Naming({ onTaxon }: { readonly onTaxon: (taxon: Taxon) => void }) {
  const finder = useTaxonFinder();
  return <TaxonPicker label="Its name" finder={finder} onTaxon={onTaxon} autoFocus />;
}

interface ParentsGiven extends Given {
  readonly onParents: (parents: readonly Parent[]) => Promise<{ readonly message: string } | null>;
  readonly onDone: () => void;
}

const MOST_PARENTS = 8;

function Parents({ facts, plant, onParents, onDone }: ParentsGiven) {
  const { danger } = useInk();
  const finder = useTaxonFinder();
  const [parents, setParents] = useState<readonly { readonly taxonId: string; readonly share: string }[]>(() =>
    plant.parents.length > 0
      ? plant.parents.map(({ taxonId, share }) => ({ taxonId, share: String(Math.round(share * 100)) }))
      : [],
  );
  const [refusal, setRefusal] = useState<string | null>(null);
  const add = ({ id }: Taxon) => {
    if (parents.some((parent) => parent.taxonId === id) || parents.length >= MOST_PARENTS) return;
    // Newcomers share evenly until the grower says otherwise.
    const even = String(Math.round(100 / (parents.length + 1)));
    setParents([...parents.map((parent) => ({ ...parent, share: even })), { taxonId: id, share: even }]);
  };
  const keep = async () => {
    const shares = parents.map(({ taxonId, share }) => ({ taxonId, share: typedNumber(share) / 100 }));
    const wrong = shares.find(({ share }) => !(share >= 0.01 && share <= 1));
    if (wrong) {
      setRefusal('Each share is a number from 1 to 100 %.');
      return;
    }
    const refused = await onParents(shares);
    setRefusal(refused?.message ?? null);
    if (!refused) onDone();
  };
  return (
    <View style={{ gap: SPACE.s }}>
      {parents.map(({ taxonId, share }) => (
        <View key={taxonId} style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-end' }}>
          <View style={{ flex: 1 }}>
            <Field
              label={knownTaxon(facts, taxonId, knowledge)?.taxon.name ?? taxonId}
              kind="number"
              unit="%"
              value={share}
              onValue={(value) =>
                setParents(parents.map((parent) => (parent.taxonId === taxonId ? { ...parent, share: value } : parent)))
              }
            />
          </View>
          <Button onPress={() => setParents(parents.filter((parent) => parent.taxonId !== taxonId))}>Leave out</Button>
        </View>
      ))}
      <TaxonPicker label={parents.length === 0 ? 'One parent' : 'Another parent'} finder={finder} onTaxon={add} />
      <Small>Its target is their weighted mix. From four fifths on, one parent rules its rest and season.</Small>
      {refusal ? <Body style={{ color: danger }}>✕ {refusal}</Body> : null}
      <Row>
        <Button kind="main" onPress={() => void keep()} disabled={parents.length === 1}>
          {parents.length === 0 ? 'No parents: go by its name' : 'Keep these parents'}
        </Button>
        <Button onPress={onDone}>Leave it</Button>
      </Row>
    </View>
  );
}
