/** The grid: a row a plant, a column a spot, a verdict in each cell; a plant's ring is dragged along its row. */
import { placedSpots, type FoundPlan, type HomeFacts } from '@dulvan/core';
import { useMemo } from 'react';
import { View, type TextStyle } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Text } from 'react-native-paper';
import { plantName } from '../../parts/words';
import { FONT, SPACE } from '../../ui/theme';
import { useInk } from '../../ui/use-ink';
import { refusalAt, standing, verdictAt, type BoardCell, type TableKind } from './board';
import { refusalWords } from './drop-words';
import { BOARD as WORDS } from './plan-words';

/** A cell is as wide as the screen leaves it beside the names and the room, px. */
const WIDEST_CELL = 30;
const NARROWEST_CELL = 21;
const NAMES = 168;
const HEAD = 132;

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
  readonly kind: TableKind;
  readonly over: BoardCell | null;
  readonly onOver: (cell: BoardCell | null) => void;
  readonly onDrop: (cell: BoardCell) => void;
  /** Left of the width for the grid, px. */
  readonly width: number;
}

export function BoardGrid(given: Given) {
  const { facts, plan } = given;
  const { plantIds, spotIds } = plan.table;
  const places = useMemo(() => standing(facts, plan.table), [facts, plan.table]);
  const names = useMemo(() => spotNames(facts), [facts]);
  const cell = Math.max(NARROWEST_CELL, Math.min(WIDEST_CELL, Math.floor((given.width - NAMES) / spotIds.length)));
  return (
    <View role="table" aria-label={WORDS.grid}>
      <View role="row" style={{ flexDirection: 'row', height: HEAD, marginLeft: NAMES }}>
        {spotIds.map((id) => (
          <SpotHead key={id} name={names.get(id) ?? ''} cell={cell} />
        ))}
      </View>
      {plantIds.map((id, plant) => (
        <PlantRow key={id} {...given} plant={plant} at={places[plant]!} cell={cell} />
      ))}
    </View>
  );
}

/** A spot's name; its room's is told while something is held over it. */
const spotNames = (facts: HomeFacts): ReadonlyMap<string, string> =>
  new Map(placedSpots(facts).map(({ spot }) => [spot.id, spot.name]));

/** The web's property is none of React Native's. */
const ON_ONE_LINE = { whiteSpace: 'nowrap' } as TextStyle;

function SpotHead({ name, cell }: { readonly name: string; readonly cell: number }) {
  return (
    <View role="columnheader" aria-label={name} style={{ width: cell, height: HEAD }}>
      <Text
        style={{
          ...ON_ONE_LINE,
          position: 'absolute',
          bottom: cell / 2 - 6,
          left: cell / 2 - 4,
          width: HEAD,
          fontFamily: FONT.lettering,
          fontSize: 13,
          transform: [{ rotate: '-68deg' }],
          transformOrigin: 'left bottom',
        }}
      >
        {name}
      </Text>
    </View>
  );
}

interface RowGiven extends Given {
  readonly plant: number;
  /** The spot it stands on; -1 for nowhere. */
  readonly at: number;
  readonly cell: number;
}

interface Key {
  readonly key: string;
  preventDefault(): void;
}

function PlantRow({ facts, plan, kind, over, onOver, onDrop, plant, at, cell }: RowGiven) {
  const { plantIds, spotIds } = plan.table;
  const own = facts.plants.find(({ id }) => id === plantIds[plant]!)!;
  const name = plantName(facts, own);
  const held = over?.plant === plant ? over.spot : null;
  const planned = spotIds.indexOf(plan.plants.find(({ plantId }) => plantId === own.id)?.spotIds[0] ?? '');
  const within = (spot: number) => Math.max(0, Math.min(spotIds.length - 1, spot));
  const spotUnder = (x: number) => within(Math.floor((x - NAMES) / cell));
  const drag = Gesture.Pan()
    .runOnJS(true)
    .minDistance(4)
    .onUpdate(({ x }) => onOver({ plant, spot: spotUnder(x) }))
    .onEnd(({ x }) => onDrop({ plant, spot: spotUnder(x) }));
  const onKeyDown = (event: Key) => {
    const from = held ?? at;
    if (event.key === 'ArrowRight' || event.key === 'ArrowLeft')
      onOver({ plant, spot: within(from + (event.key === 'ArrowRight' ? 1 : -1)) });
    else if (event.key === 'Enter' && held !== null) onDrop({ plant, spot: held });
    else if (event.key === 'Escape') onOver(null);
    else return;
    event.preventDefault();
  };
  const keys = { tabIndex: 0 as const, onKeyDown, 'aria-label': WORDS.rowOf(name) };
  return (
    <GestureDetector gesture={drag}>
      <View role="row" {...keys} style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View role="rowheader" style={{ width: NAMES, paddingRight: SPACE.s }}>
          <Text numberOfLines={1} variant="bodySmall">
            {name}
          </Text>
        </View>
        {spotIds.map((id, spot) => (
          <Cell
            key={id}
            size={cell}
            verdict={verdictAt(plan.table, kind, { plant, spot })}
            refusal={refusalAt(plan.table, { plant, spot })}
            mark={spot === held ? 'held' : spot === at ? 'stands' : spot === planned ? 'planned' : 'none'}
          />
        ))}
      </View>
    </GestureDetector>
  );
}

interface CellGiven {
  readonly size: number;
  readonly verdict: number | null;
  readonly refusal: Parameters<typeof refusalWords>[0] | null;
  readonly mark: 'held' | 'stands' | 'planned' | 'none';
}

const MARK_WORD = { held: WORDS.held, stands: WORDS.stands, planned: WORDS.planned, none: '' } as const;

/** The better, the darker the ground; the figure says it as well, and how a place is used its outline. */
function Cell({ size, verdict, refusal, mark }: CellGiven) {
  const ink = useInk();
  const words = refusal ? refusalWords(refusal) : String(Math.round(100 * (verdict ?? 0)));
  const border = {
    held: { borderWidth: 3, borderColor: ink.accent },
    stands: { borderWidth: 2, borderColor: ink.ink },
    planned: { borderWidth: 2, borderColor: ink.accent, borderStyle: 'dashed' as const },
    none: { borderWidth: 1, borderColor: ink.line },
  }[mark];
  return (
    <View
      role="cell"
      aria-label={[words, MARK_WORD[mark]].filter(Boolean).join(', ')}
      style={{ width: size, height: WIDEST_CELL, alignItems: 'center', justifyContent: 'center', ...border }}
    >
      {verdict === null ? null : (
        <View
          style={{
            position: 'absolute',
            top: 0,
            bottom: 0,
            left: 0,
            right: 0,
            backgroundColor: ink.accent,
            opacity: GROUND * verdict ** 2,
          }}
        />
      )}
      <Text
        style={{
          fontSize: size < 26 ? 11 : 12,
          fontVariant: ['tabular-nums'],
          color: verdict === null ? ink.soft : ink.ink,
        }}
      >
        {verdict === null ? '×' : Math.round(100 * verdict)}
      </Text>
    </View>
  );
}

/** Opacity of the best ground: the figure on it stays readable. */
const GROUND = 0.4;
