/** All plants: searched, filtered, the unhappiest first. */
import {
  FACTORS,
  meetsGoal,
  troublesFor,
  type Factor,
  type HomeFacts,
  type Plant,
  type PlantAnswer,
} from '@dulvan/core';
import { useMemo, useState } from 'react';
import { FlatList, View } from 'react-native';
import { useVerdicts } from '../../state/verdicts';
import { useFacts } from '../../state/home';
import { Button, RowLink, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { FitMark } from '../../parts/fit-mark';
import { lifeWord } from '../../parts/verdict-words';
import { SPACE } from '../../ui/theme';
import { Body, Small, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { FACTOR_WORD, fitShare, latinName, plantName, spotPlace } from '../../parts/words';
import { useMonth } from '../../parts/use-month';

type Sort = 'unhappy' | 'name' | 'place';
type Filter = 'all' | 'wrong' | Factor;

const folded = (text: string) => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

interface RowData {
  readonly plant: Plant;
  readonly name: string;
  readonly latin: string;
  readonly answer: PlantAnswer | null;
  readonly place: string;
}

/** What is searched for, how it is filtered and sorted, and the plants that answer it. */
function useSearch(facts: HomeFacts | null) {
  const { answers } = useVerdicts();
  const [text, setText] = useState('');
  const [sort, setSort] = useState<Sort>('unhappy');
  const [filter, setFilter] = useState<Filter>('all');
  const rows = useMemo(() => {
    if (!facts) return [];
    const byId = new Map(answers?.plants.map((answer) => [answer.plantId, answer]));
    const wanted = folded(text.trim());
    return facts.plants
      .map((plant): RowData => ({
        plant,
        name: plantName(facts, plant),
        latin: latinName(facts, plant),
        answer: byId.get(plant.id) ?? null,
        place: spotPlace(facts, plant.spotId),
      }))
      .filter(({ name, latin, place }) => folded(`${name} ${latin} ${place}`).includes(wanted))
      .filter((row) => passes(row, filter))
      .sort((p, q) => compare(p, q, sort));
  }, [facts, answers, text, sort, filter]);
  return { rows, of: facts?.plants.length ?? 0, text, setText, sort, setSort, filter, setFilter };
}

type Search = ReturnType<typeof useSearch>;

export function PlantsScreen({ chosenId }: { readonly chosenId?: string }) {
  const facts = useFacts();
  const wide = useIsWide();
  const [month] = useMonth();
  const search = useSearch(facts);
  if (!facts) return null;
  return (
    <FlatList
      data={search.rows}
      keyExtractor={({ plant }) => plant.id}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: wide ? SPACE.l : SPACE.m, paddingBottom: SPACE.xl * 2 }}
      ListHeaderComponent={<Head search={search} />}
      ListEmptyComponent={
        <Body>{search.of === 0 ? 'No plant yet. Add the first one.' : 'No plant fits what you search for.'}</Body>
      }
      renderItem={({ item }) => <PlantRow row={item} month={month} current={item.plant.id === chosenId} />}
    />
  );
}

const BETWEEN = { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' } as const;

function Head({ search: { rows, of, text, setText, ...ways } }: { readonly search: Search }) {
  const [filters, setFilters] = useState<'hidden' | 'shown'>('hidden');
  return (
    <View style={{ gap: SPACE.s, paddingBottom: SPACE.s }}>
      <View style={BETWEEN}>
        <Title>Plants</Title>
        <TextLink href="/plants/add">Add a plant</TextLink>
      </View>
      <Field label="Search" value={text} onValue={setText} />
      <View style={BETWEEN}>
        <Small testID="plant-count">{`${rows.length} of ${of}`}</Small>
        <Button onPress={() => setFilters(filters === 'shown' ? 'hidden' : 'shown')}>
          {filters === 'shown' ? 'Hide filters' : 'Filter and sort'}
        </Button>
      </View>
      {filters === 'shown' ? <Filters {...ways} /> : null}
    </View>
  );
}

const FILTERS = [
  { value: 'all', word: 'All' },
  { value: 'wrong', word: 'Not as you want it' },
  ...FACTORS.map((factor) => ({ value: factor, word: `${FACTOR_WORD[factor]} wrong` })),
];
const SORTS = [
  { value: 'unhappy', word: 'Unhappiest first' },
  { value: 'name', word: 'By name' },
  { value: 'place', word: 'By place' },
];

function Filters({ filter, setFilter, sort, setSort }: Pick<Search, 'filter' | 'setFilter' | 'sort' | 'setSort'>) {
  return (
    <>
      <Choices label="Show" value={filter} onValue={(value) => setFilter(value as Filter)} choices={FILTERS} />
      <Choices label="Sort" value={sort} onValue={(value) => setSort(value as Sort)} choices={SORTS} />
    </>
  );
}

interface PlantRowGiven {
  readonly row: RowData;
  readonly month: number;
  readonly current: boolean;
}

function PlantRow({ row: { plant, name, answer, place }, month, current }: PlantRowGiven) {
  const fit = answer?.fit;
  return (
    <RowLink href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }} label={name} current={current}>
      <FitMark fit={fit?.months[month - 1] ?? null} size={28} />
      <View style={{ flex: 1 }}>
        <Body>{name}</Body>
        <Small>{place}</Small>
      </View>
      <View style={{ alignItems: 'flex-end' }}>
        <Body>{fit ? lifeWord(fit.verdict) : '–'}</Body>
        <Small>{fit ? fitShare(fit.verdict.score) : ''}</Small>
      </View>
    </RowLink>
  );
}

function passes({ plant, answer }: RowData, filter: Filter): boolean {
  if (filter === 'all') return true;
  if (!answer?.fit) return false;
  return filter === 'wrong'
    ? !meetsGoal(plant.goal, answer.fit)
    : troublesFor(plant.goal, answer.fit).some((trouble) => trouble.factor === filter);
}

function compare(p: RowData, q: RowData, sort: Sort): number {
  if (sort === 'place') return p.place.localeCompare(q.place);
  if (sort === 'unhappy') {
    const by = (p.answer?.fit?.verdict.score ?? -1) - (q.answer?.fit?.verdict.score ?? -1);
    if (by !== 0) return by;
  }
  return p.name.localeCompare(q.name);
}
