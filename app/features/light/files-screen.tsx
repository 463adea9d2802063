/** Weather and lamps from files: a year of hours in EPW, lamps in LM-63 and EULUMDAT; in and out. */
import type { Change } from '@dulvan/contract';
import { MOST_INTENSITIES } from '@dulvan/contract';
import { monthlyGlobal, type HomeFacts, type Photometry } from '@dulvan/core';
import {
  FILE_LIMIT,
  readEpw,
  readEulumdat,
  readLm63,
  writeEulumdat,
  writeLm63,
  type ParsedFile,
} from '@dulvan/formats';
import { useRef, useState, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { useFacts, useHome } from '../../state/home';
import { Button, TextLink } from '../../ui/button';
import { saveFile } from '../../ui/files';
import { Row, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { count, weatherName } from '../../ui/words';
import { newId } from '../place/blank';

export function FilesScreen() {
  const facts = useFacts();
  if (!facts) return null;
  return <TwoPanes first={<WeatherPart facts={facts} />} second={<LampPart facts={facts} />} />;
}

const KM_PER_DEGREE = 111;

/** Kilometres between a home and a station, near enough. */
function distanceKm(facts: HomeFacts, station: { readonly latitude: number; readonly longitude: number }): number {
  const across =
    (((station.longitude - facts.home.longitude + 540) % 360) - 180) * Math.cos((facts.home.latitude * Math.PI) / 180);
  return Math.hypot(station.latitude - facts.home.latitude, across) * KM_PER_DEGREE;
}

/** What became of a file that was chosen. */
interface Outcome {
  readonly refused: string | null;
  readonly remarks: readonly string[];
}

const NOTHING: Outcome = { refused: null, remarks: [] };

function WeatherPart({ facts }: { readonly facts: HomeFacts }) {
  const change = useHome((state) => state.change);
  const [outcome, setOutcome] = useState<Outcome>(NOTHING);
  const [file] = facts.weathers;
  const take = async (text: string) => {
    const read = readEpw(text);
    if (!read.ok)
      return setOutcome({ refused: `Line ${read.line}: ${read.message} Nothing was changed.`, remarks: [] });
    const id = newId();
    const changes: Change[] = [
      ...facts.weathers.map((old): Change => ({ list: 'weathers', id: old.id, after: null })),
      { list: 'weathers', id, after: { id, homeId: facts.home.id, ...read.value } },
    ];
    const refused = await change(`Weather from ${read.value.name}`, changes);
    return setOutcome({ refused: refused?.message ?? null, remarks: read.remarks });
  };
  return (
    <>
      <TextLink href="/place">The place</TextLink>
      <Title>Weather and lamps from files</Title>
      <Heading>Weather</Heading>
      <Body>{`Now: ${weatherName(facts)}.`}</Body>
      {file ? (
        <StationFacts facts={facts} />
      ) : (
        <Body>
          A year of hourly weather in the EPW format, of the station nearest to you, tells cloud and sun better than a
          climate family.
        </Body>
      )}
      <Row>
        <Chooser
          label="Choose an EPW file"
          accept=".epw,.txt,text/plain"
          onText={take}
          onRefused={(refused) => setOutcome({ refused, remarks: [] })}
        />
        {file ? (
          <Button
            kind="danger"
            onPress={() =>
              void change(`Took out the weather of ${file.name}`, [{ list: 'weathers', id: file.id, after: null }])
            }
          >
            Take the file out
          </Button>
        ) : null}
      </Row>
      <Told outcome={outcome} />
    </>
  );
}

function StationFacts({ facts }: { readonly facts: HomeFacts }) {
  const [file] = facts.weathers;
  const months = monthlyGlobal(file!);
  const away = distanceKm(facts, file!);
  return (
    <View style={{ gap: 2 }}>
      <Small>{`${file!.latitude}°, ${file!.longitude}°, ${file!.elevationM} m; clock UTC${file!.utcOffsetH >= 0 ? '+' : ''}${file!.utcOffsetH}; about ${Math.round(away)} km from here.`}</Small>
      {away > 150 ? <Small>! That is far: clouds may differ.</Small> : null}
      <Small>{`Sun and sky on level ground, kWh/m² a day, January first: ${months.map((kwh) => kwh.toFixed(1)).join(', ')}.`}</Small>
      <Small>
        Within each hour beam and diffuse light follow a clear sky’s course, so that the sun can be traced every quarter
        of an hour.
      </Small>
    </View>
  );
}

function LampPart({ facts }: { readonly facts: HomeFacts }) {
  const change = useHome((state) => state.change);
  const [outcome, setOutcome] = useState<Outcome>(NOTHING);
  const take = async (text: string) => {
    const read = readLamp(text);
    if (!read.ok)
      return setOutcome({ refused: `Line ${read.line}: ${read.message} Nothing was changed.`, remarks: [] });
    const id = newId();
    const refused = await change(`Lamp file ${read.value.name}`, [
      { list: 'photometries', id, after: { id, homeId: facts.home.id, ...read.value } },
    ]);
    return setOutcome({ refused: refused?.message ?? null, remarks: read.remarks });
  };
  return (
    <>
      <Heading>Lamps</Heading>
      <Body>{`How a lamp spreads its light, as measured: LM-63 (.ies) or EULUMDAT (.ldt), up to ${MOST_INTENSITIES.toLocaleString('en')} intensities. Choose it then in the lamp’s form.`}</Body>
      <Chooser
        label="Choose a lamp file"
        accept=".ies,.ldt,.txt,text/plain"
        onText={take}
        onRefused={(refused) => setOutcome({ refused, remarks: [] })}
      />
      <Told outcome={outcome} />
      {facts.photometries.map((photometry) => (
        <LampFile key={photometry.id} facts={facts} photometry={photometry} />
      ))}
    </>
  );
}

/** The format is told by the text itself: LM-63 has a TILT line in its head. */
function readLamp(text: string): ParsedFile<Omit<Photometry, 'id' | 'homeId'>> {
  return /^\s*TILT\s*=/im.test(text.slice(0, 100_000)) ? readLm63(text) : readEulumdat(text);
}

function LampFile({ facts, photometry }: { readonly facts: HomeFacts; readonly photometry: Photometry }) {
  const { line, danger } = useInk();
  const change = useHome((state) => state.change);
  const [refused, setRefused] = useState<string | null>(null);
  const users = facts.lamps.filter((lamp) => lamp.photometryId === photometry.id);
  const fileName = photometry.name.replace(/[^A-Za-z0-9]+/g, '-').slice(0, 40) || 'lamp';
  const takeOut = async () => {
    const answer = await change(`Took out the lamp file ${photometry.name}`, [
      ...users.map((lamp): Change => ({ list: 'lamps', id: lamp.id, after: { ...lamp, photometryId: null } })),
      { list: 'photometries', id: photometry.id, after: null },
    ]);
    setRefused(answer?.message ?? null);
  };
  return (
    <View style={{ borderTopWidth: 1, borderColor: line, paddingTop: SPACE.s, gap: SPACE.xs }}>
      <Strong>{photometry.name}</Strong>
      <Small>{`${Math.round(photometry.lumens)} lm, ${photometry.powerW} W, ${count(photometry.planes.length, 'plane')} of ${photometry.angles.length} angles; ${users.length === 0 ? 'no lamp uses it' : `used by ${users.map((lamp) => lamp.name).join(', ')}`}`}</Small>
      <Row>
        <Button
          label={`Save ${photometry.name} as LM-63`}
          onPress={() => saveFile(`${fileName}.ies`, writeLm63(photometry), 'text/plain')}
        >
          Save as LM-63
        </Button>
        <Button
          label={`Save ${photometry.name} as EULUMDAT`}
          onPress={() => saveFile(`${fileName}.ldt`, writeEulumdat(photometry), 'text/plain')}
        >
          Save as EULUMDAT
        </Button>
        <Button kind="danger" label={`Take out ${photometry.name}`} onPress={() => void takeOut()}>
          Take out
        </Button>
      </Row>
      {refused ? <Small style={{ color: danger }}>✕ {refused}</Small> : null}
    </View>
  );
}

interface ChooserGiven {
  readonly label: string;
  readonly accept: string;
  readonly onText: (text: string) => Promise<void>;
  readonly onRefused: (message: string) => void;
}

function Chooser({ label, accept, onText, onRefused }: ChooserGiven) {
  const input = useRef<HTMLInputElement>(null);
  const chosen = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    // Refused before it is read: a file of that size would stop the screen.
    if (file.size > FILE_LIMIT)
      onRefused(`The file is larger than ${FILE_LIMIT / 1_000_000} MB; no such file is. Nothing was read.`);
    else await onText(await file.text());
  };
  return (
    <View>
      <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={`${label}, file`}
        onChange={(event) => void chosen(event)}
        style={{ display: 'none' }}
      />
    </View>
  );
}

function Told({ outcome }: { readonly outcome: Outcome }) {
  const { danger } = useInk();
  return (
    <View role="status" aria-live="polite">
      {outcome.refused ? <Small style={{ color: danger }}>✕ {outcome.refused}</Small> : null}
      {outcome.remarks.map((remark) => (
        <Small key={remark}>{`! ${remark}`}</Small>
      ))}
    </View>
  );
}
