/** Stands where words will stand: pale lines of their height, so that nothing jumps when they come. */
import { View } from 'react-native';
import { SPACE } from './theme';
import { Small } from './type';
import { useInk } from './use-ink';

interface Given {
  readonly lines: number;
  /** What is being done meanwhile. */
  readonly words: string;
}

const WIDTHS = ['92%', '78%', '86%', '64%'] as const;

export function Waiting({ lines, words }: Given) {
  const { line } = useInk();
  return (
    <View role="status" style={{ gap: SPACE.s }}>
      <Small>{words}</Small>
      {Array.from({ length: lines }, (_, i) => (
        <View key={i} style={{ height: 14, width: WIDTHS[i % WIDTHS.length]!, backgroundColor: line, opacity: 0.6 }} />
      ))}
    </View>
  );
}
