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
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '../../state/api';
import { useFacts, useHome } from '../../state/home';
import { LANES } from '../../state/lanes';
import { loadStoredFile } from '../../state/stored-files';
import { Button, TextLink } from '../../ui/button';
import { ChooseFile } from '../../ui/choose-file';
import { saveFile } from '../../ui/files';
import { Row, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { count, weatherName } from '../../parts/words';
import { newId } from '../../parts/new-id';
import { FILES_SCREEN as WORDS } from './light-words';

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
    setOutcome({ refused: null, remarks: [WORDS.readingFile] });
    const parsed = (await LANES.details.read(given.kind, text)) as ParsedFile<T>;
    if (!parsed.ok) {
      setOutcome({ refused: WORDS.lineRefused(parsed.line, parsed.message), remarks: [] });
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
    return (await attempt(WORDS.weatherFrom(station.name), changes))?.message ?? null;
  };
  const { outcome, setOutcome, take } = useTaking<ParsedWeather>({ kind: 'epw', store });
  return (
    <>
      <TextLink href="/place">{WORDS.place}</TextLink>
      <Title>{WORDS.weatherAndLamps}</Title>
      <Heading>{WORDS.weather}</Heading>
      <Body>{WORDS.weatherNow(weatherName(facts))}</Body>
      {file ? <StationFacts facts={facts} /> : <Body>{WORDS.aboutWeather}</Body>}
      <Row>
        <Chooser
          label={WORDS.chooseEpwFile}
          accept=".epw,.txt,text/plain"
          onText={take}
          onRefused={(refused) => setOutcome({ refused, remarks: [] })}
        />
        {file ? (
          <Button
            kind="danger"
            onPress={() => void change(WORDS.tookOutWeatherOf(file.name), [drop('weathers', file.id)])}
          >
            {WORDS.takeFileOut}
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
      <Small>{WORDS.stationPlace(file.latitude, file.longitude, file.elevationM, clock, Math.round(away))}</Small>
      {away > FAR_KM ? <Small>{WORDS.thatIsFar}</Small> : null}
      <Small>
        {hours
          ? WORDS.sunAndSkyByMonth(
              monthlyGlobal(hours)
                .map((kwh) => kwh.toFixed(1))
                .join(', '),
            )
          : WORDS.monthsBeingRead}
      </Small>
      <Small>{WORDS.withinEachHour}</Small>
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
    return (await attempt(WORDS.lampFileOf(lamp.name), [put('photometries', fact)]))?.message ?? null;
  };
  const { outcome, setOutcome, take } = useTaking<ParsedPhotometry>({ kind: 'lamp', store });
  return (
    <>
      <Heading>{WORDS.lamps}</Heading>
      <Body>{WORDS.aboutLampFiles(MOST_INTENSITIES.toLocaleString('en'))}</Body>
      <Chooser
        label={WORDS.chooseLampFile}
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
    const refusal = await attempt(WORDS.tookOutLampFile(photometry.name), [
      ...cleared.map(({ list, id, field }) => patch(list, id, { [field]: null })),
      ...gone.map(({ list, id }) => drop(list, id)),
    ]);
    setRefused(refusal?.message ?? null);
  };
  const spread = intensities
    ? WORDS.planesOfAngles(count(intensities.planes.length, 'plane'), intensities.angles.length)
    : WORDS.intensitiesBeingRead;
  const usedBy = users.length === 0 ? WORDS.noLampUsesIt : WORDS.usedBy(users.map((lamp) => lamp.name).join(', '));
  return (
    <View style={{ borderTopWidth: 1, borderColor: line, paddingTop: SPACE.s, gap: SPACE.xs }}>
      <Strong>{photometry.name}</Strong>
      <Small>{`${Math.round(photometry.lumens)} lm, ${photometry.powerW} W, ${spread}; ${usedBy}`}</Small>
      <Row>
        <Button
          label={WORDS.saveLampAsLm63(photometry.name)}
          disabled={!intensities}
          onPress={() =>
            intensities && saveFile(`${fileName}.ies`, writeLm63({ ...photometry, ...intensities }), 'text/plain')
          }
        >
          {WORDS.saveAsLm63}
        </Button>
        <Button
          label={WORDS.saveLampAsEulumdat(photometry.name)}
          disabled={!intensities}
          onPress={() =>
            intensities && saveFile(`${fileName}.ldt`, writeEulumdat({ ...photometry, ...intensities }), 'text/plain')
          }
        >
          {WORDS.saveAsEulumdat}
        </Button>
        <Button kind="danger" label={WORDS.takeOutLampFile(photometry.name)} onPress={() => void takeOut()}>
          {WORDS.takeOut}
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
  const take = async (file: File) => {
    // Refused before it is read: a file of that size would stop the screen.
    if (file.size > FILE_LIMIT) onRefused(WORDS.fileIsLarger(FILE_LIMIT / 1_000_000));
    else await onText(await file.text());
  };
  return <ChooseFile label={label} accept={accept} onFile={(file) => void take(file)} />;
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
