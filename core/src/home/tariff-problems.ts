/** A tariff that says nothing of some hours, or two things of them. */
import type { FactKey, HomeFacts, Problem } from '../facts';
import { tariffFlaws } from '../lamp';

const WEEKDAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

const clock = (minute: number) => `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;

/** @param changed looks at it only when prices are among these facts */
export function tariffProblems({ tariffs }: Pick<HomeFacts, 'tariffs'>, changed?: readonly FactKey[]): Problem[] {
  if (changed && !changed.some(({ list }) => list === 'tariffs')) return [];
  const ofBands = tariffs.flatMap(({ id, fromMinute, toMinute }): Problem[] =>
    toMinute <= fromMinute
      ? [
          {
            list: 'tariffs',
            id,
            field: 'toMinute',
            message: 'It must end after it begins, the same day (24:00 at the latest).',
          },
        ]
      : [],
  );
  if (ofBands.length > 0) return ofBands;
  return tariffFlaws(tariffs)
    .slice(0, 1)
    .map(({ kind, weekday, fromMinute, toMinute }): Problem => {
      const when = `${WEEKDAY_NAMES[weekday - 1]!} from ${clock(fromMinute)} to ${clock(toMinute)}`;
      const message = kind === 'gap' ? `No price is said for ${when}.` : `Two prices are said for ${when}.`;
      const band = tariffs.find(
        (one) => one.weekdays.includes(weekday) && one.fromMinute <= fromMinute && one.toMinute >= toMinute,
      );
      return { list: 'tariffs', id: (band ?? tariffs[0]!).id, field: 'fromMinute', message };
    });
}
