/** Keys for the wide screen, and the list of them. They rest while something is being typed. */
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { Platform, View } from 'react-native';
import { useHome } from '../../state/home';
import { Sheet } from '../../ui/sheet';
import { SPACE } from '../../ui/theme';
import { Body, Strong } from '../../ui/type';
import { SHORTCUTS as WORDS } from './shell-words';

const PLACES = { t: '/', r: '/rooms', p: '/plants', c: '/catalogue', l: '/place', s: '/settings' } as const;

const LIST: readonly (readonly [keys: string, does: string])[] = [
  ['T', 'Today'],
  ['R', 'Rooms'],
  ['P', 'Plants'],
  ['C', 'Catalogue'],
  ['L', 'Place'],
  ['S', 'Settings'],
  ['N', 'Add a plant'],
  ['F', 'To the search of this screen'],
  ['Ctrl Z', 'Undo the last change'],
  ['K', 'Keep what is tried'],
  ['Esc', 'Put back what is tried, or close this list'],
  ['?', 'This list'],
];

interface KeyPress {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
  readonly target: EventTarget | null;
  preventDefault(): void;
}

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** The field that searches this screen, or its first field. */
function focusSearch(): void {
  const inMain = (selector: string) => document.querySelector<HTMLElement>(`[role="main"] ${selector}`);
  (inMain('[role="searchbox"]') ?? inMain('input[type="text"]') ?? inMain('input:not([type])'))?.focus();
}

/** While a sheet is open, keys are for it. */
const sheetIsOpen = () => document.querySelector('[aria-modal="true"]') !== null;

/** Does what a key stands for, but for the list of keys itself. */
function act(event: KeyPress): void {
  if (sheetIsOpen()) return;
  const { undoable, undo, trial, keep, putBack } = useHome.getState();
  const key = event.key.toLowerCase();
  if (event.key === 'Escape') {
    if (trial && !typing(event.target)) putBack();
    return;
  }
  if (typing(event.target) || event.altKey) return;
  if (event.ctrlKey || event.metaKey) {
    if (key !== 'z' || undoable.length === 0) return;
    event.preventDefault();
    void undo(undoable);
  } else if (key === 'k' && trial) void keep();
  else if (key === 'n') router.push('/plants/add');
  else if (key === 'f') {
    event.preventDefault();
    focusSearch();
  } else if (key in PLACES) router.navigate(PLACES[key as keyof typeof PLACES]);
}

export function Shortcuts() {
  const [list, setList] = useState<'hidden' | 'shown'>('hidden');
  useEffect(() => {
    if (Platform.OS !== 'web') return undefined;
    const pressed = (event: KeyPress) => {
      if (event.key === '?' && !typing(event.target)) setList((shown) => (shown === 'shown' ? 'hidden' : 'shown'));
      act(event);
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
  return list === 'hidden' ? null : <KeyList onClose={() => setList('hidden')} />;
}

function KeyList({ onClose }: { readonly onClose: () => void }) {
  return (
    <Sheet title={WORDS.keys} onClose={onClose}>
      {LIST.map(([keys, does]) => (
        <View key={keys} style={{ flexDirection: 'row', gap: SPACE.m }}>
          <Strong style={{ width: 72 }}>{keys}</Strong>
          <Body style={{ flex: 1 }}>{does}</Body>
        </View>
      ))}
    </Sheet>
  );
}
