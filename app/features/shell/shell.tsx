/** The frame round every screen: where one is, what is being tried out, what just happened. */
import { Link, Slot, usePathname } from 'expo-router';
import { Suspense, lazy, useEffect } from 'react';
import { Platform, Text, View, type TextStyle } from 'react-native';
import { Snackbar, Text as PaperText, TouchableRipple } from 'react-native-paper';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { useLive } from '../../state/use-live';
import { useKeepVerdicts, useVerdictsStore } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { Icon } from '../../ui/icon';
import { Progress } from '../../ui/progress';
import { rem } from '../../ui/rem';
import { FONT, SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { useInk, useIsWide } from '../../ui/use-ink';
import { AirNotices } from './air-notices';
import { Shortcuts } from './shortcuts';
import { TrialEffect } from './trial-effect';
import { useFocusOnArrival } from './use-focus';
import { SHELL as WORDS } from './shell-words';

/** Forms are loaded where there is something to fill in: most first screens have nothing. */
const FoundHome = lazy(() => import('./found-home'));

/** Each place, with the addresses beside its own that lie in it. */
const PLACES = [
  { href: '/', word: 'Today', icon: 'weather-sunset-up', also: [], on: 'both' },
  { href: '/plan', word: 'Plan', icon: 'map-marker-path', also: [], on: 'wide' },
  { href: '/rooms', word: 'Rooms', icon: 'floor-plan', also: ['/spots', '/stands', '/light', '/air'], on: 'both' },
  { href: '/plants', word: 'Plants', icon: 'sprout-outline', also: [], on: 'both' },
  { href: '/catalogue', word: 'Catalogue', icon: 'book-open-variant', also: [], on: 'both' },
  { href: '/place', word: 'Place', icon: 'ruler-square', also: ['/loggers'], on: 'both' },
  { href: '/settings', word: 'Settings', icon: 'tune-variant', also: [], on: 'both' },
] as const;

export function Shell() {
  const wide = useIsWide();
  const { paper } = useInk();
  const load = useHome((state) => state.load);
  const status = useHome((state) => state.status);
  const facts = useHome((state) => state.facts);
  const notices = useSettings((state) => state.airNotices);
  const path = usePathname();
  useEffect(() => void load(), [load]);
  useKeepVerdicts();
  useLive();
  useFocusOnArrival(path);
  const opensWithoutHome = path === '/settings';
  return (
    <View style={{ flex: 1, backgroundColor: paper, flexDirection: wide ? 'row' : 'column' }}>
      {wide ? <Places path={path} /> : null}
      <View role="main" style={{ flex: 1 }}>
        <Working />
        {status === 'ready' || (status === 'none' && opensWithoutHome) ? <Slot /> : <Waiting />}
        <View>
          <TrialBar />
          <NoticeBar />
        </View>
      </View>
      {wide ? null : <Places path={path} />}
      <Shortcuts />
      {facts && notices === 'on' ? <AirNotices facts={facts} /> : null}
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
    <View role="navigation" aria-label={WORDS.main} style={[edge, wide ? side : foot]}>
      {wide ? <Text style={[NAME, { color: ink.ink }]}>{WORDS.dulvan}</Text> : null}
      {PLACES.filter(({ on }) => wide || on === 'both').map((place) => (
        <PlaceLink key={place.href} place={place} path={path} />
      ))}
    </View>
  );
}

const NAME = {
  fontFamily: FONT.heading,
  fontSize: 24,
  paddingHorizontal: SPACE.m,
  paddingBottom: SPACE.m,
} as const;

/** Six places share the width of a phone: their words grow with the browser's text as far as a sixth of it has room. */
const FITS_THE_BAR: TextStyle =
  Platform.OS === 'web' ? { fontSize: 'min(0.8125rem, 3.4vw)' as unknown as number, lineHeight: rem(16) } : {};

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
      <TouchableRipple
        role="link"
        aria-label={word}
        {...(isHere ? { 'aria-current': 'page' as const } : {})}
        style={{
          flex: wide ? undefined : 1,
          minHeight: 56,
          justifyContent: 'center',
          borderTopWidth: wide ? 0 : 3,
          borderLeftWidth: wide ? 3 : 0,
          borderColor: isHere ? ink.accent : 'transparent',
        }}
      >
        <View style={{ alignItems: 'center', gap: 2 }}>
          <Icon name={icon} size={22} color={color} aria-hidden />
          <PaperText variant="labelMedium" style={[{ color }, wide ? {} : FITS_THE_BAR]}>
            {word}
          </PaperText>
        </View>
      </TouchableRipple>
    </Link>
  );
}

/** That something is being worked out: a line above the screen, which lies over nothing. */
function Working() {
  const { working, share } = useVerdictsStore();
  return (
    <View style={{ height: 3 }}>
      {working === 'yes' ? <Progress label={WORDS.workingOutLight} share={share} /> : null}
    </View>
  );
}

function Waiting() {
  const status = useHome((state) => state.status);
  const failure = useHome((state) => state.failure);
  const load = useHome((state) => state.load);
  if (status === 'none')
    return (
      <Suspense fallback={<Small>{WORDS.opening}</Small>}>
        <FoundHome />
      </Suspense>
    );
  return (
    <View style={{ flex: 1, padding: SPACE.l, gap: SPACE.m }}>
      {status === 'failed' ? (
        <>
          <Body>{failure}</Body>
          <Button onPress={() => void load()}>{WORDS.tryAgain}</Button>
        </>
      ) : (
        <Small>{WORDS.opening}</Small>
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
      aria-label={WORDS.notKeptYet}
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
        <Small>{WORDS.tryingNotKeptYet}</Small>
        <Body>{trial.summaries.join('; ')}</Body>
        <TrialEffect />
      </View>
      <Button onPress={putBack}>{WORDS.putBack}</Button>
      <Button kind="main" onPress={() => void keep()}>
        {WORDS.keep}
      </Button>
    </View>
  );
}

/** How long a message stays; one that can be undone stays until it can have been read at leisure. */
const NOTICE_MS = 12_000;
const UNDOABLE_MS = 40_000;

/**
 * What just happened, with the way back; in the flow of the page, so that it hides nothing. Its time begins when what
 * follows from it has been worked out: until then nobody can judge whether to take it back.
 */
function NoticeBar() {
  const notice = useHome((state) => state.notice);
  const tell = useHome((state) => state.tell);
  const undo = useHome((state) => state.undo);
  const isWorking = useVerdictsStore(({ working }) => working === 'yes');
  useEffect(() => {
    if (!notice || isWorking) return undefined;
    const timer = setTimeout(() => tell(null), notice.undo.length > 0 ? UNDOABLE_MS : NOTICE_MS);
    return () => clearTimeout(timer);
  }, [notice, isWorking, tell]);
  if (!notice) return null;
  const canUndo = notice.undo.length > 0;
  return (
    <Snackbar
      key={notice.text}
      visible
      duration={Infinity}
      onDismiss={() => tell(null)}
      icon="close"
      onIconPress={() => tell(null)}
      iconAccessibilityLabel={WORDS.closeThisMessage}
      elevation={0}
      wrapperStyle={{ position: 'relative' }}
      style={{ margin: 0 }}
      {...(canUndo ? { action: { label: WORDS.undo, onPress: () => void undo(notice.undo) } } : {})}
    >
      {notice.text}
    </Snackbar>
  );
}
