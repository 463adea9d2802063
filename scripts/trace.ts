/**
 * `npm run trace [homes] [first seed]`: draws homes at random and holds the engine against the tracer at each of their
 * spots; prints the spread, whole and by kind of thing present, and the worst.
 */
import { compared, type Compared } from '../core/tracer/compare';
import { drawnHome } from '../core/tracer/random-homes';

const [homes = '140', first = '1', most = '40000'] = process.argv.slice(2);
const PATIENCE = { share: 0.006, most: Number(most) };

/** Less than this is told by the difference alone, W m-2 or umol m-2 s-1. */
const FAINT = 0.3;

interface Spread {
  readonly count: number;
  readonly median: number;
  readonly p95: number;
  readonly most: number;
}

/** By how much the engine is off, in shares; what lies within 0.3 W m-2 counts as right. */
const offBy = ({ engine, traced }: Compared) =>
  traced === 0 ? (engine > FAINT ? 1 : 0) : Math.abs(engine / traced - 1);
const beyondFaint = (row: Compared) => (Math.abs(row.engine - row.traced) <= FAINT ? 0 : offBy(row));

function spreadOf(rows: readonly Compared[]): Spread {
  const sorted = (of: (row: Compared) => number) => rows.map(of).sort((p, q) => p - q);
  const at = (list: readonly number[], share: number) =>
    list[Math.min(list.length - 1, Math.floor(share * list.length))]!;
  const off = sorted(offBy);
  const beyond = sorted(beyondFaint);
  return { count: rows.length, median: at(off, 0.5), p95: at(beyond, 0.95), most: beyond[beyond.length - 1]! };
}

const percent = (share: number) => `${(100 * share).toFixed(1)} %`.padStart(8);
const line = (name: string, rows: readonly Compared[]) => {
  if (rows.length === 0) return;
  const { count, median, p95, most } = spreadOf(rows);
  console.log(`${name.padEnd(28)}${String(count).padStart(5)}${percent(median)}${percent(p95)}${percent(most)}`);
};

const rows: Compared[] = [];
for (let i = 0; i < Number(homes); i++) rows.push(...compared(drawnHome(Number(first) + i), PATIENCE));

for (const what of ['daylight', 'lamps'] as const) {
  const some = rows.filter((row) => row.what === what);
  console.log(`\n${what}, ${some.length} spots`.padEnd(34) + 'median   95 %     most (beyond 0.3)');
  line('all', some);
  const kinds = [...new Set(some.flatMap((row) => row.kinds))].sort();
  for (const kind of kinds) {
    line(
      `  with ${kind}`,
      some.filter((row) => row.kinds.includes(kind)),
    );
  }
  line(
    '  with none of these',
    some.filter((row) => row.kinds.length === 0),
  );
  const worst = [...some].sort((p, q) => beyondFaint(q) - beyondFaint(p)).slice(0, 12);
  for (const row of worst) {
    const parts = `engine ${row.engine.toFixed(2)} traced ${row.traced.toFixed(2)} ± ${row.error.toFixed(2)}`;
    const back = `reflected ${row.engineReflected.toFixed(2)} / ${row.tracedReflected.toFixed(2)}`;
    const sun = `sun ${row.engineSun.toFixed(1)} / ${row.tracedSun.toFixed(1)}`;
    console.log(`    home ${row.seed} ${row.spotId}: ${parts}; ${back}; ${sun}; ${row.kinds.join(', ')}`);
  }
}
const sun = rows.filter(
  (row) => row.what === 'daylight' && !row.atEdge && !row.kinds.includes('curtain') && !row.kinds.includes('frosted'),
);
const wrong = sun.filter(({ engineSun, tracedSun }) => engineSun > 0.01 !== tracedSun > 0.01);
console.log(`\nsun lit or not: wrong at ${wrong.length} of ${sun.length} spots beyond 5 cm of an edge`);
for (const { seed, spotId } of wrong.slice(0, 6)) console.log(`    home ${seed} ${spotId}`);
