/** A linear programme with whole-numbered columns while it is put together: columns, and rows of a sparse matrix. */

export interface Programme {
  /** What a unit of each column brings; the sum is made greatest. */
  readonly gains: readonly number[];
  /** Columns lie between 0 and 1; those marked take whole numbers alone. */
  readonly isWhole: readonly boolean[];
  /** What is gained whatever is chosen. */
  readonly offset: number;
  readonly lower: readonly number[];
  readonly upper: readonly number[];
  /** Rows after one another: where each begins, its columns, their factors. */
  readonly starts: readonly number[];
  readonly columns: readonly number[];
  readonly factors: readonly number[];
}

export type Term = readonly [column: number, factor: number];

/** Takes columns and rows one after another. */
export class ProgrammeBuilder {
  private readonly gains: number[] = [];
  private readonly isWhole: boolean[] = [];
  private readonly lower: number[] = [];
  private readonly upper: number[] = [];
  private readonly starts: number[] = [0];
  private readonly columns: number[] = [];
  private readonly factors: number[] = [];
  private offset = 0;

  /** A new column, by its number. */
  column(gain: number, kind: 'whole' | 'any'): number {
    this.isWhole.push(kind === 'whole');
    return this.gains.push(gain) - 1;
  }

  gainMore(column: number, gain: number): void {
    this.gains[column]! += gain;
  }

  constant(gain: number): void {
    this.offset += gain;
  }

  /** The sum of the terms lies between two numbers. */
  row(lower: number, terms: readonly Term[], upper: number): void {
    this.lower.push(lower);
    this.upper.push(upper);
    for (const [column, factor] of terms) {
      this.columns.push(column);
      this.factors.push(factor);
    }
    this.starts.push(this.columns.length);
  }

  done(): Programme {
    const { gains, isWhole, offset, lower, upper, starts, columns, factors } = this;
    return { gains, isWhole, offset, lower, upper, starts, columns, factors };
  }
}
