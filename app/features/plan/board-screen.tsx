/** Plants against spots with their verdicts: a plant dragged along its row shows at once what it would do there. */
import type { FoundPlan, HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { ScrollView, View, useWindowDimensions } from 'react-native';
import { GestureHandlerRootView } from 'react-native-gesture-handler';
import { plantName } from '../../parts/words';
import { useFacts, useHome } from '../../state/home';
import { usePlan } from '../../state/plan';
import { useNow } from '../../state/use-now';
import { dateAt } from '../../state/year';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Page } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Small, Title } from '../../ui/type';
import { dropChanges, dropEffect, type BoardCell, type TableKind } from './board';
import { BoardGrid } from './board-grid';
import { BoardSide } from './board-side';
import { dropWords } from './drop-words';
import { BOARD as WORDS } from './plan-words';
import { choicesOf } from './setting';

export function BoardScreen() {
  const facts = useFacts();
  const { plan } = usePlan();
  if (!facts) return null;
  if (plan?.state !== 'found')
    return (
      <Page>
        <Title>{WORDS.title}</Title>
        <Body>{WORDS.makeFirst}</Body>
        <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => router.push('/plan')}>
          {WORDS.toPlan}
        </Button>
      </Page>
    );
  return <Board facts={facts} plan={plan} />;
}

/** Places of a wide screen, and the pane beside the grid, px. */
const RAIL = 112;
const SIDE = 300;

function Board({ facts, plan }: { readonly facts: HomeFacts; readonly plan: FoundPlan }) {
  const tryOut = useHome((state) => state.tryOut);
  const today = dateAt(facts, useNow());
  const { width } = useWindowDimensions();
  const [kind, setKind] = useState<TableKind>('now');
  const [over, setOver] = useState<BoardCell | null>(null);
  const { table } = plan;
  const effect = over && dropEffect(facts, table, kind, over);
  const drop = (cell: BoardCell) => {
    const dropped = dropEffect(facts, table, kind, cell);
    const stands = facts.plants.find(({ id }) => id === dropped.plantId)!;
    if (dropped.refusal || dropped.other?.refusal || stands.spotId === dropped.spotId) return;
    tryOut(WORDS.tried(plantName(facts, stands)), dropChanges(facts, dropped, today));
  };
  return (
    <GestureHandlerRootView style={{ flex: 1 }}>
      <ScrollView contentContainerStyle={{ padding: SPACE.l, gap: SPACE.m }}>
        <Title>{WORDS.title}</Title>
        <Small>{WORDS.how}</Small>
        <Choices
          label={WORDS.whichTimers}
          choices={choicesOf(WORDS.kinds)}
          value={kind}
          onValue={(value) => setKind(value as TableKind)}
        />
        <View aria-live="polite" style={{ minHeight: 44 }}>
          <Body testID="drop-effect">{effect ? dropWords(facts, effect) : WORDS.choose}</Body>
        </View>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l }}>
          <BoardGrid
            {...{ facts, plan, kind, over }}
            onOver={setOver}
            onDrop={drop}
            width={width - RAIL - SIDE - 3 * SPACE.l}
          />
          <BoardSide facts={facts} effect={effect} />
        </View>
      </ScrollView>
    </GestureHandlerRootView>
  );
}
