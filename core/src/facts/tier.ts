/** The levels of a stand. */

export type BoardKind = 'solid' | 'open';

/** One level of a stand. A solid board keeps light from what is below it; an open one (wire, rail) does not. */
export interface Tier {
  readonly id: string;
  readonly standId: string;
  readonly heightM: number;
  readonly board: BoardKind;
}
