/** How a plan has timers run: by month as a strip and in words, with their electricity; each can be left out. */
import {
  burningIn,
  hoursOf,
  type Circuit,
  type FoundPlan,
  type HomeFacts,
  type HungLamp,
  type TimerProposal,
} from '@dulvan/core';
import { View } from 'react-native';
import { Checkbox } from 'react-native-paper';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { programmeWords, timerWords } from '../../parts/timer-words';
import { length, monthsInWords } from '../../parts/words';
import { useUnits } from '../../state/settings';
import { Fitted } from '../../ui/fitted';
import { MONTH_NAMES } from '../../ui/months';
import { FONT, SPACE, TOUCH } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import type { ChosenParts } from './chosen';
import { circuitName } from './figures';
import { TIMERS as WORDS } from './plan-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plan: FoundPlan;
  readonly chosen: ChosenParts;
}

export function Timers({ facts, plan, chosen }: Given) {
  const changed = plan.timers.filter(({ isChanged }) => isChanged);
  const same = plan.timers.filter(({ isChanged }) => !isChanged);
  return (
    <View style={{ gap: SPACE.m }}>
      <Heading>{WORDS.heading}</Heading>
      {changed.length === 0 ? <Body>{WORDS.none}</Body> : <Small>{WORDS.legend}</Small>}
      {changed.map((timer) => (
        <Timer key={timer.circuitId} facts={facts} chosen={chosen} timer={timer} seasons={plan.seasons} />
      ))}
      {same.map(({ circuitId }) => (
        <Small key={circuitId}>{WORDS.stays(circuitName(facts, circuitId))}</Small>
      ))}
    </View>
  );
}

interface TimerGiven extends Omit<Given, 'plan'> {
  readonly timer: TimerProposal;
  readonly seasons: FoundPlan['seasons'];
}

/** Lamps that hang anew, from which season on. */
function HungLamps({ facts, timer: { hung }, seasons }: Omit<TimerGiven, 'chosen'>) {
  const units = useUnits();
  if (hung.every((lamps) => lamps.length === 0)) return null;
  const words = ({ lampId, aboveM }: HungLamp) => {
    const lamp = facts.lamps.find(({ id }) => id === lampId)!;
    return WORDS.hang(lamp.name, length(lamp.aboveM, units), length(aboveM, units));
  };
  return (
    <>
      {hung.flatMap((lamps, season) =>
        lamps.map((lamp) => (
          <Body key={`${season} ${lamp.lampId}`}>
            {season === 0 ? words(lamp) : WORDS.from(monthsInWords(seasons[season]!), words(lamp))}
          </Body>
        )),
      )}
      <Small>{WORDS.hangCaution}</Small>
    </>
  );
}

function Timer({ facts, chosen, timer, seasons }: TimerGiven) {
  const { circuitId, programme, kWhBefore, kWhAfter } = timer;
  const circuit = facts.circuits.find(({ id }) => id === circuitId)!;
  return (
    <View role="group" aria-label={circuit.name} style={{ flexDirection: 'row', gap: SPACE.s }}>
      <View style={{ minWidth: TOUCH, minHeight: TOUCH, justifyContent: 'center' }}>
        <Checkbox
          status={chosen.circuitIds.has(circuitId) ? 'checked' : 'unchecked'}
          onPress={() => chosen.toggle(circuitId)}
          {...{ 'aria-label': WORDS.take(circuit.name) }}
        />
      </View>
      <View style={{ flex: 1, gap: 2 }}>
        <Strong>{circuit.name}</Strong>
        <Small>{timerWords(circuit)}</Small>
        <Body>{`→ ${programmeWords(programme)}`}</Body>
        <HungLamps facts={facts} timer={timer} seasons={seasons} />
        <YearStrip circuit={circuit} planned={{ ...circuit, programme }} />
        <Small>{WORDS.energy(String(Math.round(kWhBefore)), String(Math.round(kWhAfter)))}</Small>
      </View>
    </View>
  );
}

const HEIGHT = 64;
const FOOT = 14;
const DAY_H = 24;

interface StripGiven {
  readonly circuit: Circuit;
  readonly planned: Circuit;
}

/** Twelve months of hours a day: as planned filled, as it is a line across. */
function YearStrip({ circuit, planned }: StripGiven) {
  return (
    <Fitted minHeight={HEIGHT}>
      {(width) => (
        <Svg width={width} height={HEIGHT} role="img" aria-label={WORDS.yearOf(circuit.name)}>
          {MONTH_NAMES.map((name, month0) => (
            <MonthOfStrip key={name} circuit={circuit} planned={planned} month0={month0} each={width / 12} />
          ))}
        </Svg>
      )}
    </Fitted>
  );
}

const yOf = (hour: number) => (HEIGHT - FOOT) * (hour / DAY_H);

function MonthOfStrip({
  circuit,
  planned,
  month0,
  each,
}: StripGiven & { readonly month0: number; readonly each: number }) {
  const ink = useInk();
  const after = burningIn(planned, month0 + 1);
  const edges = burningIn(circuit, month0 + 1).spans.flatMap(({ onMinute, offMinute }) => [onMinute, offMinute]);
  const left = month0 * each + 2;
  return (
    <>
      <Rect x={left - 1} y={0} width={each - 2} height={HEIGHT - FOOT} fill="none" stroke={ink.line} />
      {after.spans.map((span) => (
        <Rect
          key={span.onMinute}
          x={left}
          y={yOf(span.onMinute / 60)}
          width={each - 4}
          height={yOf(hoursOf([span]))}
          fill={ink.factor.light}
          fillOpacity={0.35 + 0.65 * after.level}
        />
      ))}
      {edges.map((minute) => (
        <Line
          key={minute}
          x1={left}
          x2={left + each - 4}
          y1={yOf(minute / 60)}
          y2={yOf(minute / 60)}
          stroke={ink.ink}
          strokeWidth={1.5}
        />
      ))}
      <SvgText
        x={left - 2 + each / 2}
        y={HEIGHT - 2}
        fontSize={10}
        fontFamily={FONT.lettering}
        fill={ink.soft}
        textAnchor="middle"
      >
        {MONTH_NAMES[month0]!.slice(0, 1)}
      </SvgText>
    </>
  );
}
