/** Keys for the wide screen, and the list of them. They rest while something is being typed. */
import { router } from 'expo-router';
import { useEffect, useState } from 'react';
import { Platform, Pressable, View } from 'react-native';
import { useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';

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
  ['Ctrl Z', 'Take back the last change'],
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

/** The field that searches this screen is its first text field. */
function focusSearch(): void {
  document
    .querySelector<HTMLInputElement>('[role="main"] input[type="text"], [role="main"] input:not([type])')
    ?.focus();
}

/** Does what a key stands for, but for the list of keys itself. */
function act(event: KeyPress): void {
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
      if (event.key === 'Escape') setList('hidden');
      if (event.key === '?' && !typing(event.target)) setList((shown) => (shown === 'shown' ? 'hidden' : 'shown'));
      act(event);
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
  return list === 'hidden' ? null : <KeyList onClose={() => setList('hidden')} />;
}

const BEHIND = {
  position: 'absolute',
  inset: 0,
  backgroundColor: 'rgba(0, 0, 0, 0.45)',
  alignItems: 'center',
  justifyContent: 'center',
} as const;

function KeyList({ onClose }: { readonly onClose: () => void }) {
  const ink = useInk();
  const sheet = { backgroundColor: ink.sheet, borderWidth: 2, borderColor: ink.ink };
  return (
    <Pressable aria-label="Close the list of keys" onPress={onClose} style={BEHIND}>
      <View role="dialog" aria-label="Keys" style={[sheet, { padding: SPACE.l, gap: SPACE.s, minWidth: 340 }]}>
        <Heading>Keys</Heading>
        {LIST.map(([keys, does]) => (
          <View key={keys} style={{ flexDirection: 'row', gap: SPACE.m }}>
            <Strong style={{ width: 72 }}>{keys}</Strong>
            <Body>{does}</Body>
          </View>
        ))}
        <Button onPress={onClose}>Close</Button>
      </View>
    </Pressable>
  );
}
