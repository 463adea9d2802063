/**
 * A spot's light year: days across, hours down, what shines when; below, each day's sum against what a plant there
 * wants.
 */
import { SHINING, YEAR_ROWS, type HomeFacts, type LightYear, type Spot, type Target } from '@dulvan/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Defs, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg';
import { shownValue, useLightYear } from '../../state/questions';
import { useVerdicts } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { TextLink } from '../../ui/button';
import { Drawing } from '../../ui/drawing';
import { MonthSlider } from '../../ui/month-slider';
import { TwoPanes } from '../../ui/page';
import { Table } from '../../ui/table';
import { FONT } from '../../ui/theme';
import { Heading, Small, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { hours, mol, plantName, weatherName } from '../../parts/words';
import { MONTH_NAMES, monthName } from '../../ui/months';
import { useMonth } from '../../parts/use-month';
import { NotHere } from '../../parts/not-here';
import { STRENGTHS, dailyDli, lightHours, stretchPaths } from './light-year-drawing';
import { LIGHT_YEAR_SCREEN as WORDS } from './light-words';

export function LightYearScreen({ spotId }: { readonly spotId: string }) {
  const facts = useFacts();
  const spot = facts?.spots.find((candidate) => candidate.id === spotId);
  if (!facts || !spot) return <NotHere what="spot" back="/rooms" />;
  return <YearView facts={facts} spot={spot} />;
}

const HEIGHT = 260;
const SUM_HEIGHT = 130;
const LEFT = 30;

function YearView({ facts, spot }: { readonly facts: HomeFacts; readonly spot: Spot }) {
  const [month, setMonth] = useMonth();
  const asked = useLightYear(facts, spot.id);
  const year = shownValue(asked);
  const plants = facts.plants.filter((plant) => plant.spotId === spot.id);
  const { answers } = useVerdicts();
  const targets = plants.flatMap((plant) => {
    const answer = answers?.plants.find((candidate) => candidate.plantId === plant.id);
    return answer && answer.targets.length === 12 ? [{ name: plantName(facts, plant), targets: answer.targets }] : [];
  });
  const first = (
    <>
      <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId: spot.id } }}>{spot.name}</TextLink>
      <Title>{WORDS.everyDayAndHour}</Title>
      <Small>{WORDS.howToRead(weatherName(facts))}</Small>
      <Drawing name={WORDS.pictureOfDays(facts.home.name, spot.name)} minHeight={HEIGHT} legend={<Legend />}>
        {(width) => (year ? <Hours year={year} width={width} month={month} /> : <Pending asked={asked} />)}
      </Drawing>
      <MonthSlider month={month} onMonth={setMonth} />
    </>
  );
  const second = year ? (
    <>
      <Heading>{WORDS.eachDaysSum}</Heading>
      <Drawing
        name={WORDS.pictureOfSums(facts.home.name, spot.name)}
        minHeight={SUM_HEIGHT}
        legend={<Small>{targets.length === 0 ? WORDS.noPlantWithNeeds : WORDS.greyBand(targets[0]!.name)}</Small>}
      >
        {(width) => <Sums year={year} width={width} targets={targets[0]?.targets ?? null} />}
      </Drawing>
      <MonthTable year={year} targets={targets[0]?.targets ?? null} />
    </>
  ) : null;
  return <TwoPanes first={first} second={second} />;
}

interface HoursGiven {
  readonly year: LightYear;
  readonly width: number;
  readonly month: number;
}

function Hours({ year, width, month }: HoursGiven) {
  const ink = useInk();
  const paths = useMemo(() => stretchPaths(year), [year]);
  const colour = { dark: ink.sheet, sun: ink.source.sun, diffuse: ink.source.sky, lamps: ink.source.lamps };
  const x = (day: number) => LEFT + (day / year.days) * (width - LEFT);
  const scaleY = (HEIGHT - 20) / YEAR_ROWS;
  const from = x(year.monthStarts[month - 1]!);
  const to = x(year.monthStarts[month] ?? year.days);
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={WORDS.whatShinesTold}>
      <Defs>
        <Pattern id="by-lamps" patternUnits="userSpaceOnUse" width={4} height={4}>
          <Rect width={4} height={4} fill={colour.lamps} opacity={0.35} />
          <Line x1={0} y1={1} x2={4} y2={1} stroke={colour.lamps} strokeWidth={1.6} />
        </Pattern>
      </Defs>
      <Rect x={LEFT} y={0} width={width - LEFT} height={HEIGHT - 20} fill={ink.sheet} stroke={ink.line} />
      {paths.map(({ source, strength, path }) => (
        <Path
          key={`${source}-${strength}`}
          d={path(LEFT, 0, (width - LEFT) / year.days, scaleY)}
          fill={source === 'lamps' ? 'url(#by-lamps)' : colour[source]}
          opacity={(strength + 1) / STRENGTHS.length}
        />
      ))}
      <Rect
        {...{ x: from, y: 0.75, width: to - from, height: HEIGHT - 21.5 }}
        fill="none"
        stroke={ink.danger}
        strokeWidth={1.5}
      />
      {[0, 6, 12, 18, 24].map((hour) => (
        <SideMark key={hour} y={Math.max(10, (hour / 24) * (HEIGHT - 20) + 4)} words={`${hour}`} />
      ))}
      <MonthInitials year={year} x={x} y={HEIGHT - 5} />
    </Svg>
  );
}

/** A number at the left edge of a drawing. */
function SideMark({ y, words }: { readonly y: number; readonly words: string }) {
  const { soft } = useInk();
  return (
    <SvgText x={LEFT - 5} y={y} textAnchor="end" fontFamily={FONT.lettering} fontSize={13} fill={soft}>
      {words}
    </SvgText>
  );
}

interface InitialsGiven {
  readonly year: LightYear;
  readonly x: (day: number) => number;
  readonly y: number;
}

function MonthInitials({ year, x, y }: InitialsGiven) {
  const { soft } = useInk();
  return year.monthStarts.map((start, i) => (
    <SvgText
      key={start}
      x={x(start + 15)}
      y={y}
      textAnchor="middle"
      fontFamily={FONT.lettering}
      fontSize={14}
      fill={soft}
    >
      {MONTH_NAMES[i]!.charAt(0)}
    </SvgText>
  ));
}

const SOURCE_WORDS = { sun: 'Sun’s disc', diffuse: 'Sky and reflections', lamps: 'Lamps, lined' } as const;

function Legend() {
  const ink = useInk();
  const colour = { sun: ink.source.sun, diffuse: ink.source.sky, lamps: ink.source.lamps };
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {SHINING.flatMap((source) => (source === 'dark' ? [] : [source])).map((source) => (
          <View key={source} style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
            <View style={{ width: 16, height: 12, backgroundColor: colour[source] }} />
            <Small>{SOURCE_WORDS[source]}</Small>
          </View>
        ))}
      </View>
      <Small>{WORDS.steps(STRENGTHS.join(', '))}</Small>
    </View>
  );
}

interface SumsGiven {
  readonly year: LightYear;
  readonly width: number;
  readonly targets: readonly Target[] | null;
}

function Sums({ year, width, targets }: SumsGiven) {
  const ink = useInk();
  const sums = useMemo(() => dailyDli(year), [year]);
  const most = roundAbove(
    Math.max(1, ...sums, ...(targets?.map((target) => Math.min(target.light.thrivesTo, 30)) ?? [])),
  );
  const x = (day: number) => LEFT + (day / year.days) * (width - LEFT);
  const y = (dli: number) => (1 - Math.min(dli, most) / most) * (SUM_HEIGHT - 18);
  const line = sums
    .map((dli, day) => `${day === 0 ? 'M' : 'L'}${x(day + 0.5).toFixed(1)} ${y(dli).toFixed(1)}`)
    .join(' ');
  return (
    <Svg width={width} height={SUM_HEIGHT} role="img" aria-label={WORDS.sumTold}>
      {targets?.map(({ month, light: { thrivesFrom, thrivesTo } }, i) => {
        const from = x(year.monthStarts[i]!);
        const to = x(year.monthStarts[i + 1] ?? year.days);
        const top = y(thrivesTo);
        return <Rect key={month} x={from} y={top} width={to - from} height={y(thrivesFrom) - top} fill={ink.line} />;
      })}
      <Line x1={LEFT} x2={width} y1={y(0)} y2={y(0)} stroke={ink.strongLine} />
      <Path d={line} stroke={ink.factor.light} strokeWidth={1.8} fill="none" />
      {[0, most / 2].map((dli) => (
        <SideMark key={dli} y={y(dli) + 4} words={dli === 0 ? '0' : mol(dli)} />
      ))}
      <MonthInitials year={year} x={x} y={SUM_HEIGHT - 3} />
    </Svg>
  );
}

/** The next round figure whose half is round too, for the marks of an axis. */
const roundAbove = (value: number): number =>
  [1, 2, 4, 6, 8, 10, 12, 16, 20, 24, 30, 40, 60].find((at) => at >= value) ?? 80;

function MonthTable({ year, targets }: { readonly year: LightYear; readonly targets: readonly Target[] | null }) {
  const sums = dailyDli(year);
  const lit = lightHours(year);
  const mean = (list: readonly number[], from: number, to: number) =>
    list.slice(from, to).reduce((sum, value) => sum + value, 0) / (to - from);
  return (
    <Table
      name={WORDS.lightByMonth}
      columns={[WORDS.month, WORDS.molDay, WORDS.hoursLit, WORDS.wantsMol].map((name) => ({ name }))}
      rows={year.monthStarts.map((from, i) => {
        const to = year.monthStarts[i + 1] ?? year.days;
        const light = targets?.[i]?.light;
        const wants = light ? WORDS.wantedFromTo(mol(light.thrivesFrom), mol(light.thrivesTo)) : '–';
        return {
          key: String(from),
          cells: [monthName(i + 1), mol(mean(sums, from, to)), hours(mean(lit, from, to)), wants],
        };
      })}
    />
  );
}
