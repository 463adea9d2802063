/** All plants: searched, filtered, the unhappiest first. */
import { FACTORS, type Factor, type Plant, type PlantAnswer } from '@dulvan/core';
import { useMemo, useState } from 'react';
import { FlatList, View } from 'react-native';
import { useVerdicts } from '../../state/verdicts';
import { useFacts } from '../../state/home';
import { Button, RowLink, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Field } from '../../ui/field';
import { FitMark } from '../../parts/fit-mark';
import { SPACE } from '../../ui/theme';
import { Body, Small, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { FACTOR_WORD, fitShare, latinName, plantName, spotPlace, troubleName } from '../../parts/words';
import { useMonth } from '../../parts/use-month';

type Sort = 'unhappy' | 'name' | 'place';
type Filter = 'all' | 'wrong' | Factor;

const folded = (text: string) => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

export function PlantsScreen({ chosenId }: { readonly chosenId?: string }) {
  const facts = useFacts();
  const wide = useIsWide();
  const [month] = useMonth();
  const { answers } = useVerdicts();
  const [text, setText] = useState('');
  const [sort, setSort] = useState<Sort>('unhappy');
  const [filter, setFilter] = useState<Filter>('all');
  const [filters, setFilters] = useState<'hidden' | 'shown'>('hidden');
  const rows = useMemo(() => {
    if (!facts) return [];
    const byId = new Map(answers?.plants.map((answer) => [answer.plantId, answer]));
    const wanted = folded(text.trim());
    return facts.plants
      .map((plant) => ({
        plant,
        name: plantName(facts, plant),
        latin: latinName(facts, plant),
        answer: byId.get(plant.id) ?? null,
        place: spotPlace(facts, plant.spotId),
      }))
      .filter(({ name, latin, place }) => folded(`${name} ${latin} ${place}`).includes(wanted))
      .filter(({ answer }) => passes(answer, filter))
      .sort((p, q) => compare(p, q, sort));
  }, [facts, answers, text, sort, filter]);
  if (!facts) return null;
  return (
    <FlatList
      data={rows}
      keyExtractor={({ plant }) => plant.id}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: wide ? SPACE.l : SPACE.m, paddingBottom: SPACE.xl * 2 }}
      ListHeaderComponent={
        <View style={{ gap: SPACE.s, paddingBottom: SPACE.s }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
            <Title>Plants</Title>
            <TextLink href="/plants/add">Add a plant</TextLink>
          </View>
          <Field label="Search" value={text} onValue={setText} />
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
            <Small testID="plant-count">{`${rows.length} of ${facts.plants.length}`}</Small>
            <Button onPress={() => setFilters(filters === 'shown' ? 'hidden' : 'shown')}>
              {filters === 'shown' ? 'Hide filters' : 'Filter and sort'}
            </Button>
          </View>
          {filters === 'shown' ? (
            <>
              <Choices
                label="Show"
                value={filter}
                onValue={(value) => setFilter(value as Filter)}
                choices={[
                  { value: 'all', word: 'All' },
                  { value: 'wrong', word: 'Something wrong' },
                  ...FACTORS.map((factor) => ({ value: factor, word: `${FACTOR_WORD[factor]} wrong` })),
                ]}
              />
              <Choices
                label="Sort"
                value={sort}
                onValue={(value) => setSort(value as Sort)}
                choices={[
                  { value: 'unhappy', word: 'Unhappiest first' },
                  { value: 'name', word: 'By name' },
                  { value: 'place', word: 'By place' },
                ]}
              />
            </>
          ) : null}
        </View>
      }
      ListEmptyComponent={
        <Body>
          {facts.plants.length === 0 ? 'No plant yet. Add the first one.' : 'No plant fits what you search for.'}
        </Body>
      }
      renderItem={({ item: { plant, name, answer, place } }) => (
        <RowLink
          href={{ pathname: '/plants/[plantId]', params: { plantId: plant.id } }}
          label={name}
          current={plant.id === chosenId}
        >
          <FitMark fit={answer?.fit?.months[month - 1] ?? null} size={28} />
          <View style={{ flex: 1 }}>
            <Body>{name}</Body>
            <Small>{place}</Small>
          </View>
          <View style={{ alignItems: 'flex-end' }}>
            <Body>{answer?.fit ? fitShare(answer.fit.whole) : '–'}</Body>
            <Small>
              {answer?.fit ? (answer.fit.troubles[0] ? troubleName(answer.fit.troubles[0].worst) : 'All right') : ''}
            </Small>
          </View>
        </RowLink>
      )}
    />
  );
}

interface RowData {
  readonly plant: Plant;
  readonly name: string;
  readonly answer: PlantAnswer | null;
  readonly place: string;
}

function passes(answer: PlantAnswer | null, filter: Filter): boolean {
  if (filter === 'all') return true;
  const troubles = answer?.fit?.troubles ?? [];
  return filter === 'wrong' ? troubles.length > 0 : troubles.some((trouble) => trouble.factor === filter);
}

function compare(p: RowData, q: RowData, sort: Sort): number {
  if (sort === 'place') return p.place.localeCompare(q.place);
  if (sort === 'unhappy') {
    const by = (p.answer?.fit?.whole ?? -1) - (q.answer?.fit?.whole ?? -1);
    if (by !== 0) return by;
  }
  return p.name.localeCompare(q.name);
}
