/** Draws by a seed, and remembers of what kind the drawn things are. */
import { randomFrom } from './vectors';

export class Draw {
  private readonly random;
  readonly kinds = new Set<string>();

  constructor(readonly seed: number) {
    this.random = randomFrom(seed * 7919 + 17);
  }

  between(low: number, high: number): number {
    return Math.round((low + (high - low) * this.random()) * 1000) / 1000;
  }

  whole(low: number, high: number): number {
    return low + Math.floor(this.random() * (high - low + 1));
  }

  one<T>(list: readonly T[]): T {
    return list[this.whole(0, list.length - 1)]!;
  }

  chance(share: number): boolean {
    return this.random() < share;
  }

  /** True for some homes, which are then told by that kind. */
  has(kind: string, share: number): boolean {
    const is = this.chance(share);
    if (is) this.kinds.add(kind);
    return is;
  }
}
