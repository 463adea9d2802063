/** The board of plants against spots: what stands where, and what a plant dropped on a spot would do. */
import { carried, type Change, type FitTable, type HomeFacts, type SpotRefusal } from '@dulvan/core';

/** A place on the board. */
export interface BoardCell {
  readonly plant: number;
  readonly spot: number;
}

/** What it would come to if a plant stood on a spot: itself, and who stands there now and would take its place. */
export interface DropEffect {
  readonly plantId: string;
  readonly spotId: string;
  readonly refusal: SpotRefusal | null;
  /** Verdicts, 0..1; null where it stands nowhere or cannot. */
  readonly before: number | null;
  readonly after: number | null;
  readonly other: {
    readonly plantId: string;
    readonly before: number | null;
    readonly after: number | null;
    readonly refusal: SpotRefusal | null;
  } | null;
}

/** Which of the table's verdicts are shown: with timers as they are, or as the plan has them. */
export type TableKind = 'now' | 'planned';

const at = ({ spotIds }: FitTable, { plant, spot }: BoardCell) => plant * spotIds.length + spot;

const known = (value: number): number | null => (value < 0 ? null : value);

export const verdictAt = (table: FitTable, kind: TableKind, cell: BoardCell): number | null =>
  known(table[kind][at(table, cell)]!);

export const refusalAt = (table: FitTable, cell: BoardCell): SpotRefusal | null => table.refusals[at(table, cell)]!;

/** Where each plant of the board stands; -1 for nowhere. */
export function standing(facts: HomeFacts, { plantIds, spotIds }: FitTable): number[] {
  const spotOf = new Map(facts.plants.map(({ id, spotId }) => [id, spotId]));
  return plantIds.map((id) => spotIds.indexOf(spotOf.get(id) ?? ''));
}

/** What dropping a plant on a spot would do: the first that stands there changes places with it. */
export function dropEffect(facts: HomeFacts, table: FitTable, kind: TableKind, cell: BoardCell): DropEffect {
  const places = standing(facts, table);
  const from = places[cell.plant]!;
  const other = places.findIndex((spot, plant) => spot === cell.spot && plant !== cell.plant);
  const here = (plant: number, spot: number) => (spot < 0 ? null : verdictAt(table, kind, { plant, spot }));
  return {
    plantId: table.plantIds[cell.plant]!,
    spotId: table.spotIds[cell.spot]!,
    refusal: refusalAt(table, cell),
    before: here(cell.plant, from),
    after: here(cell.plant, cell.spot),
    other:
      other < 0
        ? null
        : {
            plantId: table.plantIds[other]!,
            before: here(other, cell.spot),
            after: here(other, from),
            refusal: from < 0 ? null : refusalAt(table, { plant: other, spot: from }),
          },
  };
}

/** The changes that a drop tries out. @param on YYYY-MM-DD */
export function dropChanges(facts: HomeFacts, { plantId, spotId, other }: DropEffect, on: string): Change[] {
  const plant = facts.plants.find(({ id }) => id === plantId)!;
  const second = other && facts.plants.find(({ id }) => id === other.plantId);
  return [carried(plant, spotId, on), ...(second ? [carried(second, plant.spotId, on)] : [])];
}
