/**
 * Said in place of an answer that is not there: that it is being worked out, or why it failed, with a way to ask
 * again.
 */
import { View } from 'react-native';
import type { Asked } from '../state/questions';
import { Button } from '../ui/button';
import { SPACE } from '../ui/theme';
import { Small } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { PENDING as WORDS } from './part-words';

interface Given {
  readonly asked: Asked<unknown>;
  readonly words?: string;
}

export function Pending({ asked, words = WORDS.working }: Given) {
  if (asked.state === 'failed') return <Failed message={asked.message} onRetry={asked.retry} />;
  if (asked.state !== 'working' || asked.value !== null) return null;
  return <Small>{asked.share === null ? words : `${words} ${Math.round(asked.share * 100)} %`}</Small>;
}

/** A computation that failed. */
export function Failed({ message, onRetry }: { readonly message: string; readonly onRetry: () => void }) {
  const { danger } = useInk();
  return (
    <View role="alert" style={{ gap: SPACE.xs }}>
      <Small style={{ color: danger }}>{WORDS.failed(message)}</Small>
      <Button style={{ alignSelf: 'flex-start' }} onPress={onRetry}>
        {WORDS.tryAgain}
      </Button>
    </View>
  );
}
