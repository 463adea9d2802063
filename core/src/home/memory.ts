/** Keeps what a question cost, by the facts it depends on; forgets what was not asked for longest. */
export class Memory<T> {
  private readonly kept = new Map<string, T>();
  constructor(private size: number) {}

  /** From now on holds so many at least. */
  holdAtLeast(size: number): void {
    this.size = Math.max(this.size, size);
  }

  recall(key: string, make: () => T): T {
    const known = this.kept.get(key);
    if (known !== undefined) {
      this.kept.delete(key);
      this.kept.set(key, known);
      return known;
    }
    const value = make();
    this.kept.set(key, value);
    if (this.kept.size > this.size) this.kept.delete(this.kept.keys().next().value!);
    return value;
  }
}

const NAMES_KEPT = 20_000;

/** Short names for long keys, so that what is made of many of them stays short. */
export class Names {
  private readonly known = new Map<string, string>();

  of(key: string): string {
    let name = this.known.get(key);
    if (name === undefined) {
      if (this.known.size > NAMES_KEPT) this.known.clear();
      name = `${this.known.size}.${(this.made += 1)}`;
      this.known.set(key, name);
    }
    return name;
  }

  /** The name of lists and objects that never change in place: the same ones have the same name. */
  ofParts(...parts: readonly object[]): string {
    return parts.map((part) => this.ofPart(part)).join();
  }

  private ofPart(part: object): string {
    let name = this.parts.get(part);
    if (name === undefined) this.parts.set(part, (name = `p${(this.made += 1)}`));
    return name;
  }

  private readonly parts = new WeakMap<object, string>();
  private made = 0;
}
