/** Adds a plant: its name however roughly written, its stage and pot, and the spot proposed for it. */
import { plantSchema } from '@dulvan/contract';
import { put as putFact, type HomeFacts, type Plant, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Pending } from '../../parts/pending';
import { shownValue, useRanking } from '../../state/questions';
import { useDrafts } from '../../state/drafts';
import { useFacts, useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { useKnownTaxon, useTaxonFinder } from '../../state/taxa';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { STAGE_WORD, commonName, spotPlace } from '../../parts/words';
import { TaxonPicker } from '../../parts/taxon-picker';
import { newPlant } from '../../forms/blank';
import { newId } from '../../parts/new-id';
import { FORM_SPECS } from '../../forms/form-specs';
import { readForm, unitOf, valuesOf } from '../../forms/form-values';
import { useMonth } from '../../parts/use-month';
import { Hazards } from '../../parts/hazards';
import { SpotChoices } from './spot-choices';

const DRAFT = 'plants/adding';

export function AddPlantScreen() {
  const facts = useFacts();
  const draft = useDrafts((state) => state.drafts[DRAFT]);
  const { put, drop } = useDrafts.getState();
  const taxon = useKnownTaxon(draft?.taxonId ?? '')?.taxon ?? null;
  const finder = useTaxonFinder();
  if (!facts) return null;
  const text = draft?.search ?? '';
  return (
    <Page>
      <Title>Add a plant</Title>
      {taxon ? (
        <AddTaxon
          key={taxon.id}
          facts={facts}
          taxon={taxon}
          onBack={() => put(DRAFT, { search: text })}
          onAdded={() => drop(DRAFT)}
        />
      ) : (
        <>
          <TaxonPicker
            label="What is it called?"
            text={text}
            onText={(search) => put(DRAFT, { search })}
            finder={finder}
            onTaxon={({ id }) => put(DRAFT, { search: text, taxonId: id })}
            autoFocus
          />
          <Row gap={SPACE.m}>
            <TextLink href="/catalogue/no-label">It has no label</TextLink>
            <TextLink href="/catalogue/own">It is in no catalogue</TextLink>
          </Row>
        </>
      )}
    </Page>
  );
}

interface AddTaxonGiven {
  readonly facts: HomeFacts;
  readonly taxon: Taxon;
  readonly onBack: () => void;
  readonly onAdded: () => void;
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

const ASKED = FORM_SPECS.plants.items.filter(({ field }) => ['name', 'potCm', 'heightCm'].includes(field));

/** The plant as it is being described, what is wrong with that, and how it is added. */
function useNewPlant({ facts, taxon, onAdded }: Omit<AddTaxonGiven, 'onBack'>) {
  const units = useUnits();
  const attempt = useHome((state) => state.attempt);
  const draft = useDrafts((state) => state.drafts[DRAFT]);
  const [blank] = useState<Plant>(() => ({
    ...newPlant(facts, taxon.id, taxon.care.matureHeightCm),
    parents: parentsOf(draft?.parents),
    id: newId(),
  }));
  const [stage, setStage] = useState<Plant['stage']>('adult');
  const [refusal, setRefusal] = useState<string | null>(null);
  const values: Readonly<Record<string, string>> = { ...valuesOf('plants', ASKED, blank as never, units), ...draft };
  const { entry, errors } = readForm({ list: 'plants', items: ASKED, initial: blank as never, facts, units }, values);
  const plant = entry ? { ...(entry as unknown as Plant), stage } : null;
  const add = async (spotId: string | null) => {
    if (!plant) return setRefusal('Some answers cannot be kept yet: they are marked above.');
    const called = plant.name.trim() || commonName(taxon);
    const where = spotId === null ? 'without a spot' : `to ${spotPlace(facts, spotId)}`;
    const refused = await attempt(`Added ${called} ${where}`, [putFact('plants', { ...plant, spotId })]);
    if (refused) return setRefusal(refused.message);
    router.replace({ pathname: '/plants/[plantId]', params: { plantId: plant.id } });
    onAdded();
  };
  const set = (field: string, value: string) => useDrafts.getState().put(DRAFT, { ...draft, [field]: value });
  return { plant, values, errors, set, stage, setStage, refusal, add };
}

function AddTaxon({ facts, taxon, onBack, onAdded }: AddTaxonGiven) {
  const { danger } = useInk();
  const units = useUnits();
  const { plant, values, errors, set, stage, setStage, refusal, add } = useNewPlant({ facts, taxon, onAdded });
  return (
    <View style={{ gap: SPACE.m }}>
      <View>
        <Heading>{commonName(taxon)}</Heading>
        <Small>{taxon.name}</Small>
        <Body>{taxon.key}</Body>
        <Hazards hazard={taxon.hazard} />
        <Button onPress={onBack} style={{ alignSelf: 'flex-start', marginTop: SPACE.s }}>
          It is another plant
        </Button>
      </View>
      <View style={{ gap: SPACE.xs }}>
        <Strong>Stage</Strong>
        <Choices
          label="Stage"
          value={stage}
          onValue={(value) => setStage(value as Plant['stage'])}
          choices={Object.entries(STAGE_WORD).map(([value, word]) => ({ value, word }))}
        />
      </View>
      {ASKED.map((item) => (
        <Field
          key={item.field}
          label={item.label}
          unit={unitOf(item, units)}
          kind={item.kind === 'text' ? 'text' : 'number'}
          value={values[item.field] ?? ''}
          help={item.help}
          error={errors[item.field]}
          onValue={(value) => set(item.field, value)}
        />
      ))}
      {refusal ? <Body style={{ color: danger }}>✕ {refusal}</Body> : null}
      <Rule />
      <Heading>Where it would do best</Heading>
      {plant ? (
        <BestSpots facts={facts} plant={plant} onChoose={(spotId) => void add(spotId)} />
      ) : (
        <Small>Mend what is marked above first.</Small>
      )}
      <Button onPress={() => void add(null)} style={{ alignSelf: 'flex-start' }}>
        Add it without a spot
      </Button>
    </View>
  );
}

interface BestSpotsGiven {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly onChoose: (spotId: string) => void;
}

function BestSpots({ facts, plant, onChoose }: BestSpotsGiven) {
  const [month] = useMonth();
  const ranking = useRanking(facts, plant);
  const ranked = shownValue(ranking);
  if (!ranked) return <Pending asked={ranking} />;
  return <SpotChoices facts={facts} ranked={ranked} month={month} here={null} verb="Put it here" onChoose={onChoose} />;
}
