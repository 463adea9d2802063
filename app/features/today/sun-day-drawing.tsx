/** The day as twenty-four hours: the sun's height over the horizon, twilight, and now. */
import { civilDateOf, startOfCivilDay, sunPosition, nextCivilDate, type CivilDate, type Home } from '@dulvan/core';
import { useMemo } from 'react';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import { Fitted } from '../../ui/fitted';
import { FONT } from '../../ui/theme';
import { useInk } from '../../ui/use-ink';

const HEIGHT = 84;
const HORIZON = 56;
const STEPS = 96;
const PX_PER_DEGREE = 0.62;

interface Given {
  readonly home: Home;
  readonly date: CivilDate;
  readonly nowMs: number;
}

export function SunDayDrawing(given: Given) {
  return (
    <Fitted minHeight={HEIGHT} style={{ maxWidth: 560 }}>
      {(width) => <Day {...given} width={width} />}
    </Fitted>
  );
}

function Day({ home, date, nowMs: now, width }: Given & { readonly width: number }) {
  const ink = useInk();
  const startMs = startOfCivilDay(date, home.timeZone);
  const endMs = startOfCivilDay(nextCivilDate(date), home.timeZone);
  const heights = useMemo(
    () =>
      Array.from(
        { length: STEPS + 1 },
        (_, i) => sunPosition(startMs + ((endMs - startMs) * i) / STEPS, home).elevationDeg,
      ),
    [startMs, endMs, home],
  );
  const x = (share: number) => share * width;
  const y = (elevation: number) => Math.min(HEIGHT - 16, HORIZON - elevation * PX_PER_DEGREE);
  const points = heights.map((elevation, i) => `${x(i / STEPS).toFixed(1)} ${y(elevation).toFixed(1)}`);
  const above = heights.map((elevation, i) => `${x(i / STEPS).toFixed(1)} ${y(Math.max(0, elevation)).toFixed(1)}`);
  const today = civilDateOf(now, home.timeZone);
  const isToday = today.day === date.day && today.month === date.month;
  return (
    <Svg width={width} height={HEIGHT} aria-hidden>
      <Path d={`M0 ${HORIZON} L${above.join(' L')} L${width} ${HORIZON} Z`} fill={ink.wash} opacity={0.35} />
      <Path d={`M${points.join(' L')}`} stroke={ink.wash} strokeWidth={1.6} fill="none" />
      <Line x1={0} x2={width} y1={HORIZON} y2={HORIZON} stroke={ink.ink} strokeWidth={1.4} />
      {isToday ? (
        <Line
          x1={x((now - startMs) / (endMs - startMs))}
          x2={x((now - startMs) / (endMs - startMs))}
          y1={10}
          y2={HORIZON + 6}
          stroke={ink.danger}
          strokeWidth={1.4}
        />
      ) : null}
      {[0, 6, 12, 18, 24].map((hour) => (
        <SvgText
          key={hour}
          x={x(hour / 24)}
          y={HEIGHT - 2}
          textAnchor={hour === 0 ? 'start' : hour === 24 ? 'end' : 'middle'}
          fontFamily={FONT.lettering}
          fontSize={13}
          fill={ink.soft}
        >
          {`${hour}`}
        </SvgText>
      ))}
    </Svg>
  );
}
