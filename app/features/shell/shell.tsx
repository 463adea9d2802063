/** The frame round every screen: where one is, what is being tried out, what just happened. */
import { Link, Slot, usePathname } from 'expo-router';
import { useEffect } from 'react';
import { Pressable, Text, View } from 'react-native';
import { useHome } from '../../state/home';
import { useLive } from '../../state/use-live';
import { useKeepVerdicts, useVerdictsStore } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { Icon } from '../../ui/icon';
import { FONT, SPACE, TOUCH } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { useInk, useIsWide } from '../../ui/use-ink';
import { FoundHome } from './found-home';
import { Shortcuts } from './shortcuts';

/** Each place, with the addresses beside its own that lie in it. */
const PLACES = [
  { href: '/', word: 'Today', icon: 'weather-sunset-up', also: [] },
  { href: '/rooms', word: 'Rooms', icon: 'floor-plan', also: ['/spots', '/stands', '/light'] },
  { href: '/plants', word: 'Plants', icon: 'sprout-outline', also: [] },
  { href: '/catalogue', word: 'Catalogue', icon: 'book-open-variant', also: [] },
  { href: '/place', word: 'Place', icon: 'ruler-square', also: [] },
  { href: '/settings', word: 'Settings', icon: 'tune-variant', also: [] },
] as const;

export function Shell() {
  const wide = useIsWide();
  const { paper } = useInk();
  const load = useHome((state) => state.load);
  const status = useHome((state) => state.status);
  const path = usePathname();
  useEffect(() => void load(), [load]);
  useKeepVerdicts();
  useLive();
  const opensWithoutHome = path === '/settings';
  return (
    <View style={{ flex: 1, backgroundColor: paper, flexDirection: wide ? 'row' : 'column' }}>
      {wide ? <Places path={path} /> : null}
      <View role="main" style={{ flex: 1 }}>
        {status === 'ready' || (status === 'none' && opensWithoutHome) ? <Slot /> : <Waiting />}
        <View>
          <TrialBar />
          <NoticeBar />
        </View>
      </View>
      {wide ? null : <Places path={path} />}
      <Shortcuts />
    </View>
  );
}

function Places({ path }: { readonly path: string }) {
  const ink = useInk();
  const wide = useIsWide();
  const edge = { backgroundColor: ink.sheet, borderColor: ink.line };
  const side = { flexDirection: 'column', borderRightWidth: 1, width: 112, paddingTop: SPACE.m } as const;
  const foot = { flexDirection: 'row', borderTopWidth: 1 } as const;
  return (
    <View role="navigation" aria-label="Main" style={[edge, wide ? side : foot]}>
      {wide ? <Text style={[NAME, { color: ink.ink }]}>Dulvan</Text> : null}
      {PLACES.map((place) => (
        <PlaceLink key={place.href} place={place} path={path} />
      ))}
      <Working />
    </View>
  );
}

const NAME = {
  fontFamily: FONT.heading,
  fontSize: 24,
  paddingHorizontal: SPACE.m,
  paddingBottom: SPACE.m,
} as const;

interface PlaceLinkGiven {
  readonly place: (typeof PLACES)[number];
  readonly path: string;
}

function PlaceLink({ place: { href, word, icon, also }, path }: PlaceLinkGiven) {
  const ink = useInk();
  const wide = useIsWide();
  const isHere = href === '/' ? path === '/' : [href, ...also].some((start) => path.startsWith(start));
  const color = isHere ? ink.accent : ink.soft;
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        aria-label={word}
        {...(isHere ? { 'aria-current': 'page' as const } : {})}
        style={{
          flex: wide ? undefined : 1,
          minHeight: 56,
          alignItems: 'center',
          justifyContent: 'center',
          gap: 2,
          borderTopWidth: wide ? 0 : 3,
          borderLeftWidth: wide ? 3 : 0,
          borderColor: isHere ? ink.accent : 'transparent',
        }}
      >
        <Icon name={icon} size={22} color={color} aria-hidden />
        <Text style={{ fontFamily: FONT.lettering, fontSize: 13, color }}>{word}</Text>
      </Pressable>
    </Link>
  );
}

/** That something is being worked out; it may lie over what is on screen, so it has paper behind it. */
function Working() {
  const ink = useInk();
  const wide = useIsWide();
  const { working, share } = useVerdictsStore();
  const place = wide
    ? { left: SPACE.m, bottom: SPACE.m, backgroundColor: ink.sheet }
    : { right: SPACE.s, top: -26, backgroundColor: ink.paper };
  return (
    <View role="status" aria-live="polite" style={{ position: 'absolute', paddingHorizontal: SPACE.xs, ...place }}>
      {working === 'yes' ? (
        <Small>{share === null ? 'Working …' : `Working … ${Math.round(share * 100)} %`}</Small>
      ) : null}
    </View>
  );
}

function Waiting() {
  const status = useHome((state) => state.status);
  const failure = useHome((state) => state.failure);
  const load = useHome((state) => state.load);
  if (status === 'none') return <FoundHome />;
  return (
    <View style={{ flex: 1, padding: SPACE.l, gap: SPACE.m }}>
      {status === 'failed' ? (
        <>
          <Body>{failure}</Body>
          <Button onPress={() => void load()}>Try again</Button>
        </>
      ) : (
        <Small>Opening …</Small>
      )}
    </View>
  );
}

/** What is tried out is on every screen until it is kept or put back. */
function TrialBar() {
  const ink = useInk();
  const trial = useHome((state) => state.trial);
  const keep = useHome((state) => state.keep);
  const putBack = useHome((state) => state.putBack);
  if (!trial) return null;
  return (
    <View
      role="region"
      aria-label="Not kept yet"
      style={{
        backgroundColor: ink.sheet,
        borderTopWidth: 2,
        borderColor: ink.accent,
        padding: SPACE.s,
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.s,
        flexWrap: 'wrap',
      }}
    >
      <View style={{ flex: 1, minWidth: 160 }}>
        <Small>Trying, not kept yet</Small>
        <Body>{trial.summaries.join('; ')}</Body>
      </View>
      <Button onPress={putBack}>Put back</Button>
      <Button kind="main" onPress={() => void keep()}>
        Keep
      </Button>
    </View>
  );
}

const NOTICE_MS = 12_000;

function NoticeBar() {
  const ink = useInk();
  const notice = useHome((state) => state.notice);
  const tell = useHome((state) => state.tell);
  const undo = useHome((state) => state.undo);
  useEffect(() => {
    if (!notice) return undefined;
    const timer = setTimeout(() => tell(null), NOTICE_MS);
    return () => clearTimeout(timer);
  }, [notice, tell]);
  if (!notice) return null;
  return (
    <View
      role="status"
      aria-live="polite"
      style={{
        backgroundColor: ink.ink,
        paddingHorizontal: SPACE.m,
        minHeight: TOUCH,
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.s,
      }}
    >
      <Text style={{ flex: 1, fontFamily: FONT.text, fontSize: 15, color: ink.sheet, paddingVertical: SPACE.s }}>
        {notice.text}
      </Text>
      {notice.undo.length > 0 ? (
        <Pressable
          role="button"
          aria-label="Undo"
          onPress={() => void undo(notice.undo)}
          style={{ minHeight: TOUCH, minWidth: TOUCH, justifyContent: 'center', alignItems: 'center' }}
        >
          <Text style={{ fontFamily: FONT.strong, fontSize: 15, color: ink.sheet, textDecorationLine: 'underline' }}>
            Undo
          </Text>
        </Pressable>
      ) : null}
      <Pressable
        role="button"
        aria-label="Close this message"
        onPress={() => tell(null)}
        style={{ minHeight: TOUCH, minWidth: TOUCH, justifyContent: 'center', alignItems: 'center' }}
      >
        <Text style={{ fontFamily: FONT.strong, fontSize: 18, color: ink.sheet }}>×</Text>
      </Pressable>
    </View>
  );
}
