/** Where a plug may be reached: in the grower's own network, and nowhere else. */
import { newPlugSchema } from './index';

const read = (address: string) => newPlugSchema.safeParse({ name: 'Rack', circuitId: 'c', address });

it.each([
  ['http://192.168.1.20', 'http://192.168.1.20'],
  ['HTTP://10.0.0.7:8080/', 'http://10.0.0.7:8080'],
  [' http://172.16.4.1 ', 'http://172.16.4.1'],
  ['http://localhost:4791', 'http://localhost:4791'],
  ['http://127.0.0.1:4791', 'http://127.0.0.1:4791'],
])('takes %s', (given, kept) => {
  expect(read(given).data?.address).toBe(kept);
});

it.each([
  'https://192.168.1.20',
  'http://example.com',
  'http://8.8.8.8',
  'http://172.32.0.1',
  'http://169.254.169.254',
  'http://192.168.1.20/timer',
  'http://192.168.1.20:99999',
  'http://192.168.1.20@8.8.8.8',
  'http://192.168.1.256',
  'file:///etc/hosts',
  '192.168.1.20',
  '',
])('refuses %s', (given) => {
  expect(read(given).error?.issues[0]?.message).toContain('An address in your own network');
});
