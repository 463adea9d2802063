/**
 * A room under light at a month, a day and an hour: its light over the plan, the sun's patch, playing through the day.
 */
import {
  clockOf,
  DAY_FRAMES,
  SKY_KINDS,
  compassWord,
  type HomeFacts,
  type Room,
  type RoomDay,
  type SkyKind,
} from '@dulvan/core';
import { useEffect, useState } from 'react';
import { AccessibilityInfo, View } from 'react-native';
import { shownValue, useRoomDay } from '../../state/questions';
import { useYear } from '../../state/year';
import { Pending } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useUnits } from '../../state/settings';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { Drawing } from '../../ui/drawing';
import { MonthSlider } from '../../ui/month-slider';
import { Row, TwoPanes } from '../../ui/page';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { StepSlider } from '../../ui/step-slider';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { brightness, length, spotPlace } from '../../parts/words';
import { monthName } from '../../ui/months';
import { RoomPlan } from '../../parts/room-plan';
import { useMonth } from '../../parts/use-month';
import { NotHere } from '../../parts/not-here';
import { PPFD_STEPS, instantOpacity } from './instant-wash';
import { ROOM_DAY_SCREEN as WORDS } from './light-words';

const SKY_WORD: Readonly<Record<SkyKind, string>> = {
  typical: 'Mean of the month',
  clear: 'Clear',
  overcast: 'Overcast',
};

export function RoomDayScreen({ roomId }: { readonly roomId: string }) {
  const facts = useFacts();
  const room = facts?.rooms.find((candidate) => candidate.id === roomId);
  if (!facts || !room) return <NotHere what="room" back="/rooms" />;
  return <DayView facts={facts} room={room} />;
}

const FRAME_MS = 140;
const FIRST_FRAME = 48;
const MINUTES = 1440 / DAY_FRAMES;
const FRAMES_AN_HOUR = 60 / MINUTES;

interface DayGiven {
  readonly facts: HomeFacts;
  readonly room: Room;
}

function DayView({ facts, room }: DayGiven) {
  const [month, setMonth] = useMonth();
  const [day, setDay] = useState<1 | 11 | 21>(21);
  const [sky, setSky] = useState<SkyKind>('clear');
  const time = useTime();
  const year = useYear(facts);
  const asked = useRoomDay(facts, room.id, { year, month, day }, sky);
  const shown = shownValue(asked);
  const when = { frame: time.frame, month, day, sky };
  const first = (
    <>
      <TextLink href={{ pathname: '/rooms/[roomId]', params: { roomId: room.id } }}>{room.name}</TextLink>
      <Title>{`${clockOf(time.frame * MINUTES)}, ${day} ${monthName(month)}`}</Title>
      {shown ? <SunWords shown={shown} frame={time.frame} /> : <Pending asked={asked} />}
      <LitPlan facts={facts} room={room} shown={shown} when={when} />
      <TimeOfDay time={time} />
    </>
  );
  const second = (
    <>
      <View style={{ gap: SPACE.s }}>
        <Strong>{WORDS.sky}</Strong>
        <Choices
          label={WORDS.sky}
          value={sky}
          onValue={(value) => setSky(value as SkyKind)}
          choices={SKY_KINDS.map((kind) => ({ value: kind, word: SKY_WORD[kind] }))}
        />
        <Strong>{WORDS.monthAndDay}</Strong>
        <MonthSlider month={month} onMonth={setMonth} />
        <Choices
          label={WORDS.day}
          value={String(day)}
          onValue={(value) => setDay(Number(value) as 1 | 11 | 21)}
          choices={[1, 11, 21].map((value) => ({ value: String(value), word: `${value}.` }))}
        />
      </View>
      <Heading>{WORDS.atSpots}</Heading>
      {shown ? <SpotsNow facts={facts} shown={shown} frame={time.frame} /> : null}
      <Small>{WORDS.howToRead}</Small>
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

/** The time of day that is shown, as a frame of the day, by hand or running. */
function useTime() {
  const [frame, setFrame] = useState(FIRST_FRAME);
  const [playing, setPlaying] = useState<'no' | 'yes'>('no');
  useEffect(() => {
    if (playing === 'no') return undefined;
    const timer = setInterval(() => setFrame((now) => (now + 1) % DAY_FRAMES), FRAME_MS);
    return () => clearInterval(timer);
  }, [playing]);
  const move = (by: number) => setFrame((now) => (now + DAY_FRAMES + by) % DAY_FRAMES);
  const play = async () => {
    // Who asked for less motion steps by hand.
    if (playing === 'no' && (await AccessibilityInfo.isReduceMotionEnabled())) move(FRAMES_AN_HOUR);
    else setPlaying(playing === 'no' ? 'yes' : 'no');
  };
  const set = (value: number) => {
    setPlaying('no');
    setFrame(value);
  };
  return { frame, playing, move, play, set };
}

function TimeOfDay({ time: { frame, playing, move, play, set } }: { readonly time: ReturnType<typeof useTime> }) {
  return (
    <>
      <StepSlider
        label={WORDS.timeOfDay}
        value={frame}
        most={DAY_FRAMES - 1}
        words={clockOf(frame * MINUTES)}
        onValue={set}
      />
      <Row>
        <Button kind="main" onPress={() => void play()}>
          {playing === 'yes' ? WORDS.stop : WORDS.playDay}
        </Button>
        <Button label={WORDS.hourEarlier} onPress={() => move(-FRAMES_AN_HOUR)}>
          − 1 h
        </Button>
        <Button label={WORDS.hourLater} onPress={() => move(FRAMES_AN_HOUR)}>
          + 1 h
        </Button>
      </Row>
    </>
  );
}

function SunWords({ shown, frame }: { readonly shown: RoomDay; readonly frame: number }) {
  const elevation = shown.sunElevationDeg[frame]!;
  const sun =
    elevation > 0 ? WORDS.sunInHigh(compassWord(shown.sunAzimuthDeg[frame]!), Math.round(elevation)) : WORDS.sunIsDown;
  const patch = shown.patches[frame]!.length > 0 ? WORDS.patchOutlined : WORDS.noPatchOnFloor;
  return <Small>{`${sun}. ${patch}`}</Small>;
}

interface LitPlanGiven extends DayGiven {
  readonly shown: RoomDay | null;
  readonly when: { readonly frame: number; readonly month: number; readonly day: number; readonly sky: SkyKind };
}

function LitPlan({ facts, room, shown, when: { frame, month, day, sky } }: LitPlanGiven) {
  const date = `${day} ${monthName(month)}`;
  const cells = shown ? shown.columns * shown.rows : 0;
  const now = shown?.ppfd.subarray(frame * cells, (frame + 1) * cells);
  const lit =
    shown && now
      ? {
          instant: { columns: shown.columns, rows: shown.rows, opacity: Array.from(now, instantOpacity) },
          sunPatches: shown.patches[frame]!,
        }
      : {};
  return (
    <Drawing
      name={WORDS.pictureOf(facts.home.name, room.name, clockOf(frame * MINUTES), date, SKY_WORD[sky].toLowerCase())}
      minHeight={260}
      legend={<Legend heightM={shown?.heightM ?? 0.8} />}
    >
      {(width) => <RoomPlan facts={facts} room={room} month={month} wash={null} width={width} {...lit} />}
    </Drawing>
  );
}

function Legend({ heightM }: { readonly heightM: number }) {
  const ink = useInk();
  const units = useUnits();
  return (
    <View style={{ gap: 4 }}>
      <Small>{WORDS.ppfdAtHeight(length(heightM, units))}</Small>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        {PPFD_STEPS.map((from) => (
          <View key={from} style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
            <View
              style={{
                width: 18,
                height: 14,
                backgroundColor: ink.wash,
                opacity: instantOpacity(from),
                borderWidth: 1,
                borderColor: ink.strongLine,
              }}
            />
            <Small>{`${from}`}</Small>
          </View>
        ))}
      </View>
    </View>
  );
}

/** Each spot's light at that time, at its own leaves, readings counted in. */
function SpotsNow({
  facts,
  shown,
  frame,
}: {
  readonly facts: HomeFacts;
  readonly shown: RoomDay;
  readonly frame: number;
}) {
  const units = useUnits();
  return (
    <Table
      name={WORDS.lightAtEachSpot}
      columns={[{ share: 3 }, { share: 2, align: 'right' }]}
      rows={shown.spots.map(({ spotId, ppfd }) => ({
        key: spotId,
        cells: [
          spotPlace(facts, spotId).split(' · ')[0]!,
          <Body key={spotId} testID={`now-${spotId}`}>
            {brightness(ppfd[frame]!, units)}
          </Body>,
        ],
      }))}
    />
  );
}
