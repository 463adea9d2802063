/** The air outdoors from measured hours. */
import { measuredDay, relativeHumidity, type AirHour } from './index';

const PRESSURE = 101_325;
/** Thirty days, each a degree warmer than the one before, every third one damp. */
const month: AirHour[] = Array.from({ length: 30 * 24 }, (_, i) => {
  const [day, hour] = [Math.floor(i / 24), i % 24];
  return { celsius: day + 3 * Math.sin(((hour - 9) / 12) * Math.PI), rh: day % 3 === 0 ? 90 : 60 };
});
const mean = (list: readonly number[]) => list.reduce((sum, value) => sum + value, 0) / list.length;

it('is on a typical day, hour by hour, the mean of the month', () => {
  const { celsius, ratio } = measuredDay(month, 'typical', PRESSURE);
  expect(celsius).toHaveLength(24);
  expect(mean(celsius)).toBeCloseTo(14.5, 9);
  expect(celsius[15]! - celsius[3]!).toBeCloseTo(6, 9);
  expect(mean(ratio)).toBeGreaterThan(0);
});

it('is in a spell a day that was, unusual but not the record', () => {
  const cold = measuredDay(month, 'cold', PRESSURE);
  const hot = measuredDay(month, 'hot', PRESSURE);
  expect(mean(cold.celsius)).toBeCloseTo(1, 9);
  expect(mean(hot.celsius)).toBeCloseTo(28, 9);
  const moisture = ({ celsius, ratio }: typeof cold) =>
    mean(celsius.map((one, hour) => relativeHumidity(one, ratio[hour]!, PRESSURE)));
  expect(moisture(measuredDay(month, 'damp', PRESSURE))).toBeCloseTo(90, 6);
  expect(moisture(measuredDay(month, 'dry', PRESSURE))).toBeCloseTo(60, 6);
});

it('leaves out the hours of a day that is not whole', () => {
  expect(measuredDay([...month, { celsius: 99, rh: 10 }], 'hot', PRESSURE)).toEqual(
    measuredDay(month, 'hot', PRESSURE),
  );
});
