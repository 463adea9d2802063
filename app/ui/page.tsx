/** A screen's frame: one scrolling column on a phone, two side by side where there is room. */
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { SPACE } from './theme';
import { useInk, useIsWide } from './use-ink';

export function Page({ children }: { readonly children: ReactNode }) {
  const wide = useIsWide();
  return (
    <ScrollView
      contentContainerStyle={{
        padding: wide ? SPACE.l : SPACE.m,
        paddingBottom: SPACE.xl * 2,
        gap: SPACE.m,
        maxWidth: 860,
        width: '100%',
      }}
    >
      {children}
    </ScrollView>
  );
}

/** Two panes on a wide screen, each scrolling alone; on a phone the second one follows the first. */
export function TwoPanes({ first, second }: { readonly first: ReactNode; readonly second: ReactNode }) {
  const wide = useIsWide();
  const { line } = useInk();
  if (!wide) {
    return (
      <Page>
        {first}
        {second}
      </Page>
    );
  }
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <ScrollView
        style={{ flex: 1 }}
        contentContainerStyle={{ padding: SPACE.l, gap: SPACE.m, paddingBottom: SPACE.xl * 2 }}
      >
        {first}
      </ScrollView>
      <ScrollView
        style={{ flex: 1, borderLeftWidth: 1, borderColor: line }}
        contentContainerStyle={{ padding: SPACE.l, gap: SPACE.m, paddingBottom: SPACE.xl * 2 }}
      >
        {second}
      </ScrollView>
    </View>
  );
}

export function Rule() {
  const { line } = useInk();
  return <View style={{ height: 1, backgroundColor: line }} />;
}

export function Row({
  children,
  gap = SPACE.s,
  wrap = 'wrap',
}: {
  readonly children: ReactNode;
  readonly gap?: number;
  readonly wrap?: 'wrap' | 'nowrap';
}) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', flexWrap: wrap, flexShrink: 1, gap }}>{children}</View>
  );
}
