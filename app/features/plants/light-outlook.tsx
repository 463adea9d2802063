/** How long a plant lives where it stands, by its light alone, in words and as the curve of its reserve. */
import {
  WEEKS_A_MONTH,
  lightClass,
  lightOutlook,
  type Condition,
  type HomeFacts,
  type LightClass,
  type LightOutlook,
  type Target,
} from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Line, Polyline, Rect } from 'react-native-svg';
import { runsOf } from '../../parts/season-words';
import { degrees, mol, monthsInWords } from '../../parts/words';
import { useUnits, type Units } from '../../state/settings';
import { useNow } from '../../state/use-now';
import { monthAt } from '../../state/year';
import { SPACE } from '../../ui/theme';
import { Body, Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';

const WEEKS_IN: Readonly<Partial<Record<LightClass, readonly [string, number]>>> = {
  weeks: ['week', 1],
  months: ['month', WEEKS_A_MONTH],
  years: ['year', 12 * WEEKS_A_MONTH],
};

/** "about 3 weeks", "about 7 months", "about 2 years"; nothing where it lives on. */
export function spanInWords(outlook: LightOutlook): string {
  const unit = WEEKS_IN[lightClass(outlook)];
  if (!unit || outlook.weeks === null) return '';
  const [thing, length] = unit;
  const number = Math.max(1, Math.round(outlook.weeks / length));
  return `about ${number === 1 ? `one ${thing}` : `${number} ${thing}s`}`;
}

const LIVES_ON: Readonly<Partial<Record<LightClass, string>>> = {
  slow: 'lives on and grows slowly',
  grows: 'grows',
  thrives: 'has all it needs to thrive',
};

export function outlookWords(outlook: LightOutlook): string {
  const kind = lightClass(outlook);
  const lives = LIVES_ON[kind];
  if (lives) return `By its light alone it ${lives}.`;
  const span = spanInWords(outlook);
  return kind === 'years'
    ? `By its light alone it lives on for ${span}, but does not grow.`
    : `By its light alone it declines within ${span}.`;
}

/** What an outlook rests on: the month's figures, and how far it is to be trusted. */
export function basisWords({ light }: Target, { dli }: Pick<Condition, 'dli'>, units: Units): string {
  return [
    `This month it gets ${mol(dli)} mol a day, survives from ${mol(light.survives)} at ${degrees(20, units)} (twice that at`,
    `${degrees(30, units)}), thrives from ${mol(light.thrivesFrom)}, and would live ${Math.round(light.reserveWeeks)} weeks on its`,
    'reserve in the dark. Its reserve is taken for full now; growers’ judgement, good to about half or twice the time.',
  ].join(' ');
}

interface Given {
  readonly facts: HomeFacts;
  readonly targets: readonly Target[];
  readonly conditions: readonly Condition[];
}

export function LightOutlookView({ facts, targets, conditions }: Given) {
  const thisMonth = monthAt(facts, useNow());
  const outlook = useMemo(() => lightOutlook(targets, conditions, thisMonth), [targets, conditions, thisMonth]);
  const { losesForm, reserve, weeks } = outlook;
  const units = useUnits();
  return (
    <View style={{ gap: SPACE.xs }}>
      <Body testID="light-outlook">{outlookWords(outlook)}</Body>
      {losesForm.length > 0 ? (
        <Small>
          {`It stretches and loses its form ${runsOf(losesForm).map(monthsInWords).join(', ')}; `}
          {'what has stretched does not grow back.'}
        </Small>
      ) : null}
      {weeks === null ? null : <ReserveCurve reserve={reserve} />}
      <Small>{basisWords(targets[thisMonth - 1]!, conditions[thisMonth - 1]!, units)}</Small>
    </View>
  );
}

const WIDTH = 240;
const HEIGHT = 40;
const SHOWN_MONTHS = 24;

/** The reserve month by month, full at first; a line at nothing. */
function ReserveCurve({ reserve }: { readonly reserve: readonly number[] }) {
  const ink = useInk();
  const shown = [1, ...reserve.slice(0, SHOWN_MONTHS)];
  const points = shown.map((share, i) => `${(i / (shown.length - 1)) * WIDTH},${2 + (1 - share) * (HEIGHT - 4)}`);
  return (
    <View>
      <Svg width={WIDTH} height={HEIGHT} aria-hidden>
        <Rect x={0.5} y={0.5} width={WIDTH - 1} height={HEIGHT - 1} fill={ink.sheet} stroke={ink.line} />
        <Line x1={0} x2={WIDTH} y1={HEIGHT - 2} y2={HEIGHT - 2} stroke={ink.danger} strokeWidth={1.5} />
        <Polyline points={points.join(' ')} fill="none" stroke={ink.factor.light} strokeWidth={2} />
      </Svg>
      <Small>{`Its reserve over the next ${shown.length - 1} months: full now, used up at the lower line.`}</Small>
    </View>
  );
}
