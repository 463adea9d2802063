/** One thing that cannot be true of a home, with the field to mend. */
import type { FactList } from './home-facts';

export interface Problem {
  readonly list: FactList | 'home';
  readonly id: string;
  readonly field: string;
  readonly message: string;
}
