/**
 * Paper tells the state of a part (chosen, ticked, open) in React Native's older way, which its web version no longer
 * passes on. It is turned into ARIA here, once, where every touchable part passes by.
 */
import { Platform, Pressable, type AccessibilityState } from 'react-native';

interface Given {
  readonly role?: string;
  readonly accessibilityRole?: string;
  readonly accessibilityState?: AccessibilityState;
  readonly onKeyDown?: (event: KeyPress) => void;
}

interface KeyPress {
  readonly key: string;
  readonly currentTarget: HTMLElement;
  preventDefault(): void;
}

const TICKED: ReadonlySet<string> = new Set(['radio', 'checkbox', 'switch', 'menuitemradio', 'menuitemcheckbox']);
const SELECTED: ReadonlySet<string> = new Set(['tab', 'option', 'row', 'gridcell']);

/** ARIA's words for a state: a radio button and a box are checked, a tab is selected, a button is pressed. */
export function ariaOf({ role, accessibilityRole, accessibilityState }: Given): Record<string, boolean | 'mixed'> {
  if (!accessibilityState) return {};
  const { checked, selected, expanded, busy } = accessibilityState;
  const said = role ?? accessibilityRole ?? '';
  const on = checked ?? selected;
  return {
    ...(on !== undefined && TICKED.has(said) ? { 'aria-checked': on } : {}),
    ...(on !== undefined && SELECTED.has(said) ? { 'aria-selected': on } : {}),
    ...(on !== undefined && said === 'button' ? { 'aria-pressed': on } : {}),
    ...(expanded === undefined ? {} : { 'aria-expanded': expanded }),
    ...(busy === undefined ? {} : { 'aria-busy': busy }),
  };
}

/**
 * The space bar turns what is ticked or chosen, as on the web's own boxes; react-native-web knows it of buttons alone.
 */
const spaceOf = ({ role, accessibilityRole, onKeyDown }: Given) =>
  TICKED.has(role ?? accessibilityRole ?? '')
    ? {
        onKeyDown(event: KeyPress) {
          onKeyDown?.(event);
          if (event.key !== ' ') return;
          event.preventDefault();
          event.currentTarget.click();
        },
      }
    : {};

interface ForwardedPart {
  render(props: Given, ref: unknown): unknown;
}

if (Platform.OS === 'web') {
  const { type: part } = Pressable as unknown as { readonly type: ForwardedPart };
  const { render } = part;
  part.render = (props, ref) => render({ ...ariaOf(props), ...props, ...spaceOf(props) }, ref);
}
