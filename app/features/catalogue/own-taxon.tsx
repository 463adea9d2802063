/** A taxon of the grower's own: named here, begun from the nearest taxon or group, taken out again. */
import { ownTaxonSchema, type Refusal } from '@dulvan/contract';
import { groups, knowledge } from '@dulvan/catalogue';
import { drop as dropFact, put as putFact, type HomeFacts, type OwnTaxon, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { useFacts, useHome } from '../../state/home';
import { useTaxonFinder } from '../../state/taxa';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { Page, Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { newId } from '../../parts/new-id';
import { NotHere } from '../../parts/not-here';
import { TaxonPicker } from '../../parts/taxon-picker';

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
      <Title>{own ? own.name : 'A taxon of my own'}</Title>
      <Body>
        It begins with the figures of what it is nearest to. Correct them one by one as you learn; each correction keeps
        its reason.
      </Body>
      <OwnTaxonForm key={taxonId} facts={facts} own={own} />
    </Page>
  );
}

interface OwnTaxonGiven {
  readonly facts: HomeFacts;
  /** Null for a new one. */
  readonly own: OwnTaxon | null;
}

/** What is typed of an own taxon, kept until it is saved; what is wrong stands beside its field, the rest under ''. */
function useOwnTaxon({ facts, own }: OwnTaxonGiven) {
  const attempt = useHome((state) => state.attempt);
  const draftKey = `ownTaxa/${own?.id ?? 'new'}`;
  const draft = useDrafts((state) => state.drafts[draftKey]);
  const { put, drop } = useDrafts.getState();
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [id] = useState(() => own?.id ?? `own-${newId()}`);
  const values = {
    name: own?.name ?? '',
    common: own?.common.join(', ') ?? '',
    synonyms: own?.synonyms.join(', ') ?? '',
    basedOn: own?.basedOn ?? '',
    key: own?.key ?? '',
    ...draft,
  };
  const base = knowledge.taxon(values.basedOn);
  const save = async () => {
    const { common, synonyms, name, basedOn, key } = values;
    const names = { name, common: listed(common), synonyms: listed(synonyms) };
    const parsed = ownTaxonSchema.safeParse({ id, homeId: facts.home.id, ...names, basedOn, key });
    if (!parsed.success || !base) {
      const issues = parsed.error?.issues.map((issue) => [String(issue.path[0]), issue.message] as const) ?? [];
      const noBase = base ? {} : { basedOn: 'Choose the taxon or group it is nearest to.' };
      return setErrors({ ...Object.fromEntries(issues), ...noBase });
    }
    const summary = `${own ? 'Changed' : 'Added'} the taxon ${parsed.data.name}`;
    const refusal = await attempt(summary, [putFact('ownTaxa', parsed.data)]);
    if (refusal) return setErrors(errorsOf(refusal));
    drop(draftKey);
    router.replace({ pathname: '/catalogue/[taxonId]', params: { taxonId: id } });
  };
  const set = (field: keyof typeof values) => (value: string) => put(draftKey, { ...values, [field]: value });
  return { values, set, errors, base, save };
}

const errorsOf = ({ problems, message }: Refusal): Record<string, string> =>
  problems.length > 0
    ? Object.fromEntries(problems.map((problem) => [problem.field, problem.message]))
    : { '': message };

function OwnTaxonForm({ facts, own }: OwnTaxonGiven) {
  const { danger } = useInk();
  const { values, set, errors, base, save } = useOwnTaxon({ facts, own });
  const field = (name: 'name' | 'common' | 'synonyms' | 'key') => ({
    value: values[name],
    onValue: set(name),
    error: errors[name],
  });
  return (
    <View style={{ gap: SPACE.m }}>
      <Field label="Its name" {...field('name')} help="Latin, cultivar, grex or your own number." />
      <Field label="Common names" {...field('common')} help="With commas between; may stay empty." />
      <Field label="Other names" {...field('synonyms')} />
      <View style={{ gap: SPACE.xs }}>
        <Strong>Begins from</Strong>
        {base ? (
          <Row>
            <Body>{base.name}</Body>
            <Button onPress={() => set('basedOn')('')}>Choose another</Button>
          </Row>
        ) : (
          <BaseChoice onChosen={(taxon) => set('basedOn')(taxon.id)} />
        )}
        {errors.basedOn ? <Small style={{ color: danger }}>✕ {errors.basedOn}</Small> : null}
      </View>
      <Field label="What decides success with it" {...field('key')} kind="long" />
      <Small>What harm it can do is taken as not known, and so as harm.</Small>
      {errors[''] ? <Body style={{ color: danger }}>✕ {errors['']}</Body> : null}
      <Button kind="main" onPress={() => void save()} style={{ alignSelf: 'flex-start' }}>
        {own ? 'Save' : 'Add this taxon'}
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
        label="Begins from"
        value={by}
        onValue={(value) => setBy(value as 'taxon' | 'group')}
        choices={[
          { value: 'taxon', word: 'A taxon it is like' },
          { value: 'group', word: 'A whole group' },
        ]}
      />
      {by === 'taxon' ? (
        <TaxonPicker label="Which is it like?" finder={catalogued} onTaxon={onChosen} />
      ) : (
        <Choices
          label="Which group?"
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
    const outcome = await change(`Took out the taxon ${own.name}`, [
      ...corrections.map(({ id }) => dropFact('corrections', id)),
      dropFact('ownTaxa', own.id),
    ]);
    if (outcome === 'stored') router.replace('/catalogue/knowledge');
  };
  return (
    <Row>
      <Button onPress={() => router.push({ pathname: '/catalogue/own', params: { taxonId: own.id } })}>
        Change its names
      </Button>
      {users > 0 ? (
        <Small>{`It cannot be taken out while ${users === 1 ? 'a plant is' : `${users} plants are`} named by it.`}</Small>
      ) : (
        <Button kind="danger" onPress={() => void takeOut()}>
          Take out
        </Button>
      )}
    </Row>
  );
}
