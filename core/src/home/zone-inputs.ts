/** What the zones of air of one month are made from. */
import type { Hourly } from '../air';
import type { AirThing, HomeFacts } from '../facts';
import type { Sources } from './knowledge';

/** What the zones of one month are made from. */
export interface ZoneInputs {
  readonly facts: HomeFacts;
  readonly sources: Sources;
  readonly pressurePa: number;
  /** 1..12. */
  readonly month: number;
  /** Heat of daylight by hour of the day, W; for a cabinet what falls into it. */
  readonly sunOf: (roomId: string) => Hourly;
  /** Dryness at which leaves breathe, kPa. */
  readonly vpdOf: (roomId: string) => number;
}

export const runsIn = ({ months }: Pick<AirThing, 'months'>, month: number) => months.includes(month);

export const thingsOf = ({ facts, month }: ZoneInputs, roomId: string, kind: AirThing['kind']) =>
  facts.airThings.filter((thing) => thing.roomId === roomId && thing.kind === kind && runsIn(thing, month));
