/** Hours shifted to where electricity is cheapest, as many as before, while people are up. */
import type { TariffBand, TimerSpan } from '../facts';
import { priceOver } from '../lamp';
import { isTimer, type Menu } from './menu';
import { EARLIEST_MINUTE, LATEST_MINUTE } from './timer-menu';

const STEP_MINUTES = 15;
/** Prices that differ by less are one price. */
const SAME_PRICE = 1e-9;

/** The cheapest stretch of the same length; of several the one nearest to where it is. */
function cheapest(span: TimerSpan, tariff: readonly TariffBand[]): TimerSpan {
  const minutes = span.offMinute - span.onMinute;
  let best = { span, price: priceOver(tariff, [span])!, away: 0 };
  for (let onMinute = EARLIEST_MINUTE; onMinute + minutes <= LATEST_MINUTE; onMinute += STEP_MINUTES) {
    const shifted = { onMinute, offMinute: onMinute + minutes };
    const price = priceOver(tariff, [shifted])!;
    const away = Math.abs(onMinute - span.onMinute);
    const isCheaper = price < best.price - SAME_PRICE;
    if (isCheaper || (price < best.price + SAME_PRICE && away < best.away)) best = { span: shifted, price, away };
  }
  return best.span;
}

/**
 * The same menus with every way at its cheapest hours; null where hours do not matter to what it costs. Ways of several
 * stretches a day stay as they are, and so does a timer that must not be touched.
 */
export function atCheapHours(menus: readonly Menu[], tariff: readonly TariffBand[]): Menu[] | null {
  if (new Set(tariff.map(({ pricePerKwh }) => pricePerKwh)).size < 2) return null;
  return menus.map((menu) =>
    !isTimer(menu) || menu.circuit.freedom === 'nothing'
      ? menu
      : {
          ...menu,
          ways: menu.ways.map((way) =>
            way.spans.length === 1 ? { ...way, spans: [cheapest(way.spans[0]!, tariff)] } : way,
          ),
        },
  );
}
