/** What is seldom wanted, folded away behind its name and a line of what is in it. */
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Platform, View } from 'react-native';
import { List, useTheme } from 'react-native-paper';
import { SPACE } from './theme';
import { useInk } from './use-ink';

interface Given {
  readonly title: string;
  readonly note?: string;
  /** Opened from outside, say for what is wrong within. */
  readonly opened?: boolean;
  /** Open from the first, and brought into sight. */
  readonly begins?: 'shut' | 'open';
  readonly children: ReactNode;
}

export function Fold({ title, note, opened = false, begins = 'shut', children }: Given) {
  const ink = useInk();
  const { fonts } = useTheme();
  const [wanted, setWanted] = useState<boolean | null>(null);
  const open = opened || (wanted ?? begins === 'open');
  const fold = useRef<View>(null);
  useEffect(() => {
    // On the web a View is an element of the page.
    if (begins === 'open' && Platform.OS === 'web') (fold.current as unknown as HTMLElement | null)?.scrollIntoView();
  }, [begins]);
  return (
    <View ref={fold} style={{ borderTopWidth: 1, borderBottomWidth: 1, borderColor: ink.line }}>
      <List.Accordion
        title={title}
        titleNumberOfLines={0}
        {...(note && !open ? { description: note, descriptionNumberOfLines: 0 } : {})}
        expanded={open}
        onPress={() => setWanted(!open)}
        titleStyle={[fonts.labelLarge, { color: ink.accent }]}
        descriptionStyle={[fonts.bodySmall, { color: ink.soft }]}
        contentStyle={{ paddingLeft: 0 }}
        style={{ backgroundColor: 'transparent', paddingRight: 0, paddingVertical: SPACE.xs }}
      >
        {/* Paper makes room for a sign before each of its children; one child has none to make room for. */}
        <View style={{ gap: SPACE.m, paddingBottom: SPACE.m }}>{children}</View>
      </List.Accordion>
    </View>
  );
}
