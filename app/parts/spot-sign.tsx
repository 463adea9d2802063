/**
 * A plant's mark made one, for drawings: the factor that limits it, up for too much, down for too little, a dot for
 * right.
 */
import { limitingFit, type MonthFit } from '@dulvan/core';
import { Circle, Path } from 'react-native-svg';
import { useInk } from '../ui/use-ink';

interface Given {
  readonly cx: number;
  readonly cy: number;
  readonly fit: MonthFit | null;
  /** On paper, or on a filled disc. */
  readonly on?: 'paper' | 'disc';
}

export function SpotSign({ cx, cy, fit, on = 'paper' }: Given) {
  const { ink, sheet } = useInk();
  const colour = on === 'paper' ? ink : sheet;
  if (!fit) return null;
  const worst = limitingFit(fit);
  if (!worst) return <Circle cx={cx} cy={cy} r={2.6} fill={colour} />;
  const up = worst.direction === 'too-much' ? -1 : 1;
  const reach = worst.severity === 'danger' ? 6.5 : 4;
  return (
    <Path d={`M${cx - 3.4} ${cy} H${cx + 3.4} M${cx} ${cy} V${cy + up * reach}`} stroke={colour} strokeWidth={2.2} />
  );
}
