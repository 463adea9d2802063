/** A room's plan washed by where it is coldest, driest or stillest. */
import { AIR_MOVEMENTS, type AirMap, type HomeFacts, type Room } from '@dulvan/core';
import { useState } from 'react';
import { Pending } from '../../parts/pending';
import { RoomPlan } from '../../parts/room-plan';
import { degrees } from '../../parts/words';
import { shownValue, useAirMap } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { Choices } from '../../ui/choices';
import { Drawing } from '../../ui/drawing';
import { monthName } from '../../ui/months';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { AIR_PLAN as WORDS } from './air-words';

const WASHES = ['cold', 'dry', 'still'] as const;
type Wash = (typeof WASHES)[number];

/** Steps of shade between the mildest and the worst place. */
const SHADES = 5;
const DARKEST = 0.75;
const STRONGEST = AIR_MOVEMENTS.length - 1;
/** Less than this between the places of a room is the same all over: K, points. */
const EVEN = { cold: 0.4, dry: 1, still: 0 } as const;

interface Given {
  readonly facts: HomeFacts;
  readonly room: Room;
  readonly month: number;
}

/** A month's cells: the worse, the higher. */
function cellsOf(map: AirMap, wash: Wash, month: number): number[] {
  const cells = map.columns * map.rows;
  const field = { cold: map.nightC, dry: map.dayRh, still: map.movement }[wash];
  return Array.from(field.subarray((month - 1) * cells, month * cells), (value) => -value);
}

function shadesOf(values: readonly number[], wash: Wash): number[] {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  // Movement has its own steps, whatever the room has of them.
  if (wash === 'still') return values.map((value) => ((STRONGEST + value) / STRONGEST) * DARKEST);
  if (most - least < EVEN[wash]) return values.map(() => 0);
  return values.map((value) => (Math.round(((value - least) / (most - least)) * SHADES) / SHADES) * DARKEST);
}

export function AirPlan({ facts, room, month }: Given) {
  const [wash, setWash] = useState<Wash>('cold');
  const ink = useInk();
  const asked = useAirMap(facts, room.id);
  const map = shownValue(asked);
  const fill = { cold: ink.accent, dry: ink.factor.moisture, still: ink.factor.air }[wash];
  const values = map ? cellsOf(map, wash, month) : [];
  const instant = map
    ? { instant: { columns: map.columns, rows: map.rows, opacity: shadesOf(values, wash), fill } }
    : {};
  return (
    <>
      <Choices
        label={WORDS.what}
        choices={WASHES.map((value) => ({ value, word: WORDS[value] }))}
        value={wash}
        onValue={(value) => setWash(value as Wash)}
      />
      <Drawing
        name={WORDS.pictureOf(facts.home.name, room.name, WORDS[wash].toLowerCase(), monthName(month))}
        minHeight={220}
        legend={map ? <PlanLegend values={values} wash={wash} /> : <Pending asked={asked} />}
      >
        {(width) => <RoomPlan facts={facts} room={room} month={month} wash={null} width={width} {...instant} />}
      </Drawing>
    </>
  );
}

function PlanLegend({ values, wash }: { readonly values: readonly number[]; readonly wash: Wash }) {
  const units = useUnits();
  const [mild, worst] = [-Math.min(...values), -Math.max(...values)];
  if (wash === 'still') return <Small>{WORDS.stillSteps}</Small>;
  if (Math.abs(mild - worst) < EVEN[wash]) return <Small>{WORDS.evenly}</Small>;
  return (
    <Small>
      {wash === 'cold'
        ? WORDS.coldFromTo(degrees(worst, units), degrees(mild, units))
        : WORDS.dryFromTo(`${Math.round(worst)}`, `${Math.round(mild)}`)}
    </Small>
  );
}
