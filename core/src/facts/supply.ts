/** An electrical circuit of the house: what one breaker feeds. */
export interface Supply {
  readonly id: string;
  readonly homeId: string;
  readonly name: string;
  /** What its breaker allows, W. */
  readonly limitW: number;
  /** What else hangs on it at the same time, W. */
  readonly alsoW: number;
}
