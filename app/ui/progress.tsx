/** That something is being worked out, and how far it is: a thin line, and words for a screen reader. */
import { View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { wantsLessMotion } from './reduced-motion';
import { useInk } from './use-ink';

/**
 * A bar that runs to and fro says that it is not known how far it is; one that stands half full says so without
 * motion.
 */
function barOf(share: number | null) {
  if (share !== null) return { progress: share };
  return wantsLessMotion() ? { progress: 0.5 } : { indeterminate: true };
}

interface Given {
  readonly label: string;
  /** From 0 to 1; null while that is not known. */
  readonly share: number | null;
}

export function Progress({ label, share }: Given) {
  const { wash } = useInk();
  const percent = share === null ? {} : { 'aria-valuenow': Math.round(share * 100) };
  return (
    <View role="progressbar" aria-label={label} aria-valuemin={0} aria-valuemax={100} {...percent}>
      <View aria-hidden>
        <ProgressBar color={wash} style={{ height: 3 }} {...barOf(share)} />
      </View>
    </View>
  );
}
