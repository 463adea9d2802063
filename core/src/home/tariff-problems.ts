/** A tariff that says nothing of some hours, or two things of them. */
import type { FactKey, HomeFacts, Problem } from '../facts';
import { tariffFlaws } from '../lamp';
import { clockOf } from '../units';

const WEEKDAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

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
      const when = `${WEEKDAY_NAMES[weekday - 1]!} from ${clockOf(fromMinute)} to ${clockOf(toMinute)}`;
      const message = kind === 'gap' ? `No price is said for ${when}.` : `Two prices are said for ${when}.`;
      const thatDay = tariffs.filter(({ weekdays }) => weekdays.includes(weekday));
      const before = thatDay.find((band) => band.toMinute === fromMinute);
      if (kind === 'gap' && before) return { list: 'tariffs', id: before.id, field: 'toMinute', message };
      const begins = thatDay.find((band) => band.fromMinute === (kind === 'gap' ? toMinute : fromMinute));
      return { list: 'tariffs', id: (begins ?? tariffs[0]!).id, field: 'fromMinute', message };
    });
}
