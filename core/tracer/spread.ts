/** How far the engine is off the tracer, spot by spot and on the whole. */
import type { Compared } from './compare';

/** Less than this is told by the difference alone, W m-2 or umol m-2 s-1. */
export const FAINT = 0.3;

/** By how much the engine is off, as a share of what is traced. */
export const offBy = ({ engine, traced }: Compared): number =>
  traced.total === 0 ? (engine.total > FAINT ? 1 : 0) : Math.abs(engine.total / traced.total - 1);

/** The same; what lies within `FAINT` counts as right. */
export const offBeyondFaint = (row: Compared): number =>
  Math.abs(row.engine.total - row.traced.total) <= FAINT ? 0 : offBy(row);

export interface Spread {
  readonly count: number;
  readonly median: number;
  /** 95 of a hundred are within this, or within `FAINT`. */
  readonly within95: number;
  readonly most: number;
}

export function spreadOf(rows: readonly Compared[]): Spread {
  const sorted = (of: (row: Compared) => number) => rows.map(of).sort((p, q) => p - q);
  const at = (list: readonly number[], share: number) =>
    list[Math.min(list.length - 1, Math.floor(share * list.length))] ?? 0;
  const beyond = sorted(offBeyondFaint);
  return { count: rows.length, median: at(sorted(offBy), 0.5), within95: at(beyond, 0.95), most: at(beyond, 1) };
}

/** A curtain spreads the sun over its whole window: lit or not cannot be told there. */
const SPREADS_SUN = ['curtain', 'frosted'];

/** Spots where the engine has the sun and the tracer not, or the other way round, farther than 5 cm from its edge. */
export function sunWrong(rows: readonly Compared[]): { readonly asked: number; readonly wrong: readonly Compared[] } {
  const asked = rows.filter(
    ({ engine, traced, kinds }) =>
      engine.what === 'daylight' && !traced.atEdge && !kinds.some((kind) => SPREADS_SUN.includes(kind)),
  );
  return {
    asked: asked.length,
    wrong: asked.filter(({ engine, traced }) => engine.sun > FAINT / 30 !== traced.sun > FAINT / 30),
  };
}
