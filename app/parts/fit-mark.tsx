/**
 * The fit of a plant at a glance: five strokes on a line, one a factor; below the line too little, above it too much.
 */
import { FACTORS, type Direction, type MonthFit } from '@dulvan/core';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { FACTOR_WORD } from './words';
import { useInk } from '../ui/use-ink';
import { FIT_MARK as WORDS } from './part-words';

const PITCH = 4.6;
const MIDDLE = 12;

/** One colour serves: place and shape tell. `danger` strokes reach the mark's edge. */
export function FitMark({ fit, size = 24 }: { readonly fit: MonthFit | null; readonly size?: number }) {
  const { ink, soft } = useInk();
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" role="img" aria-label={describe(fit)}>
      <Line x1={0.5} x2={23.5} y1={MIDDLE} y2={MIDDLE} stroke={soft} strokeWidth={0.9} />
      {FACTORS.map((factor, i) => {
        const reading = fit?.factors.find((candidate) => candidate.factor === factor);
        const x = 2.8 + i * PITCH;
        if (!reading)
          return <Circle key={factor} cx={x} cy={MIDDLE} r={1.3} fill="none" stroke={soft} strokeWidth={0.8} />;
        if (reading.severity === 'fine') return <Circle key={factor} cx={x} cy={MIDDLE} r={1.7} fill={ink} />;
        const reach = reading.severity === 'danger' ? 10.5 : 6;
        const y = reading.direction === 'too-much' ? MIDDLE - reach : MIDDLE;
        return <Rect key={factor} x={x - 1.4} y={y} width={2.8} height={reach} fill={ink} />;
      })}
    </Svg>
  );
}

const DIRECTION_WORD: Record<Direction, string> = {
  'too-little': 'too little',
  right: 'right',
  'too-much': 'too much',
};

function describe(fit: MonthFit | null): string {
  if (!fit) return WORDS.fitNotKnown;
  const wrong = fit.factors.filter((reading) => reading.severity !== 'fine');
  if (wrong.length === 0) return WORDS.allRight;
  return wrong.map((reading) => `${FACTOR_WORD[reading.factor]} ${DIRECTION_WORD[reading.direction]}`).join(', ');
}
