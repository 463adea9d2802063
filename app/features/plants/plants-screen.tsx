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
import { SetForAll } from '../../forms/set-for-all';
import { Button, RowLink, TextLink } from '../../ui/button';
import { ChosenLine, turned, type Chosen } from '../../ui/chosen';
import { OptionRow } from '../../ui/option-row';
import { folded } from '../../ui/folded';
import { Labelled } from '../../ui/labelled';
import { Row } from '../../ui/page';
import { Choices } from '../../ui/choices';
import { Search } from '../../ui/search';
import { FitMark } from '../../parts/fit-mark';
import { lifeWord } from '../../parts/verdict-words';
import { SPACE } from '../../ui/theme';
import { Body, Small, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { FACTOR_WORD, fitShare, latinName, plantName, spotPlace } from '../../parts/words';
import { useMonth } from '../../parts/use-month';
import { PlantYear, YearsHead } from './plant-year';
import { PLANTS_SCREEN as WORDS } from './plants-words';

type Sort = 'unhappy' | 'name' | 'place';
type Filter = 'all' | 'wrong' | Factor;

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

type Searching = ReturnType<typeof useSearch>;

interface ScreenGiven {
  readonly chosenId?: string;
  /** Beside each plant its year, where there is room for it. */
  readonly years?: 'shown' | 'hidden';
}

export function PlantsScreen({ chosenId, years = 'hidden' }: ScreenGiven) {
  const facts = useFacts();
  const wide = useIsWide();
  const [month] = useMonth();
  const search = useSearch(facts);
  const [picked, setPicked] = useState<Chosen | null>(null);
  if (!facts) return null;
  const turn = (id: string) => setPicked((before) => turned(before ?? new Set(), id));
  return (
    <FlatList
      data={search.rows}
      keyExtractor={({ plant }) => plant.id}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: wide ? SPACE.l : SPACE.m, paddingBottom: SPACE.xl * 2 }}
      initialNumToRender={20}
      extraData={picked}
      ListHeaderComponent={
        <Head facts={facts} search={search} picked={picked} onPicked={setPicked} years={years} month={month} />
      }
      ListEmptyComponent={<Body>{search.of === 0 ? WORDS.noPlantYet : WORDS.noneFits}</Body>}
      renderItem={({ item }) =>
        picked ? (
          <OptionRow
            role="checkbox"
            title={`${item.name} · ${item.place}`}
            chosen={picked.has(item.plant.id)}
            onPress={() => turn(item.plant.id)}
          />
        ) : (
          <PlantRow row={item} month={month} current={item.plant.id === chosenId} years={years} />
        )
      }
    />
  );
}

const BETWEEN = {
  flexDirection: 'row',
  justifyContent: 'space-between',
  alignItems: 'center',
  flexWrap: 'wrap',
  gap: SPACE.xs,
} as const;

interface HeadGiven {
  readonly facts: HomeFacts;
  readonly search: Searching;
  readonly picked: Chosen | null;
  readonly onPicked: (picked: Chosen | null) => void;
  readonly years: 'shown' | 'hidden';
  readonly month: number;
}

function Head({ facts, search, picked, onPicked, years, month }: HeadGiven) {
  const { rows, of, text, setText, ...ways } = search;
  const [filters, setFilters] = useState<'hidden' | 'shown'>('hidden');
  return (
    <View style={{ gap: SPACE.s, paddingBottom: SPACE.s }}>
      <View style={BETWEEN}>
        <Title>{WORDS.plants}</Title>
        <TextLink href="/plants/add">{WORDS.addPlant}</TextLink>
      </View>
      <Search label={WORDS.search} value={text} onValue={setText} />
      <View style={BETWEEN}>
        <Small testID="plant-count">{WORDS.shownOf(rows.length, of)}</Small>
        <Row>
          <Button kind="quiet" onPress={() => setFilters(filters === 'shown' ? 'hidden' : 'shown')}>
            {filters === 'shown' ? WORDS.hideFilters : WORDS.filterAndSort}
          </Button>
          {of > 1 ? (
            <Button kind="quiet" onPress={() => onPicked(picked ? null : new Set())}>
              {picked ? WORDS.stopChoosing : WORDS.chooseSeveral}
            </Button>
          ) : null}
        </Row>
      </View>
      {filters === 'shown' ? <Filters {...ways} /> : null}
      {picked ? <ForPicked facts={facts} rows={rows} picked={picked} onPicked={onPicked} /> : null}
      {years === 'shown' && !picked ? <YearsHead month={month} /> : null}
    </View>
  );
}

interface PickedGiven {
  readonly facts: HomeFacts;
  readonly rows: readonly RowData[];
  readonly picked: Chosen;
  readonly onPicked: (picked: Chosen | null) => void;
}

/** What can be done with the plants that are ticked. */
function ForPicked({ facts, rows, picked, onPicked }: PickedGiven) {
  return (
    <View style={{ gap: SPACE.s }}>
      <ChosenLine label={WORDS.chosenOf} ids={rows.map(({ plant }) => plant.id)} chosen={picked} onChosen={onPicked} />
      {picked.size > 0 ? (
        <SetForAll facts={facts} list="plants" ids={[...picked]} onDone={() => onPicked(null)} />
      ) : (
        <Small>{WORDS.tickThem}</Small>
      )}
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

function Filters({ filter, setFilter, sort, setSort }: Pick<Searching, 'filter' | 'setFilter' | 'sort' | 'setSort'>) {
  return (
    <>
      <Labelled label={WORDS.show}>
        <Choices label={WORDS.show} value={filter} onValue={(value) => setFilter(value as Filter)} choices={FILTERS} />
      </Labelled>
      <Labelled label={WORDS.sort}>
        <Choices label={WORDS.sort} value={sort} onValue={(value) => setSort(value as Sort)} choices={SORTS} />
      </Labelled>
    </>
  );
}

interface PlantRowGiven {
  readonly row: RowData;
  readonly month: number;
  readonly current: boolean;
  readonly years: 'shown' | 'hidden';
}

function PlantRow({ row: { plant, name, answer, place }, month, current, years }: PlantRowGiven) {
  const fit = answer?.fit;
  const row = (
    <RowLink
      href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}
      current={current}
      mark={<FitMark fit={fit?.months[month - 1] ?? null} size={28} />}
      title={name}
      note={place}
      value={fit ? lifeWord(fit.verdict) : '–'}
      valueNote={fit ? fitShare(fit.verdict.score) : undefined}
    />
  );
  if (years === 'hidden') return row;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'stretch' }}>
      <View style={{ flex: 1 }}>{row}</View>
      <PlantYear plantId={plant.id} name={name} months={fit?.months ?? null} />
    </View>
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
