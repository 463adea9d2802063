/** A cabinet, dome or bag tried before it is bought or shut: its air by the hour, and how soon the sun overheats it. */
import { roomIdOfSpot, type HomeFacts, type Room, type ShellKind } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { NotHere } from '../../parts/not-here';
import { Pending } from '../../parts/pending';
import { useMonth } from '../../parts/use-month';
import { degrees, hours, length, spotPlace } from '../../parts/words';
import { useFacts } from '../../state/home';
import { shownValue, useEnclosure } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { MonthSlider } from '../../ui/month-slider';
import { monthName } from '../../ui/months';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { StepSlider } from '../../ui/step-slider';
import { Body, Heading, Strong, Title } from '../../ui/type';
import { ENCLOSURE_SCREEN as WORDS } from './air-words';
import { EnclosureOutcome } from './enclosure-outcome';

export function EnclosureScreen({ roomId }: { readonly roomId: string }) {
  const facts = useFacts();
  const room = facts?.rooms.find((candidate) => candidate.id === roomId);
  if (!facts || !room) return <NotHere what="room" back="/rooms" />;
  const spots = facts.spots.filter(({ id }) => roomIdOfSpot(facts, id) === roomId);
  if (spots.length === 0) return <NoSpots room={room} />;
  return <Builder facts={facts} room={room} spotIds={spots.map(({ id }) => id)} />;
}

const back = (room: Room) => (
  <TextLink href={{ pathname: '/air/[roomId]', params: { roomId: room.id } }}>{room.name}</TextLink>
);

function NoSpots({ room }: { readonly room: Room }) {
  const first = (
    <>
      {back(room)}
      <Title>{WORDS.title}</Title>
      <Body>{WORDS.noSpots}</Body>
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'rooms', id: room.id } }}>
        {WORDS.addSpot}
      </TextLink>
    </>
  );
  return <TwoPanes first={first} second={null} />;
}

/** Sliders in steps: sizes in 5 cm, watts in 5, degrees one by one. */
const SIZE_STEP_M = 0.05;
const LAMP_STEP_W = 5;
const HIGHEST_FROM_C = 25;
const LAMP_FROM_MINUTE = 480;
const MINUTES_AN_HOUR = 60;
const MINUTES_A_DAY = 1440;
const AIRINGS = { shut: 0.2, gap: 1, vents: 6, fan: 40 } as const;
type AiredBy = keyof typeof AIRINGS;
const WET_SHARES = { none: 0, half: 0.5, all: 1 } as const;
type WetFloor = keyof typeof WET_SHARES;

const SLIDERS = {
  width: { most: 40, begins: 8 },
  depth: { most: 40, begins: 6 },
  height: { most: 40, begins: 8 },
  lamp: { most: 40, begins: 0 },
  lampHours: { most: 24, begins: 12 },
  highest: { most: 20, begins: 9 },
} as const;
type Slider = keyof typeof SLIDERS;
const SLIDER_NAMES = Object.keys(SLIDERS) as Slider[];

interface Given {
  readonly facts: HomeFacts;
  readonly room: Room;
  readonly spotIds: readonly string[];
}

/** What is asked of an enclosure, as it is chosen on screen. */
interface Chosen {
  readonly spotId: string;
  readonly shell: ShellKind;
  readonly aired: AiredBy;
  readonly wet: WetFloor;
  readonly steps: Readonly<Record<Slider, number>>;
}

const begun = (spotId: string): Chosen => ({
  ...{ spotId, shell: 'acrylic', aired: 'shut', wet: 'all' },
  steps: Object.fromEntries(SLIDER_NAMES.map((name) => [name, SLIDERS[name].begins])) as Record<Slider, number>,
});

/** What was chosen, in metres, watts and minutes. */
function figuresOf({ spotId, shell, aired, wet, steps }: Chosen) {
  const metres = (name: 'width' | 'depth' | 'height') => SIZE_STEP_M * Math.max(1, steps[name]);
  const [widthM, depthM, heightM] = [metres('width'), metres('depth'), metres('height')];
  const lampMinutes = MINUTES_AN_HOUR * Math.max(1, steps.lampHours);
  const lampToMinute = Math.min(MINUTES_A_DAY, LAMP_FROM_MINUTE + lampMinutes);
  return {
    ...{ spotId, widthM, depthM, heightM, shell, lampToMinute },
    highestC: HIGHEST_FROM_C + steps.highest,
    changesH: AIRINGS[aired],
    lampW: LAMP_STEP_W * steps.lamp,
    lampFromMinute: lampToMinute - lampMinutes,
    wetM2: WET_SHARES[wet] * widthM * depthM,
  };
}

function Builder({ facts, room, spotIds }: Given) {
  const [month, setMonth] = useMonth();
  const [chosen, setChosen] = useState(() => begun(spotIds[0]!));
  const figures = figuresOf(chosen);
  const asked = useEnclosure(facts, { ...figures, month });
  const answer = shownValue(asked);
  const first = (
    <>
      {back(room)}
      <Title>{WORDS.title}</Title>
      <Body>{WORDS.about}</Body>
      <Made {...{ facts, spotIds, chosen }} onChosen={setChosen} />
    </>
  );
  const second = (
    <>
      <Heading>{WORDS.dayIn(monthName(month))}</Heading>
      <MonthSlider month={month} onMonth={setMonth} />
      {answer ? <EnclosureOutcome {...{ answer, room }} highestC={figures.highestC} /> : <Pending asked={asked} />}
      {asked.state === 'ready' && asked.value === null ? <Body>{WORDS.noOutdoors}</Body> : null}
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

interface MadeGiven {
  readonly facts: HomeFacts;
  readonly spotIds: readonly string[];
  readonly chosen: Chosen;
  readonly onChosen: (chosen: Chosen) => void;
}

/** Where it stands and how it is made. */
function Made({ facts, spotIds, chosen, onChosen }: MadeGiven) {
  const units = useUnits();
  const { widthM, depthM, heightM, lampW, highestC } = figuresOf(chosen);
  const words: Readonly<Record<Slider, string>> = {
    width: length(widthM, units),
    depth: length(depthM, units),
    height: length(heightM, units),
    lamp: WORDS.watts(`${lampW}`),
    lampHours: hours(Math.max(1, chosen.steps.lampHours)),
    highest: degrees(highestC, units),
  };
  const one = <K extends 'spotId' | 'shell' | 'aired' | 'wet'>(
    field: K,
    label: string,
    choices: Readonly<Record<Chosen[K], string>>,
  ) => (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{label}</Strong>
      <Choices
        label={label}
        choices={(Object.keys(choices) as Chosen[K][]).map((value) => ({ value, word: choices[value] }))}
        value={chosen[field]}
        onValue={(value) => onChosen({ ...chosen, [field]: value })}
      />
    </View>
  );
  return (
    <>
      {one('spotId', WORDS.where, Object.fromEntries(spotIds.map((id) => [id, spotPlace(facts, id)])))}
      {one('shell', WORDS.shell, WORDS.shells)}
      {one('aired', WORDS.aired, WORDS.airings)}
      {one('wet', WORDS.wet, WORDS.wets)}
      {SLIDER_NAMES.map((name) => (
        <Stepped
          key={name}
          name={name}
          steps={chosen.steps}
          words={words[name]}
          onValue={(value) => onChosen({ ...chosen, steps: { ...chosen.steps, [name]: value } })}
        />
      ))}
    </>
  );
}

interface SteppedGiven {
  readonly name: Slider;
  readonly steps: Readonly<Record<Slider, number>>;
  readonly words: string;
  readonly onValue: (value: number) => void;
}

function Stepped({ name, steps, words, onValue }: SteppedGiven) {
  return (
    <>
      <Strong>{`${WORDS.sliders[name]}: ${words}`}</Strong>
      <StepSlider
        label={WORDS.sliders[name]}
        value={steps[name]}
        most={SLIDERS[name].most}
        words={words}
        onValue={onValue}
      />
    </>
  );
}
