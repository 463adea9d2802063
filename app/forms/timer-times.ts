/** When a timer burns, as a form asks for it: at one time all year, or by the programme it has. */

type Fields = Readonly<Record<string, unknown>>;

/** What rules a timer that has a programme. */
export const FOLLOWS = { programme: 'Its programme, month by month', 'one-time': 'One time, set here' } as const;

/** A timer with the question which of the two rules; it is asked only of one that has a programme. */
export function asked(circuit: Fields): Fields {
  const { programme } = circuit;
  return { ...circuit, follows: Array.isArray(programme) && programme.length > 0 ? 'programme' : '' };
}

/** The timer as it is kept: one that follows one time has no programme any more. */
export function kept({ follows, ...circuit }: Fields): Fields {
  return follows === 'one-time' ? { ...circuit, programme: [] } : circuit;
}

/** Whether its own time is asked for. */
export const asksItsTime = ({ follows }: Readonly<Record<string, string>>): boolean => follows !== 'programme';
