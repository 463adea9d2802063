/** A file chosen, looked at and taken in; what each of its columns is taken for can be changed before. */
import { fireEvent, screen } from '@testing-library/react-native';
import { open, settled, showHome, withRole, wordsIn } from '../../testing/shown-home';
import { ImportScreen } from './import-screen';

const HEAD = 'When,Room °C,Moist %,Battery';
const LINES = ['2026-01-05 10:00,20.5,45,3.0', '2026-01-05 10:10,20.6,46,3.0', '2026-01-05 10:10,20.7,46,3.0'];

interface Sent {
  readonly address: string;
  readonly body: { readonly quantity?: string; readonly values?: readonly number[] };
}

let sent: Sent[] = [];

beforeEach(() => {
  showHome();
  sent = [];
  globalThis.fetch = jest.fn((address: string, { method = 'GET', body }: RequestInit = {}) => {
    const read = (body === undefined ? {} : JSON.parse(String(body))) as Sent['body'] & object;
    if (method === 'POST') sent.push({ address, body: read });
    const made = { id: `new-${read.quantity}`, name: 'x', quantity: read.quantity ?? 'temperature', roomId: 'r' };
    const kept = { ...made, spotId: null, plantId: null, samples: 0, firstAt: null, lastAt: null };
    const value = method === 'GET' ? [] : kept;
    return Promise.resolve({ ok: true, status: 200, headers: new Headers(), json: () => Promise.resolve(value) });
  }) as unknown as typeof fetch;
});

/** Gives a file to the chooser, as the browser would. */
async function choose(lines: readonly string[], name = 'shelf.csv'): Promise<void> {
  await open(<ImportScreen />);
  const input = screen.root.findAll((part) => String(part.type) === 'input')[0]!;
  const file = Object.assign(new Blob([`${lines.join('\n')}\n`]), { name });
  fireEvent(input, 'change', { target: { files: [file], value: name } });
  await settled();
}

async function importIt(): Promise<void> {
  fireEvent.press(screen.getByText('Import it'));
  for (let round = 0; round < 6; round++) await settled();
}

it('shows how a file will be read, names it after itself, and tells what came of it', async () => {
  await choose([HEAD, ...LINES]);
  const cells = withRole('table').map(wordsIn).join();
  for (const words of ['Date and time', 'Warmth', 'Humidity', '20.5', '46']) expect(cells).toContain(words);
  expect(cells).not.toContain('3.0');
  expect(screen.getByLabelText('Name of the logger').props.value).toBe('shelf');
  await importIt();
  expect(screen.getByText(/^3 lines imported, from 5 Jan 2026, 10:00 to 5 Jan 2026, 10:10\.$/)).toBeTruthy();
  expect(screen.getByText(/^! Warmth: 1 moment told twice/)).toBeTruthy();
  const values = sent.filter(({ address }) => address.endsWith('/samples')).map(({ body }) => body.values);
  expect(values).toEqual([
    [20.5, 20.6, 20.7],
    [45, 46, 46],
  ]);
});

it('takes a column for what the grower says it is, and degrees Fahrenheit for what they are', async () => {
  await choose([HEAD, ...LINES]);
  fireEvent.press(screen.getByLabelText('Column: Moist %: Humidity'));
  await settled();
  fireEvent.press(screen.getByLabelText('Leave out'));
  await settled();
  fireEvent.press(screen.getByText('°F'));
  await importIt();
  const batches = sent.filter(({ address }) => address.endsWith('/samples'));
  expect(batches).toHaveLength(1);
  expect(batches[0]!.body.values![0]).toBeCloseTo(-6.39, 2);
});

it('asks for what is missing before it sends anything', async () => {
  await choose([HEAD, ...LINES]);
  for (const column of ['Column: Moist %: Humidity', 'Column: Room °C: Warmth']) {
    fireEvent.press(screen.getByLabelText(column));
    await settled();
    fireEvent.press(screen.getByLabelText('Leave out'));
    await settled();
  }
  expect(screen.getByText(/Say which column holds warmth, humidity or light\./)).toBeTruthy();
  fireEvent.press(screen.getByText('Import it'));
  await settled();
  expect(sent).toEqual([]);
});

it('refuses a file with the line and the reason, and one that is no table', async () => {
  await choose([HEAD, ...LINES, '2026-01-05 10:20,lukewarm,46,3.0']);
  await importIt();
  expect(screen.getByText('✕ Line 5: “lukewarm” is no number. Nothing was imported.')).toBeTruthy();
  expect(sent).toEqual([]);
  await choose(['a letter to a friend']);
  expect(screen.getByText(/No line with a date and a number was found/)).toBeTruthy();
});
