/** A few linear equations. */
import fc from 'fast-check';
import { factored, solved } from './linear';

it('are solved, whatever the order of their rows', () => {
  const number = fc.double({ min: -5, max: 5, noNaN: true });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 6 }).chain((n) =>
        fc.record({
          n: fc.constant(n),
          entries: fc.array(number, { minLength: n * n, maxLength: n * n }),
          wanted: fc.array(number, { minLength: n, maxLength: n }),
          turned: fc.shuffledSubarray(
            Array.from({ length: n }, (_, i) => i),
            { minLength: n },
          ),
        }),
      ),
      ({ n, entries, wanted, turned }) => {
        // A heavy diagonal keeps the matrix far from singular; its rows are shuffled.
        const entry = (row: number, column: number) => entries[row * n + column]! + (row === column ? 40 : 0);
        const matrix = Float64Array.from({ length: n * n }, (_, i) => entry(turned[Math.floor(i / n)]!, i % n));
        const values = Float64Array.from({ length: n }, (_, row) =>
          wanted.reduce((sum, value, column) => sum + matrix[row * n + column]! * value, 0),
        );
        const factors = { matrix, order: new Int32Array(n) };
        factored(factors);
        solved(factors, values);
        wanted.forEach((value, i) => expect(values[i]).toBeCloseTo(value, 8));
      },
    ),
  );
});
