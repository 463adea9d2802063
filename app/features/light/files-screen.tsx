/** Weather and lamps from files: a year of hours in EPW, lamps in LM-63 and EULUMDAT; in and out. */
import {
  MOST_INTENSITIES,
  distanceKm,
  drop,
  fallenWith,
  monthlyGlobal,
  patch,
  put,
  type Change,
  type HomeFacts,
  type Photometry,
} from '@dulvan/core';
import {
  FILE_LIMIT,
  readIntensities,
  readWeatherHours,
  writeEulumdat,
  writeIntensities,
  writeLm63,
  writeWeatherHours,
  type ParsedFile,
  type ParsedPhotometry,
  type ParsedWeather,
} from '@dulvan/formats';
import { useEffect, useRef, useState, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { ask } from '../../state/api';
import { useFacts, useHome } from '../../state/home';
import { LANES } from '../../state/lanes';
import { loadStoredFile } from '../../state/stored-files';
import { Button, TextLink } from '../../ui/button';
import { saveFile } from '../../ui/files';
import { Row, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { count, weatherName } from '../../parts/words';
import { newId } from '../../parts/new-id';

export function FilesScreen() {
  const facts = useFacts();
  if (!facts) return null;
  return <TwoPanes first={<WeatherPart facts={facts} />} second={<LampPart facts={facts} />} />;
}

/** What became of a file that was chosen. */
interface Outcome {
  readonly refused: string | null;
  readonly remarks: readonly string[];
}

const NOTHING: Outcome = { refused: null, remarks: [] };

/** Sends what a fact will name to the server first; its key, or why it was refused. */
async function keepFile(
  homeId: string,
  kind: 'weather-hours' | 'intensities',
  text: string,
): Promise<{ readonly key: string } | { readonly refused: string }> {
  const type = kind === 'weather-hours' ? 'text/csv' : 'application/json';
  const stored = await ask('addFile', { params: { homeId }, query: { kind }, bytes: { content: text, type } });
  return stored.ok ? { key: stored.value.key } : { refused: stored.refusal.message };
}

/** Reads a chosen file off this thread, keeps its content and then the fact that names it. */
function useTaking<T extends { readonly name: string }>(given: {
  readonly kind: 'epw' | 'lamp';
  readonly store: (parsed: T) => Promise<string | null>;
}) {
  const [outcome, setOutcome] = useState<Outcome>(NOTHING);
  const take = async (text: string) => {
    setOutcome({ refused: null, remarks: ['Reading the file …'] });
    const parsed = (await LANES.details.read(given.kind, text)) as ParsedFile<T>;
    if (!parsed.ok) {
      setOutcome({ refused: `Line ${parsed.line}: ${parsed.message} Nothing was changed.`, remarks: [] });
      return;
    }
    setOutcome({ refused: await given.store(parsed.value), remarks: parsed.remarks });
  };
  return { outcome, setOutcome, take };
}

function WeatherPart({ facts }: { readonly facts: HomeFacts }) {
  const change = useHome((state) => state.change);
  const attempt = useHome((state) => state.attempt);
  const [file] = facts.weathers;
  const store = async ({ hours, ...station }: ParsedWeather) => {
    const stored = await keepFile(facts.home.id, 'weather-hours', writeWeatherHours(hours));
    if ('refused' in stored) return stored.refused;
    const changes: Change[] = [
      ...facts.weathers.map((old) => drop('weathers', old.id)),
      put('weathers', { id: newId(), homeId: facts.home.id, ...station, fileKey: stored.key }),
    ];
    return (await attempt(`Weather from ${station.name}`, changes))?.message ?? null;
  };
  const { outcome, setOutcome, take } = useTaking<ParsedWeather>({ kind: 'epw', store });
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
            onPress={() => void change(`Took out the weather of ${file.name}`, [drop('weathers', file.id)])}
          >
            Take the file out
          </Button>
        ) : null}
      </Row>
      <Outcomes outcome={outcome} />
    </>
  );
}

/** The content of a stored file, read; null while it is on its way. */
function useContent<T>(homeId: string, fileKey: string, read: (text: string) => ParsedFile<T>): T | null {
  const [content, setContent] = useState<{ readonly key: string; readonly value: T } | null>(null);
  useEffect(() => {
    let stale = false;
    loadStoredFile(homeId, fileKey)
      .then((text) => {
        const parsed = read(text);
        if (!stale && parsed.ok) setContent({ key: fileKey, value: parsed.value });
      })
      .catch(() => undefined);
    return () => {
      stale = true;
    };
  }, [homeId, fileKey, read]);
  return content?.key === fileKey ? content.value : null;
}

function StationFacts({ facts }: { readonly facts: HomeFacts }) {
  const file = facts.weathers[0]!;
  const hours = useContent(facts.home.id, file.fileKey, readWeatherHours);
  const away = distanceKm(facts.home, file);
  const clock = `UTC${file.utcOffsetH >= 0 ? '+' : ''}${file.utcOffsetH}`;
  return (
    <View style={{ gap: 2 }}>
      <Small>{`${file.latitude}°, ${file.longitude}°, ${file.elevationM} m; clock ${clock}; about ${Math.round(away)} km from here.`}</Small>
      {away > FAR_KM ? <Small>! That is far: clouds may differ.</Small> : null}
      <Small>
        {hours
          ? `Sun and sky on level ground, kWh/m² a day, January first: ${monthlyGlobal(hours)
              .map((kwh) => kwh.toFixed(1))
              .join(', ')}.`
          : 'Its months are being read …'}
      </Small>
      <Small>
        Within each hour beam and diffuse light follow a clear sky’s course, so that the sun can be traced every quarter
        of an hour.
      </Small>
    </View>
  );
}

/** Farther than this, clouds are others. */
const FAR_KM = 150;

function LampPart({ facts }: { readonly facts: HomeFacts }) {
  const attempt = useHome((state) => state.attempt);
  const store = async ({ planes, angles, candela, ...lamp }: ParsedPhotometry) => {
    const stored = await keepFile(facts.home.id, 'intensities', writeIntensities({ planes, angles, candela }));
    if ('refused' in stored) return stored.refused;
    const fact = { id: newId(), homeId: facts.home.id, ...lamp, fileKey: stored.key };
    return (await attempt(`Lamp file ${lamp.name}`, [put('photometries', fact)]))?.message ?? null;
  };
  const { outcome, setOutcome, take } = useTaking<ParsedPhotometry>({ kind: 'lamp', store });
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
      <Outcomes outcome={outcome} />
      {facts.photometries.map((photometry) => (
        <LampFile key={photometry.id} facts={facts} photometry={photometry} />
      ))}
    </>
  );
}

function LampFile({ facts, photometry }: { readonly facts: HomeFacts; readonly photometry: Photometry }) {
  const { line, danger } = useInk();
  const attempt = useHome((state) => state.attempt);
  const [refused, setRefused] = useState<string | null>(null);
  const intensities = useContent(facts.home.id, photometry.fileKey, readIntensities);
  const users = facts.lamps.filter((lamp) => lamp.photometryId === photometry.id);
  const fileName = photometry.name.replace(/[^A-Za-z0-9]+/g, '-').slice(0, 40) || 'lamp';
  const takeOut = async () => {
    const { gone, cleared } = fallenWith(facts, [{ list: 'photometries', id: photometry.id }]);
    const refusal = await attempt(`Took out the lamp file ${photometry.name}`, [
      ...cleared.map(({ list, id, field }) => patch(list, id, { [field]: null })),
      ...gone.map(({ list, id }) => drop(list, id)),
    ]);
    setRefused(refusal?.message ?? null);
  };
  const spread = intensities
    ? `${count(intensities.planes.length, 'plane')} of ${intensities.angles.length} angles`
    : 'its intensities are being read …';
  const usedBy = users.length === 0 ? 'no lamp uses it' : `used by ${users.map((lamp) => lamp.name).join(', ')}`;
  return (
    <View style={{ borderTopWidth: 1, borderColor: line, paddingTop: SPACE.s, gap: SPACE.xs }}>
      <Strong>{photometry.name}</Strong>
      <Small>{`${Math.round(photometry.lumens)} lm, ${photometry.powerW} W, ${spread}; ${usedBy}`}</Small>
      <Row>
        <Button
          label={`Save ${photometry.name} as LM-63`}
          disabled={!intensities}
          onPress={() =>
            intensities && saveFile(`${fileName}.ies`, writeLm63({ ...photometry, ...intensities }), 'text/plain')
          }
        >
          Save as LM-63
        </Button>
        <Button
          label={`Save ${photometry.name} as EULUMDAT`}
          disabled={!intensities}
          onPress={() =>
            intensities && saveFile(`${fileName}.ldt`, writeEulumdat({ ...photometry, ...intensities }), 'text/plain')
          }
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

function Outcomes({ outcome }: { readonly outcome: Outcome }) {
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
