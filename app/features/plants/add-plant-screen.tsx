/** Adds a plant: its name however roughly written, its stage and pot, and the spot proposed for it. */
import { plantSchema } from '@dulvan/contract';
import { put as putFact, type Change, type HomeFacts, type Plant, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { AskedItem } from '../../forms/asked-item';
import { newPlant } from '../../forms/blank';
import { FORM_SPECS } from '../../forms/form-specs';
import { formSchema, valuesOf } from '../../forms/form-values';
import { Hazards } from '../../parts/hazards';
import { newId } from '../../parts/new-id';
import { Refused } from '../../parts/refused';
import { TaxonPicker } from '../../parts/taxon-picker';
import { useDraftForm } from '../../parts/use-draft-form';
import { commonName, spotPlace } from '../../parts/words';
import { useDrafts } from '../../state/drafts';
import { useFacts, useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { useKnownTaxon, useTaxonFinder } from '../../state/taxa';
import { Button, TextLink } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { Page, Row, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { Parents, parentWords } from './parents';
import { SpotChoices } from './spot-choices';
import { ADD_PLANT_SCREEN as WORDS } from './plants-words';

const DRAFT = 'plants/adding';

export function AddPlantScreen() {
  const facts = useFacts();
  const draft = useDrafts((state) => state.drafts[DRAFT]);
  const { put } = useDrafts.getState();
  const taxon = useKnownTaxon(draft?.taxonId ?? '')?.taxon ?? null;
  const finder = useTaxonFinder();
  if (!facts) return null;
  const text = draft?.search ?? '';
  if (taxon) return <AddTaxon key={taxon.id} facts={facts} taxon={taxon} onBack={() => put(DRAFT, { search: text })} />;
  return (
    <Page>
      <Title>{WORDS.addPlant}</Title>
      <TaxonPicker
        label={WORDS.whatIsItCalled}
        text={text}
        onText={(search) => put(DRAFT, { search })}
        finder={finder}
        onTaxon={({ id }) => put(DRAFT, { search: text, taxonId: id })}
        autoFocus
      />
      <Row gap={SPACE.m}>
        <TextLink href="/catalogue/no-label">{WORDS.itHasNoLabel}</TextLink>
        <TextLink href="/catalogue/own">{WORDS.itIsInNoCatalogue}</TextLink>
      </Row>
    </Page>
  );
}

interface AddTaxonGiven {
  readonly facts: HomeFacts;
  readonly taxon: Taxon;
  readonly onBack: () => void;
}

/** The make-up that the search without a label left in the draft. */
function parentsOf(text: string | undefined): Plant['parents'] {
  if (!text) return [];
  try {
    return plantSchema.shape.parents.parse(JSON.parse(text));
  } catch {
    return [];
  }
}

const ESSENTIAL = ['stage', 'name', 'potCm', 'heightCm'];
const ASKED = ESSENTIAL.map((field) => FORM_SPECS.plants.items.find((item) => item.field === field)!);

/** The plant as it is being described, what is wrong with that, and how it is added. */
function useNewPlant({ facts, taxon }: Pick<AddTaxonGiven, 'facts' | 'taxon'>) {
  const units = useUnits();
  const attempt = useHome((state) => state.attempt);
  const draft = useDrafts((state) => state.drafts[DRAFT]);
  const [fresh] = useState(() => ({ ...newPlant(facts, taxon.id, taxon.care.matureHeightCm), id: newId() }));
  const parents = useMemo(() => parentsOf(draft?.parents), [draft?.parents]);
  const initial = useMemo(() => ({ ...fresh, parents }) as never, [fresh, parents]);
  const stored = useMemo(() => valuesOf('plants', ASKED, initial, units), [initial, units]);
  const schema = useMemo(
    () => formSchema({ list: 'plants', items: ASKED, initial, facts, units }),
    [initial, facts, units],
  );
  const form = useDraftForm({ draftKey: DRAFT, stored, schema });
  const plant = form.entry as unknown as Plant | null;
  const add = async (spotId: string | null, others: readonly Change[]) => {
    await form.submit(async (entry) => {
      const described = entry as unknown as Plant;
      const called = described.name.trim() || commonName(taxon);
      const where = spotId === null ? WORDS.withoutSpot : WORDS.toSpot(spotPlace(facts, spotId));
      const changes = [...others, putFact('plants', { ...described, spotId })];
      const refused = await attempt(WORDS.addedTo(called, where), changes);
      if (!refused) router.replace({ pathname: '/plants/[plantId]', params: { plantId: described.id } });
      return refused;
    });
  };
  return { form, plant, parents, add };
}

function AddTaxon({ facts, taxon, onBack }: AddTaxonGiven) {
  const { form, plant, parents, add } = useNewPlant({ facts, taxon });
  const described = (
    <>
      <Title>{WORDS.addPlant}</Title>
      <View>
        <Heading>{commonName(taxon)}</Heading>
        <Small>{taxon.name}</Small>
        <Body>{taxon.key}</Body>
        <Hazards hazard={taxon.hazard} />
        <Button onPress={onBack} style={{ alignSelf: 'flex-start', marginTop: SPACE.s }}>
          {WORDS.itIsAnotherPlant}
        </Button>
      </View>
      {ASKED.map((item) => (
        <AskedItem key={item.field} item={item} form={form} facts={facts} initial={{}} told />
      ))}
      <Fold title={WORDS.itIsHybrid} note={parents.length > 0 ? parentWords(facts, parents) : WORDS.hybridHelp}>
        <Parents
          facts={facts}
          parents={parents}
          onParents={(chosen) => {
            const { parents: _before, ...rest } = useDrafts.getState().drafts[DRAFT] ?? {};
            const kept = chosen.length > 0 ? { parents: JSON.stringify(chosen) } : {};
            useDrafts.getState().put(DRAFT, { ...rest, ...kept });
            return Promise.resolve(null);
          }}
        />
      </Fold>
      <Refused form={form} />
    </>
  );
  const placed = (
    <>
      <Heading>{WORDS.whereItWouldDoBest}</Heading>
      {plant ? (
        <SpotChoices
          facts={facts}
          plant={plant}
          name={plant.name.trim() || commonName(taxon)}
          verb={WORDS.putItHere}
          onChoose={(spotId, others) => void add(spotId, others)}
        />
      ) : (
        <Small>{WORDS.correctFirst}</Small>
      )}
      <Button onPress={() => void add(null, [])} style={{ alignSelf: 'flex-start' }}>
        {WORDS.addItWithoutSpot}
      </Button>
    </>
  );
  return <TwoPanes first={described} second={placed} />;
}
