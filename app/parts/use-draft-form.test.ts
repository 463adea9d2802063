/** A form that outlives its screen. */
import { act, renderHook } from '@testing-library/react-native';
import { z } from 'zod';
import { useDrafts } from '../state/drafts';
import { typedIn, useDraftForm } from './use-draft-form';

const KEY = 'pot/1';
const schema = z.object({
  name: z.string().min(1, 'Give it a name.'),
  width: z.coerce.number<string>().min(1, 'From 1 to 100 cm.').max(100, 'From 1 to 100 cm.'),
});
const STORED = { name: 'Pot', width: '12' };
const opened = (stored: typeof STORED = STORED) =>
  renderHook((given: typeof STORED) => useDraftForm({ draftKey: KEY, stored: given, schema }), {
    initialProps: stored,
  });
const draft = () => useDrafts.getState().drafts[KEY];

beforeEach(() => useDrafts.setState({ drafts: {} }));

it('begins with what is stored, and is not changed by that', () => {
  const { result } = opened();
  expect(result.current).toMatchObject({
    values: STORED,
    entry: { name: 'Pot', width: 12 },
    errors: {},
    changed: false,
  });
});

it('keeps what is typed as a draft, and puts it back when it is opened again', () => {
  const first = opened();
  act(() => first.result.current.setValue('width', '17'));
  expect(draft()).toEqual({ width: '17' });
  first.unmount();
  const again = opened();
  expect(again.result.current).toMatchObject({ values: { name: 'Pot', width: '17' }, changed: true });
  expect(again.result.current.isTouched('width')).toBe(true);
  expect(again.result.current.isTouched('name')).toBe(false);
});

it('takes out of a draft only what it asks for, and nothing that a form remembers beside it', () => {
  useDrafts.setState({ drafts: { [KEY]: { width: '20', depth: '9', '@seen width': '12' } } });
  expect(opened().result.current.values).toEqual({ name: 'Pot', width: '20' });
  expect(typedIn(draft())).toEqual({ width: '20', depth: '9' });
});

it('follows what is stored where nothing was typed, and keeps what was', () => {
  const { result, rerender } = opened();
  act(() => result.current.setValue('name', 'Mine'));
  rerender({ name: 'Theirs', width: '30' });
  expect(result.current.values).toEqual({ name: 'Mine', width: '30' });
});

it('says beside each field what is wrong with it, and hands over nothing meanwhile', async () => {
  const { result } = opened();
  act(() => result.current.setValue('width', '400'));
  act(() => result.current.setValue('name', ''));
  expect(result.current.entry).toBeNull();
  expect(result.current.errors).toEqual({ name: 'Give it a name.', width: 'From 1 to 100 cm.' });
  const keep = jest.fn(() => Promise.resolve(null));
  await act(async () => expect(await result.current.submit(keep)).toBe(false));
  expect(keep).not.toHaveBeenCalled();
  expect(result.current.submitted).toBe(true);
  expect(draft()).toEqual({ width: '400', name: '' });
});

it('keeps what was typed when it is refused, says why until something is typed', async () => {
  const { result } = opened();
  act(() => result.current.setValue('width', '17'));
  const refuse = () => Promise.resolve({ message: 'The server cannot be reached.' });
  await act(async () => expect(await result.current.submit(refuse)).toBe(false));
  expect(result.current.refusal).toBe('The server cannot be reached.');
  expect(draft()).toEqual({ width: '17' });
  act(() => result.current.setValue('width', '18'));
  expect(result.current.refusal).toBeNull();
});

it('hands over the entry as it was read, and has no draft any more', async () => {
  const { result } = opened();
  act(() => result.current.setValue('width', '17'));
  const keep = jest.fn(() => Promise.resolve(null));
  await act(async () => expect(await result.current.submit(keep)).toBe(true));
  expect(keep).toHaveBeenCalledWith({ name: 'Pot', width: 17 });
  expect(draft()).toBeUndefined();
  expect(result.current.changed).toBe(false);
});

it('counts what it fills in for the grower as typed, but not as touched', () => {
  const { result } = opened();
  act(() => result.current.suggest('name', 'Sill pot'));
  expect(result.current.values.name).toBe('Sill pot');
  expect(result.current.isTouched('name')).toBe(false);
  expect(draft()).toEqual({ name: 'Sill pot' });
});

it('takes what is stored for one field, and with the last one its draft', () => {
  const { result } = opened();
  act(() => result.current.setValue('width', '17'));
  act(() => result.current.setValue('name', 'Mine'));
  act(() => result.current.takeStored('width'));
  expect(result.current.values).toEqual({ name: 'Mine', width: '12' });
  expect(draft()).toEqual({ name: 'Mine' });
  act(() => result.current.takeStored('name'));
  expect(draft()).toBeUndefined();
});

it('starts over from what is stored', () => {
  const { result } = opened();
  act(() => result.current.setValue('width', '17'));
  act(() => result.current.startOver());
  expect(result.current).toMatchObject({ values: STORED, changed: false, refusal: null });
  expect(draft()).toBeUndefined();
});
