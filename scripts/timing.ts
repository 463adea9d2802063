/** How long a piece of work takes, for the benchmarks. */

/** Milliseconds that work takes. */
export function timed(work: () => unknown): number {
  const startedMs = performance.now();
  work();
  return performance.now() - startedMs;
}

/** A fixed piece of arithmetic, ms: tells how fast the machine is at the moment, so that figures of different hours can be compared. */
export function pace(): number {
  return median(
    Array.from({ length: 5 }, () =>
      timed(() => {
        let x = 0.5;
        for (let i = 0; i < 20_000_000; i++) x = 3.7 * x * (1 - x);
        return x;
      }),
    ),
  );
}

/** The middle one of several values. */
export const median = (values: readonly number[]): number => [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)]!;
