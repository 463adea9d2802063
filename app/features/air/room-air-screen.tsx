/** A room's air: through the year, through a day, over its plan; whose air is wrong; where its water comes from. */
import type { HomeFacts, Room, RoomAirMonth } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { NotHere } from '../../parts/not-here';
import { Pending } from '../../parts/pending';
import { useMonth } from '../../parts/use-month';
import { degrees, hours } from '../../parts/words';
import { useFacts } from '../../state/home';
import { shownValue, useRoomAir } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Drawing } from '../../ui/drawing';
import { Fold } from '../../ui/fold';
import { MonthSlider } from '../../ui/month-slider';
import { monthName } from '../../ui/months';
import { TwoPanes } from '../../ui/page';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { AirDayDrawing, AirDayLegend, DAY_HEIGHT } from './air-day-drawing';
import { AirPlan } from './air-plan';
import { AirPlants } from './air-plants';
import { AIR_DAY_DRAWING, ROOM_AIR_SCREEN as WORDS, WATER_DAY, WET_HOURS } from './air-words';
import { AirYearDrawing, AirYearLegend, YEAR_HEIGHT } from './air-year-drawing';
import { AIR_FIGURES, type AirFigure } from './figures';

export function RoomAirScreen({ roomId }: { readonly roomId: string }) {
  const facts = useFacts();
  const room = facts?.rooms.find((candidate) => candidate.id === roomId);
  if (!facts || !room) return <NotHere what="room" back="/rooms" />;
  return <AirView facts={facts} room={room} />;
}

interface Given {
  readonly facts: HomeFacts;
  readonly room: Room;
}

function AirView({ facts, room }: Given) {
  const [month, setMonth] = useMonth();
  const asked = useRoomAir(facts, room.id);
  const months = shownValue(asked);
  const here = months?.[month - 1];
  const first = (
    <>
      <TextLink href={{ pathname: '/rooms/[roomId]', params: { roomId: room.id } }}>{room.name}</TextLink>
      <Title>{WORDS.title}</Title>
      {months && here ? <YearOfAir {...{ facts, room, months, month }} /> : <Pending asked={asked} />}
      <MonthSlider month={month} onMonth={setMonth} />
      {here ? <DayOfAir {...{ facts, room, here }} /> : null}
      <TextLink href={{ pathname: '/air/remedies/[roomId]', params: { roomId: room.id } }}>{WORDS.remedies}</TextLink>
      <TextLink href={{ pathname: '/air/enclosure/[roomId]', params: { roomId: room.id } }}>{WORDS.enclosure}</TextLink>
    </>
  );
  const second = here ? (
    <>
      <AirPlants facts={facts} room={room} />
      <Heading>{WORDS.onPlan}</Heading>
      <AirPlan facts={facts} room={room} month={month} />
      <WaterOfDay here={here} />
      <Fold title={WORDS.months} begins="shut">
        <MonthTable months={months!} />
      </Fold>
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'rooms', id: room.id } }}>
        {WORDS.edit}
      </TextLink>
    </>
  ) : null;
  return <TwoPanes first={first} second={second} />;
}

interface MonthsGiven extends Given {
  readonly months: readonly RoomAirMonth[];
  readonly month: number;
}

function YearOfAir({ facts, room, months, month }: MonthsGiven) {
  const units = useUnits();
  const [figure, setFigure] = useState<AirFigure>('warmth');
  const isSaid = facts.climates.some(({ roomId }) => roomId === room.id);
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label={WORDS.what}
        choices={AIR_FIGURES.map((value) => ({ value, word: WORDS[value] }))}
        value={figure}
        onValue={(value) => setFigure(value as AirFigure)}
      />
      <Drawing
        name={WORDS.pictureOfYear(facts.home.name, room.name, WORDS[figure].toLowerCase())}
        minHeight={YEAR_HEIGHT}
        legend={<AirYearLegend figure={figure} units={units} />}
      >
        {(width) => <AirYearDrawing {...{ months, figure, month, width }} told={WORDS[figure]} />}
      </Drawing>
      <Small>{WORDS.aboutYear(WORDS[months[month - 1]!.basis])}</Small>
      {isSaid ? null : (
        <View>
          <Small>{WORDS.nothingSaid}</Small>
          <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'climates', id: 'new', parent: room.id } }}>
            {WORDS.sayMore}
          </TextLink>
        </View>
      )}
    </View>
  );
}

function DayOfAir({ facts, room, here }: Given & { readonly here: RoomAirMonth }) {
  const units = useUnits();
  const day = { celsius: here.celsius, rh: here.rh, besideC: here.outdoorC, spread: here.spread };
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.dayIn(monthName(here.month))}</Heading>
      <Drawing
        name={WORDS.pictureOfDay(facts.home.name, room.name, monthName(here.month))}
        minHeight={DAY_HEIGHT}
        legend={<AirDayLegend month={here} units={units} />}
      >
        {(width) => <AirDayDrawing {...{ day, width, units }} told={AIR_DAY_DRAWING.told} />}
      </Drawing>
      {here.openedH > 0 ? <Small>{WORDS.windowsOpened}</Small> : null}
      {here.paneWetH > 0 ? <Body>{WET_HOURS.pane(hours(here.paneWetH))}</Body> : null}
      {here.mouldH > 0 ? <Body>{WET_HOURS.mould}</Body> : null}
    </View>
  );
}

/** Less water in a day is not told, g. */
const LEAST_TOLD_G = 1;

function WaterOfDay({ here }: { readonly here: RoomAirMonth }) {
  const { sourcesG, evaporationG, humidifierG, dehumidifierG, condensationG, airingG, linksG } = here.water;
  const rows = [
    ['sources', sourcesG],
    ['evaporation', evaporationG],
    ['humidifier', humidifierG],
    ['dehumidifier', dehumidifierG],
    ['condensation', condensationG],
    ['airing', airingG],
    ['links', linksG],
  ] as const;
  const told = rows.filter(([, grams]) => Math.abs(grams) >= LEAST_TOLD_G);
  if (told.length === 0) return null;
  const signed = (grams: number) => `${grams < 0 ? '−' : '+'}${Math.abs(Math.round(grams))}`;
  return (
    <>
      <Heading>{WORDS.waterOfDay}</Heading>
      <Table
        name={WORDS.waterOfDay}
        columns={[{ share: 3 }, { share: 1, align: 'right' }]}
        rows={told.map(([key, grams]) => ({ key, cells: [WATER_DAY[key], WATER_DAY.grams(signed(grams))] }))}
      />
    </>
  );
}

function MonthTable({ months }: { readonly months: readonly RoomAirMonth[] }) {
  const units = useUnits();
  return (
    <Table
      name={WORDS.months}
      columns={[WORDS.month, WORDS.day, WORDS.night, WORDS.humidity].map((name) => ({ name }))}
      rows={months.map(({ month, dayC, nightC, dayRh, nightRh }) => ({
        key: String(month),
        cells: [
          monthName(month),
          degrees(dayC, units),
          degrees(nightC, units),
          `${Math.round(dayRh)} / ${Math.round(nightRh)} %`,
        ],
      }))}
    />
  );
}
