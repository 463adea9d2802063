/** A form whose home is changed elsewhere while it is typed into. */
import { act, renderHook } from '@testing-library/react-native';
import type { Change, Plant } from '@dulvan/core';
import { useDrafts } from '../state/drafts';
import { useHome } from '../state/home';
import { shadePlant, showHome, shownHome } from '../testing/shown-home';
import { useFactForm } from './use-fact-form';

interface Attempt {
  readonly changes: readonly Change[];
  readonly base: number | undefined;
}
let attempts: Attempt[];

beforeEach(() => {
  useDrafts.setState({ drafts: {} });
  attempts = [];
  showHome();
});

const plantNow = (): Plant => useHome.getState().facts!.plants.find(({ id }) => id === shadePlant.id)!;
const opened = () =>
  renderHook(() => useFactForm({ list: 'plants', initial: useHome((state) => plantIn(state.facts)), isNew: false }));
const plantIn = (facts: typeof shownHome | null) => facts!.plants.find(({ id }) => id === shadePlant.id)!;

/** Another device changes the plant. */
const elsewhere = (fields: Partial<Plant>) =>
  act(() => {
    const { facts, revision } = useHome.getState();
    const plants = facts!.plants.map((plant) => (plant.id === shadePlant.id ? { ...plant, ...fields } : plant));
    useHome.setState({ facts: { ...facts!, plants }, revision: revision + 1 });
  });

/** The server takes every change that is made on its own revision of the field, and refuses others. */
const serveWith = (refusal: 'none' | 'conflict') => act(() => serving(refusal));

const serving = (refusal: 'none' | 'conflict') =>
  useHome.setState({
    attempt: (_summary, changes, options) => {
      attempts.push({ changes, base: options?.base });
      if (refusal === 'none') return Promise.resolve(null);
      const conflict = { list: 'plants', id: shadePlant.id, field: 'name', theirs: 'Theirs', mine: 'Mine' } as const;
      const message = 'It was changed elsewhere meanwhile.';
      return Promise.resolve({ message, problems: [], conflicts: [{ ...conflict, message }] });
    },
  });

it('saves only the fields that were typed, on the revision they were typed on', async () => {
  serveWith('none');
  const { result } = opened();
  act(() => result.current.setValue('name', 'Mine'));
  elsewhere({ note: 'Theirs' });
  expect(result.current.values).toMatchObject({ name: 'Mine', note: 'Theirs' });
  expect(result.current.elsewhere).toEqual({});
  await act(() => result.current.save());
  expect(attempts).toEqual([
    { base: 1, changes: [{ op: 'patch', list: 'plants', id: shadePlant.id, fields: { name: 'Mine' } }] },
  ]);
  expect(result.current.changed).toBe(false);
});

it('says beside the field what stands there now, and loses no word of either', () => {
  const { result } = opened();
  act(() => result.current.setValue('name', 'Mine'));
  elsewhere({ name: 'Theirs' });
  expect(result.current.values.name).toBe('Mine');
  expect(result.current.elsewhere).toEqual({ name: 'Theirs' });
  expect(plantNow().name).toBe('Theirs');
});

it('takes theirs when asked, and keeps what else was typed', () => {
  const { result } = opened();
  act(() => result.current.setValue('name', 'Mine'));
  act(() => result.current.setValue('note', 'My note'));
  elsewhere({ name: 'Theirs' });
  act(() => result.current.takeTheirs('name'));
  expect(result.current.values).toMatchObject({ name: 'Theirs', note: 'My note' });
  expect(result.current.elsewhere).toEqual({});
});

it('saves again over a conflict that was shown, on the revision in which it was shown', async () => {
  const { result } = opened();
  act(() => result.current.setValue('name', 'Mine'));
  elsewhere({ name: 'Theirs' });
  serveWith('conflict');
  await act(() => result.current.save());
  expect(result.current.refusal).toContain('save again to put yours in their place');
  expect(result.current.values.name).toBe('Mine');
  serveWith('none');
  await act(() => result.current.save());
  expect(attempts.map(({ base }) => base)).toEqual([1, 2]);
});

it('keeps a draft over a reload with what was seen when it was begun', () => {
  const { result, unmount } = opened();
  act(() => result.current.setValue('name', 'Mine'));
  unmount();
  elsewhere({ name: 'Theirs' });
  const again = opened();
  expect(again.result.current.values.name).toBe('Mine');
  expect(again.result.current.elsewhere).toEqual({ name: 'Theirs' });
});
