/**
 * Each factor's own shape: a disc for light, a half disc for day length, a peak for warmth, a drop for moisture,
 * strokes for air.
 */
import type { Factor } from '@dulvan/core';
import type { ReactNode } from 'react';
import Svg, { Circle, Path } from 'react-native-svg';
import { useInk } from '../ui/use-ink';

interface Given {
  readonly factor: Factor;
  readonly size?: number;
}

export function FactorSign({ factor, size = 18 }: Given) {
  return (
    <Svg width={size} height={size} viewBox="0 0 18 18" aria-hidden>
      <FactorShape factor={factor} />
    </Svg>
  );
}

/** The shape alone, 18 by 18, for a place in another drawing. */
export function FactorShape({ factor }: Pick<Given, 'factor'>) {
  const color = useInk().factor[factor];
  const shapes: Record<Factor, ReactNode> = {
    light: <Circle cx={9} cy={9} r={6} fill={color} />,
    'day-length': <Path d="M2 13 A7 7 0 0 1 16 13 Z" fill={color} />,
    warmth: <Path d="M9 2 L16 15 H2 Z" fill={color} />,
    moisture: <Path d="M9 1.5 C13 7 14.5 9 14.5 11.2 A5.5 5.5 0 0 1 3.5 11.2 C3.5 9 5 7 9 1.5 Z" fill={color} />,
    air: <Path d="M1.5 5.5 H12 M4 9 H16.5 M1.5 12.5 H10" stroke={color} strokeWidth={2.2} fill="none" />,
  };
  return shapes[factor];
}
