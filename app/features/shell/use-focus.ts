/**
 * The keyboard arrives where the eye does: on a new screen its heading has the focus, unless something on it took it.
 */
import { useEffect, useRef } from 'react';
import { Platform } from 'react-native';

/** Screens load when they are first shown: their heading is waited for so long, ms. */
const WAIT_MS = 3_000;
const LOOK_EVERY_MS = 100;

const isNowhere = () => document.activeElement === null || document.activeElement === document.body;

export function useFocusOnArrival(path: string): void {
  const last = useRef(path);
  useEffect(() => {
    if (Platform.OS !== 'web' || last.current === path) return undefined;
    last.current = path;
    const startedMs = performance.now();
    const timer = setInterval(() => {
      const heading = document.querySelector<HTMLElement>(
        '[role="main"] [role="heading"][aria-level="1"], [role="main"] h1',
      );
      if (heading && isNowhere()) {
        heading.tabIndex = -1;
        heading.focus({ preventScroll: true });
      }
      if (!isNowhere() || performance.now() - startedMs > WAIT_MS) clearInterval(timer);
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [path]);
}
