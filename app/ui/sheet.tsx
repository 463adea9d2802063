/** A sheet over the screen for one thing: the keyboard stays in it, Escape and a tap beside it close it. */
import { useEffect, useState, type ReactNode } from 'react';
import { Modal, Platform, ScrollView, StyleSheet, View } from 'react-native';
import { Dialog, Surface } from 'react-native-paper';
import { Button } from './button';
import { SPACE } from './theme';
import { useInk } from './use-ink';
import { SHEET as WORDS } from './ui-words';

interface Given {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** Buttons below, always in sight; one that closes it, where none are given. */
  readonly actions?: ReactNode;
}

/** A tap beside the sheet; what is tapped is no button, so that the keyboard passes it over. */
const tapped = (onTap: () => void) => (Platform.OS === 'web' ? { onClick: onTap } : { onTouchEnd: onTap });

const MOST_WIDTH = 520;
const BEHIND = 'rgba(0, 0, 0, 0.45)';

export function Sheet({ title, onClose, children, actions }: Given) {
  const ink = useInk();
  useFocusBack();
  return (
    // React Native's own modal keeps the keyboard inside and gives the focus back; Paper's does neither on the web.
    <Modal transparent visible onRequestClose={onClose} aria-label={title}>
      <View style={styles.room}>
        <View aria-hidden {...tapped(onClose)} style={[StyleSheet.absoluteFill, styles.behind]} />
        <Surface elevation={0} style={[styles.sheet, { backgroundColor: ink.sheet, borderColor: ink.ink }]}>
          <Dialog.Title style={styles.title}>{title}</Dialog.Title>
          <Dialog.ScrollArea style={[styles.body, { borderColor: ink.line }]}>
            {/* The keyboard scrolls it too. */}
            <ScrollView tabIndex={0} contentContainerStyle={styles.inside}>
              {children}
            </ScrollView>
          </Dialog.ScrollArea>
          <Dialog.Actions style={styles.actions}>{actions ?? <Close onClose={onClose} />}</Dialog.Actions>
        </Surface>
      </View>
    </Modal>
  );
}

const Close = ({ onClose }: Pick<Given, 'onClose'>) => (
  <Button kind="main" onPress={onClose}>
    {WORDS.close}
  </Button>
);

/** When the sheet goes, the keyboard is again where it was when the sheet came. */
function useFocusBack(): void {
  const [before] = useState(() => (Platform.OS === 'web' ? document.activeElement : null));
  useEffect(
    () => () => {
      if (before) requestAnimationFrame(() => (before as HTMLElement).focus());
    },
    [before],
  );
}

const styles = StyleSheet.create({
  room: { flex: 1, alignItems: 'center', justifyContent: 'center', padding: SPACE.m },
  behind: { backgroundColor: BEHIND },
  sheet: { width: '100%', maxWidth: MOST_WIDTH, maxHeight: '100%', borderWidth: 2 },
  title: { marginTop: SPACE.m, marginBottom: SPACE.s, marginHorizontal: SPACE.m },
  body: { paddingHorizontal: 0, marginBottom: 0, flexShrink: 1 },
  inside: { padding: SPACE.m, gap: SPACE.s },
  actions: { padding: SPACE.s, gap: SPACE.s, flexWrap: 'wrap' },
});
