/** Adds a plant: its name however roughly written, its stage and pot, and the spot proposed for it. */
import { knowledge, taxa, taxonFinder } from '@dulvan/catalogue';
import type { HomeFacts, Plant, Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useRanking } from '../../state/answers';
import { useDrafts } from '../../state/drafts';
import { useFacts, useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { Page, Rule } from '../../ui/page';
import { SPACE, TOUCH } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { STAGE_WORD, commonName, spotPlace } from '../../ui/words';
import { newId, newPlant } from '../place/blank';
import { FORM_SPECS } from '../place/form-specs';
import { readForm, unitOf, valuesOf } from '../place/form-values';
import { useMonth } from '../rooms/use-month';
import { Hazards } from './hazards';
import { SpotChoices } from './spot-choices';

const finder = taxonFinder(taxa);
const DRAFT = 'plants/adding';

export function AddPlantScreen() {
  const facts = useFacts();
  const draft = useDrafts((state) => state.drafts[DRAFT]);
  const { put, drop } = useDrafts.getState();
  if (!facts) return null;
  const text = draft?.search ?? '';
  const taxon = draft?.taxonId ? knowledge.taxon(draft.taxonId) : null;
  return (
    <Page>
      <Title>Add a plant</Title>
      {taxon ? (
        <AddTaxon key={taxon.id} facts={facts} taxon={taxon} onBack={() => put(DRAFT, { search: text })} onAdded={() => drop(DRAFT)} />
      ) : (
        <Search text={text} onText={(search) => put(DRAFT, { search })} onTaxon={(id) => put(DRAFT, { search: text, taxonId: id })} />
      )}
    </Page>
  );
}

function Search({ text, onText, onTaxon }: { readonly text: string; readonly onText: (text: string) => void; readonly onTaxon: (id: string) => void }) {
  const { line } = useInk();
  const found = useMemo(() => finder.find(text), [text]);
  return (
    <View style={{ gap: SPACE.s }}>
      <Field label="What is it called?" value={text} onValue={onText} help="Any name, spelt as you can: Latin, common, old." autoFocus />
      {found.map((taxon) => (
        <Pressable
          key={taxon.id}
          role="button"
          aria-label={`${taxon.common[0]}, ${taxon.name}`}
          onPress={() => onTaxon(taxon.id)}
          style={{ minHeight: TOUCH, borderBottomWidth: 1, borderColor: line, paddingVertical: SPACE.xs }}
        >
          <Strong>{commonName(taxon)}</Strong>
          <Small>{[taxon.name, ...taxon.synonyms.map((synonym) => `once ${synonym}`)].join(' · ')}</Small>
        </Pressable>
      ))}
      {text.trim().length > 1 && found.length === 0 ? (
        <Body>{`Nothing in the catalogue comes near “${text.slice(0, 60)}”. It knows ${taxa.length} taxa so far; try another name, or the nearest relative.`}</Body>
      ) : null}
    </View>
  );
}

interface AddTaxonGiven {
  readonly facts: HomeFacts;
  readonly taxon: Taxon;
  readonly onBack: () => void;
  readonly onAdded: () => void;
}

const ASKED = FORM_SPECS.plants.questions.filter(({ field }) => ['name', 'potCm', 'heightCm'].includes(field));

function AddTaxon({ facts, taxon, onBack, onAdded }: AddTaxonGiven) {
  const { danger } = useInk();
  const units = useUnits();
  const [month] = useMonth();
  const change = useHome((state) => state.change);
  const [blank] = useState<Plant>(() => ({ ...newPlant(facts, taxon.id, taxon.care.matureHeightCm), id: newId() }));
  const [stage, setStage] = useState<Plant['stage']>('adult');
  const draft = useDrafts((state) => state.drafts[DRAFT]);
  const values = { ...valuesOf(ASKED, blank as never, units), ...draft };
  const [refusal, setRefusal] = useState<string | null>(null);
  const reading = readForm('plants', ASKED, values, blank as never, facts, units);
  const plant = reading.entry ? ({ ...(reading.entry as unknown as Plant), stage }) : null;
  const ranked = useRanking(facts, plant);
  const add = async (spotId: string | null) => {
    if (!plant) {
      setRefusal('Some answers cannot be kept yet: they are marked above.');
      return;
    }
    const called = plant.name.trim() || commonName(taxon);
    const where = spotId === null ? 'without a spot' : `to ${spotPlace(facts, spotId)}`;
    const refused = await change(`Added ${called} ${where}`, [{ list: 'plants', id: plant.id, after: { ...plant, spotId } }]);
    if (refused) {
      setRefusal(refused.message);
      return;
    }
    router.replace({ pathname: '/plants/[plantId]', params: { plantId: plant.id } });
    onAdded();
  };
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
        <Choices label="Stage" value={stage} onValue={(value) => setStage(value as Plant['stage'])} choices={Object.entries(STAGE_WORD).map(([value, word]) => ({ value, word }))} />
      </View>
      {ASKED.map((question) => (
        <Field
          key={question.field}
          label={question.label}
          unit={unitOf(question, units)}
          kind={question.kind === 'text' ? 'text' : 'number'}
          value={values[question.field] ?? ''}
          help={question.help}
          error={reading.errors[question.field]}
          onValue={(value) => useDrafts.getState().put(DRAFT, { ...draft, [question.field]: value })}
        />
      ))}
      {refusal ? <Body style={{ color: danger }}>✕ {refusal}</Body> : null}
      <Rule />
      <Heading>Where it would do best</Heading>
      {ranked ? <SpotChoices facts={facts} ranked={ranked} month={month} here={null} verb="Put it here" onChoose={(spotId) => void add(spotId)} /> : <Small>{plant ? 'Working …' : 'Mend what is marked above first.'}</Small>}
      <Button onPress={() => void add(null)} style={{ alignSelf: 'flex-start' }}>
        Add it without a spot
      </Button>
    </View>
  );
}
