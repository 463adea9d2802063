/** Keeps what a question cost, by the facts it depends on; forgets what was not asked for longest. */
export class Memory<T> {
  private readonly kept = new Map<string, T>();
  constructor(private readonly size: number) {}

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

/** Short names for long keys, so that what is made of many of them stays short. */
export class Names {
  private readonly known = new Map<string, string>();

  of(key: string): string {
    let name = this.known.get(key);
    if (name === undefined) {
      if (this.known.size > 5000) this.known.clear();
      name = `${this.known.size}.${(this.made += 1)}`;
      this.known.set(key, name);
    }
    return name;
  }
  private made = 0;
}
