/** A taxon of the grower's own: named here, based on the nearest taxon or group, taken out again. */
import { ownTaxonSchema } from '@dulvan/contract';
import { groups, knowledge } from '@dulvan/catalogue';
import { drop as dropFact, put as putFact, type HomeFacts, type OwnTaxon, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useFacts, useHome } from '../../state/home';
import { useTaxonFinder } from '../../state/taxa';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Page, Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { FormField } from '../../parts/form-field';
import { newId } from '../../parts/new-id';
import { NotHere } from '../../parts/not-here';
import { Refused } from '../../parts/refused';
import { TaxonPicker } from '../../parts/taxon-picker';
import { tellIssues, typedSchema } from '../../parts/typed-schema';
import { useDraftForm } from '../../parts/use-draft-form';
import { OWN_TAXON as WORDS } from './catalogue-words';

const listed = (text: string) =>
  text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);

export function OwnTaxonScreen({ taxonId }: { readonly taxonId: string | null }) {
  const facts = useFacts();
  const own = facts?.ownTaxa.find((candidate) => candidate.id === taxonId) ?? null;
  if (!facts || (taxonId !== null && !own)) return <NotHere what="taxon" back="/catalogue" />;
  return (
    <Page>
      <Title>{own ? own.name : WORDS.plantOfMyOwn}</Title>
      <Body>{WORDS.intro}</Body>
      <OwnTaxonForm key={taxonId} facts={facts} own={own} />
    </Page>
  );
}

interface OwnTaxonGiven {
  readonly facts: HomeFacts;
  /** Null for a new one. */
  readonly own: OwnTaxon | null;
}

/** What is typed of an own taxon, kept until it is saved; what is wrong stands beside its field. */
function useOwnTaxon({ facts, own }: OwnTaxonGiven) {
  const attempt = useHome((state) => state.attempt);
  const [id] = useState(() => own?.id ?? `own-${newId()}`);
  const stored = {
    name: own?.name ?? '',
    common: own?.common.join(', ') ?? '',
    synonyms: own?.synonyms.join(', ') ?? '',
    basedOn: own?.basedOn ?? '',
    key: own?.key ?? '',
  };
  const schema = typedSchema<OwnTaxon>((values, tell) => {
    const { name, common = '', synonyms = '', basedOn = '', key } = values;
    if (!knowledge.taxon(basedOn)) tell('basedOn', WORDS.chooseTaxonOrGroup);
    const names = { name, common: listed(common), synonyms: listed(synonyms) };
    const parsed = ownTaxonSchema.safeParse({ id, homeId: facts.home.id, ...names, basedOn, key });
    return parsed.success ? parsed.data : tellIssues(parsed.error.issues, tell);
  });
  const form = useDraftForm({ draftKey: `ownTaxa/${own?.id ?? 'new'}`, stored, schema });
  const save = () =>
    form.submit(async (taxon) => {
      const refused = await attempt(WORDS.savedInCatalogue(own ? WORDS.changed : WORDS.added, taxon.name), [
        putFact('ownTaxa', taxon),
      ]);
      if (!refused) router.replace({ pathname: '/catalogue/[taxonId]', params: { taxonId: id } });
      return refused;
    });
  const base = knowledge.taxon(form.values.basedOn ?? '');
  return { form, base, save };
}

function OwnTaxonForm({ facts, own }: OwnTaxonGiven) {
  const { danger } = useInk();
  const { form, base, save } = useOwnTaxon({ facts, own });
  const noBase = form.submitted ? form.errors.basedOn : undefined;
  return (
    <View style={{ gap: SPACE.m }}>
      <FormField form={form} name="name" label={WORDS.itsName} help={WORDS.nameHelp} />
      <View style={{ gap: SPACE.xs }}>
        <Strong>{WORDS.basedOn}</Strong>
        {base ? (
          <Row>
            <Body>{base.name}</Body>
            <Button onPress={() => form.setValue('basedOn', '')}>{WORDS.chooseAnother}</Button>
          </Row>
        ) : (
          <BaseChoice onChosen={(taxon) => form.setValue('basedOn', taxon.id)} />
        )}
        {noBase ? <Small style={{ color: danger }}>✕ {noBase}</Small> : null}
      </View>
      <FormField form={form} name="common" label={WORDS.commonNames} help={WORDS.withCommas} />
      <FormField form={form} name="synonyms" label={WORDS.otherNames} />
      <FormField form={form} name="key" label={WORDS.whatDecidesSuccess} kind="long" />
      <Small>{WORDS.harmNotKnown}</Small>
      <Refused form={form} />
      <Button kind="main" onPress={() => void save()} style={{ alignSelf: 'flex-start' }}>
        {own ? WORDS.save : WORDS.addItToCatalogue}
      </Button>
    </View>
  );
}

/** The nearest taxon by name, or a whole group. */
function BaseChoice({ onChosen }: { readonly onChosen: (taxon: Taxon) => void }) {
  const [by, setBy] = useState<'taxon' | 'group'>('taxon');
  const finder = useTaxonFinder();
  const catalogued = useMemo(
    () => ({
      find: (text: string) =>
        finder
          .find(text, 20)
          .filter((taxon) => !taxon.id.startsWith('own-'))
          .slice(0, 8),
    }),
    [finder],
  );
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label={WORDS.basedOn}
        value={by}
        onValue={(value) => setBy(value as 'taxon' | 'group')}
        choices={[
          { value: 'taxon', word: WORDS.taxonItIsLike },
          { value: 'group', word: WORDS.wholeGroup },
        ]}
      />
      {by === 'taxon' ? (
        <TaxonPicker label={WORDS.whichIsItLike} finder={catalogued} onTaxon={onChosen} />
      ) : (
        <Choices
          label={WORDS.whichGroup}
          value=""
          onValue={(value) => onChosen(knowledge.taxon(`group-${value}`)!)}
          choices={groups.map(({ id, name }) => ({ value: id, word: name }))}
        />
      )}
    </View>
  );
}

/** On an own taxon's sheet: change or take out. */
export function OwnTaxonCare({ facts, taxonId }: { readonly facts: HomeFacts; readonly taxonId: string }) {
  const change = useHome((state) => state.change);
  const own = facts.ownTaxa.find((candidate) => candidate.id === taxonId);
  if (!own) return null;
  const users = facts.plants.filter(
    (plant) => plant.taxonId === own.id || plant.parents.some((parent) => parent.taxonId === own.id),
  ).length;
  const corrections = facts.corrections.filter((correction) => correction.taxonId === own.id);
  const takeOut = async () => {
    const outcome = await change(WORDS.tookOutTaxon(own.name), [
      ...corrections.map(({ id }) => dropFact('corrections', id)),
      dropFact('ownTaxa', own.id),
    ]);
    if (outcome === 'stored') router.replace('/catalogue/knowledge');
  };
  return (
    <Row>
      <Button onPress={() => router.push({ pathname: '/catalogue/own', params: { taxonId: own.id } })}>
        {WORDS.changeItsNames}
      </Button>
      {users > 0 ? (
        <Small>{WORDS.inUse(users === 1 ? WORDS.onePlantIs : WORDS.plantsAre(users))}</Small>
      ) : (
        <Button kind="danger" onPress={() => void takeOut()}>
          {WORDS.takeOut}
        </Button>
      )}
    </Row>
  );
}
