/** Stand-in loggers: an honest one tells the truth, the others fail as real ones do, and nothing is lost. */
import type { PostedSamples } from '@dulvan/contract';
import { LoggerSimulator, isReachable, toldBy, truthAt, type Manner } from './loggers';

const START = Date.UTC(2026, 10, 1);
const MINUTE = 60_000;
const DAY = 86_400_000;

async function day(manner: Manner, reaches: (at: number) => boolean = () => true) {
  const posts: PostedSamples[] = [];
  let now = START;
  const logger = new LoggerSimulator({ name: 'x', manner, roomId: 'r' }, START, (posted) => {
    if (!reaches(now)) return Promise.resolve(false);
    posts.push(posted);
    return Promise.resolve(true);
  });
  for (; now < START + DAY; now += 10 * MINUTE) await logger.measure(now);
  return { posts, samples: posts.flatMap(({ samples }) => samples), logger };
}

it('tells the truth where it is honest, and drifts, or lies, where it is not', () => {
  const at = START + 30 * DAY;
  expect(Math.abs(toldBy('honest', at, START).rh - truthAt(at).rh)).toBeLessThanOrEqual(0.5);
  expect(toldBy('drifting', at, START).rh - truthAt(at).rh).toBeGreaterThan(6);
  expect(toldBy('lying', at, START)).toEqual(toldBy('lying', at + DAY / 3, START));
});

it('sends each sample once, in order, after it dropped out too', async () => {
  for (const manner of ['honest', 'dropping-out'] as const) {
    const { samples, posts } = await day(manner);
    const times = samples.map(({ at }) => at);
    expect(times).toEqual(Array.from({ length: 144 }, (_, i) => START + i * 10 * MINUTE));
    expect(posts.length < 144).toBe(manner === 'dropping-out');
  }
  expect(isReachable('dropping-out', START)).toBe(false);
});

it('keeps what the server did not take, and sends it when it is back', async () => {
  const { samples, logger } = await day('honest', (at) => at >= START + DAY / 2);
  expect(samples).toHaveLength(144);
  expect(logger.waiting).toBe(0);
});
