/**
 * `npm run trace [homes] [first seed] [most paths]`: draws homes at random and holds the engine against the tracer at each of
 * their spots; prints the spread, whole and by kind of thing present, and the worst. With `KEEP=file` what was traced is kept
 * there and read again the next time, so that the engine alone is asked anew.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { byTracer, compared, type Compared, type TracedLight } from '../core/tracer/compare';
import { drawnHome } from '../core/tracer/random-homes';
import { offBeyondFaint, spreadOf, sunWrong } from '../core/tracer/spread';

const [homes = '100', first = '1', most = '25000'] = process.argv.slice(2);
const PATIENCE = { share: 0.007, most: Number(most) };
const keep = process.env.KEEP;
const kept: Record<string, TracedLight[]> =
  keep && existsSync(keep) ? (JSON.parse(readFileSync(keep, 'utf8')) as Record<string, TracedLight[]>) : {};

const percent = (share: number) => `${(100 * share).toFixed(1)} %`.padStart(9);
function tell(name: string, rows: readonly Compared[]): void {
  if (rows.length === 0) return;
  const { count, median, within95, most: worst } = spreadOf(rows);
  console.log(`${name.padEnd(30)}${String(count).padStart(5)}${percent(median)}${percent(within95)}${percent(worst)}`);
}

function tellRow({ seed, kinds, engine, traced }: Compared): void {
  const total = `engine ${engine.total.toFixed(2)} traced ${traced.total.toFixed(2)} ± ${traced.error.toFixed(2)}`;
  const back = `reflected ${engine.reflected.toFixed(2)} / ${traced.reflected.toFixed(2)}`;
  const sun = `sun ${engine.sun.toFixed(1)} / ${traced.sun.toFixed(1)}`;
  console.log(`    home ${seed} ${engine.spotId}: ${total}; ${back}; ${sun}; ${kinds.join(', ')}`);
}

const rows: Compared[] = [];
for (let seed = Number(first); seed < Number(first) + Number(homes); seed++) {
  const drawn = drawnHome(seed);
  const traced = (kept[seed] ??= byTracer(drawn, PATIENCE));
  if (keep) writeFileSync(keep, JSON.stringify(kept));
  rows.push(...compared(drawn, traced));
}
for (const what of ['daylight', 'lamps'] as const) {
  const some = rows.filter(({ engine }) => engine.what === what);
  console.log(`\n${`${what}, spots`.padEnd(35)}   median   95 in 100     most (beyond 0.3)`);
  tell('all', some);
  for (const kind of [...new Set(some.flatMap(({ kinds }) => kinds))].sort())
    tell(
      `  with ${kind}`,
      some.filter(({ kinds }) => kinds.includes(kind)),
    );
  [...some]
    .sort((p, q) => offBeyondFaint(q) - offBeyondFaint(p))
    .slice(0, 14)
    .forEach(tellRow);
}
const { asked, wrong } = sunWrong(rows);
console.log(`\nsun lit or not: wrong at ${wrong.length} of ${asked} spots beyond 5 cm of an edge`);
wrong.slice(0, 6).forEach(tellRow);
