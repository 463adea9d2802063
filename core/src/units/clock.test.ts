import { clockOf } from './clock';

it('writes times of the day as a clock shows them, midnight at the end of the day as 24:00', () => {
  expect([0, 425, 719.6, 1440].map(clockOf)).toEqual(['0:00', '7:05', '12:00', '24:00']);
});
