/** One stop of the tab key for a group of choices, arrow keys within it: as the web's own radio buttons behave. */
import { useEffect, useRef } from 'react';
import { Platform, type View } from 'react-native';

const STEP: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * @param arrows choose at once, as where all choices are in sight, or only move, as in a list that shuts once one is
 * chosen
 * @returns the ref of the group; its radio buttons are found by their role
 */
export function useRoving(arrows: 'choose' | 'move' = 'choose') {
  const group = useRef<View>(null);
  useEffect(() => {
    // A list that opens begins at what is chosen, unless it is searched first.
    if (Platform.OS !== 'web' || arrows !== 'move') return;
    const element = group.current as unknown as HTMLElement | null;
    if (element?.closest('[aria-modal]')?.querySelector('[role="searchbox"]')) return;
    const radio = (state: string) => element?.querySelector<HTMLElement>(`[role="radio"]${state}`);
    (radio('[aria-checked="true"]') ?? radio(''))?.focus();
  }, [arrows]);
  useEffect(() => {
    if (Platform.OS !== 'web' || !group.current) return undefined;
    // On the web a View is an element of the page.
    const element = group.current as unknown as HTMLElement;
    const radios = () => Array.from(element.querySelectorAll<HTMLElement>('[role="radio"]'));
    const all = radios();
    const chosen = all.find((radio) => radio.getAttribute('aria-checked') === 'true') ?? all[0];
    for (const radio of all) radio.tabIndex = radio === chosen ? 0 : -1;
    const pressed = (event: KeyboardEvent) => {
      const by = STEP[event.key];
      const list = radios();
      const at = list.indexOf(document.activeElement as HTMLElement);
      if (by === undefined || at < 0) return;
      event.preventDefault();
      const next = list[(at + by + list.length) % list.length]!;
      next.focus();
      if (arrows === 'choose') next.click();
    };
    element.addEventListener('keydown', pressed);
    return () => element.removeEventListener('keydown', pressed);
  });
  return group;
}
