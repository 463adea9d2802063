/** Units, light or dark, which home, and everything in and out as one file. */
import { router } from 'expo-router';
import { useRef, useState, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { EXPORT_PATH } from '@dulvan/contract';
import type { HomeFacts } from '@dulvan/core';
import { BASE } from '../../state/api';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { BringBack } from '../../parts/bring-back';
import { count } from '../../parts/words';
import { Button, TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { saveAddress } from '../../ui/files';
import { Row, Rule, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { newHome } from '../../forms/blank';
import { FactForm } from '../../forms/fact-form';
import { NoticesSetting } from './notices-setting';
import { SETTINGS_SCREEN as WORDS } from './settings-words';

export function SettingsScreen() {
  const { units, appearance, setUnits, setAppearance } = useSettings();
  const looks = (
    <>
      <Title>{WORDS.settings}</Title>
      <Setting
        label={WORDS.temperature}
        value={units.temperature}
        onValue={(temperature) => setUnits({ temperature })}
        words={{ C: '°C', F: '°F' }}
      />
      <Setting
        label={WORDS.lengths}
        value={units.length}
        onValue={(length) => setUnits({ length })}
        words={{ cm: WORDS.centimetres, in: WORDS.inches }}
      />
      <Setting
        label={WORDS.lightAtMoment}
        value={units.light}
        onValue={(light) => setUnits({ light })}
        words={{ ppfd: 'PPFD, µmol/m²s', lux: WORDS.luxOfDaylight }}
      />
      <Setting
        label={WORDS.lightOrDark}
        value={appearance}
        onValue={setAppearance}
        words={{ auto: WORDS.asDevice, light: WORDS.lightTheme, dark: WORDS.darkTheme }}
      />
      <NoticesSetting />
      <Small>{WORDS.keysHint}</Small>
    </>
  );
  const homes = (
    <>
      <Homes />
      <BringBack />
      <TextLink href="/changes">{WORDS.whatWasChanged}</TextLink>
      <Rule />
      <InAndOut />
    </>
  );
  return <TwoPanes first={looks} second={homes} />;
}

interface SettingGiven<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly onValue: (value: T) => void;
  readonly words: Readonly<Record<T, string>>;
}

function Setting<T extends string>({ label, value, onValue, words }: SettingGiven<T>) {
  const choices = Object.entries<string>(words).map(([each, word]) => ({ value: each, word }));
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{label}</Strong>
      <Choices label={label} value={value} onValue={(chosen) => onValue(chosen as T)} choices={choices} />
    </View>
  );
}

function Homes() {
  const { danger } = useInk();
  const homes = useHome((state) => state.homes);
  const facts = useHome((state) => state.facts);
  const openHome = useHome((state) => state.openHome);
  const wipe = useHome((state) => state.wipe);
  const [adding, setAdding] = useState<'no' | 'yes'>('no');
  const [asking, setAsking] = useState<'no' | 'yes'>('no');
  const [fresh] = useState(newHome);
  const [refusal, setRefusal] = useState<string | null>(null);
  const takeOut = async () => {
    setAsking('no');
    setRefusal((await wipe())?.message ?? null);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.homes}</Heading>
      {homes.length > 0 ? (
        <Choices
          label={WORDS.homeShown}
          value={facts?.home.id ?? ''}
          onValue={(id) => void openHome(id)}
          choices={homes.map(({ id, name }) => ({ value: id, word: name }))}
        />
      ) : (
        <Body>{WORDS.noHomeIsKept}</Body>
      )}
      <Row>
        <Button onPress={() => setAdding(adding === 'yes' ? 'no' : 'yes')}>
          {adding === 'yes' ? WORDS.noNewHome : WORDS.addHome}
        </Button>
        {facts && asking === 'no' ? (
          <Button kind="danger" onPress={() => setAsking('yes')}>
            {WORDS.takeOut(facts.home.name)}
          </Button>
        ) : null}
      </Row>
      {facts && asking === 'yes' ? (
        <AskTakeOut facts={facts} onYes={() => void takeOut()} onNo={() => setAsking('no')} />
      ) : null}
      {refusal ? <Small style={{ color: danger }}>✕ {refusal}</Small> : null}
      {adding === 'yes' ? (
        <FactForm
          list="home"
          initial={fresh}
          isNew
          onSaved={(id) => {
            setAdding('no');
            void openHome(id);
            router.push('/place');
          }}
        />
      ) : null}
    </View>
  );
}

/** A home is taken out only after saying what goes with it. */
function AskTakeOut({
  facts,
  onYes,
  onNo,
}: {
  readonly facts: HomeFacts;
  readonly onYes: () => void;
  readonly onNo: () => void;
}) {
  const goes = WORDS.roomsAndPlants(count(facts.rooms.length, 'room'), count(facts.plants.length, 'plant'));
  return (
    <View style={{ gap: SPACE.s }}>
      <Body>{WORDS.goesWith(facts.home.name, goes)}</Body>
      <Row>
        <Button kind="danger" onPress={onYes}>
          {WORDS.yesTakeOut(facts.home.name)}
        </Button>
        <Button onPress={onNo}>{WORDS.leaveIt}</Button>
      </Row>
    </View>
  );
}

/** More than this is no bundle that this page would send. */
const LARGEST_BUNDLE = 4_000_000_000;

function InAndOut() {
  const { danger } = useInk();
  const importFile = useHome((state) => state.importFile);
  const [saving, setSaving] = useState<'no' | 'yes'>('no');
  const chooser = useRef<HTMLInputElement>(null);
  const [message, setMessage] = useState<string | null>(null);
  const chosen = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    if (file.size > LARGEST_BUNDLE) {
      setMessage(WORDS.fileIsLarger(LARGEST_BUNDLE / 1e9));
      return;
    }
    setMessage('');
    const refusal = await importFile(file);
    setMessage(refusal?.message ?? null);
  };
  const save = () => {
    saveAddress(`${BASE}${EXPORT_PATH}`);
    setSaving('yes');
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.inAndOut}</Heading>
      <Body>{WORDS.aboutInAndOut}</Body>
      <Row>
        <Button kind="main" onPress={save}>
          {WORDS.saveEverything}
        </Button>
        <Button onPress={() => chooser.current?.click()}>{WORDS.openSavedFile}</Button>
      </Row>
      <input
        ref={chooser}
        type="file"
        accept=".zip,.json,application/zip,application/json"
        aria-label={WORDS.savedFile}
        onChange={(event) => void chosen(event)}
        style={{ display: 'none' }}
      />
      {message === '' ? <Small>{WORDS.readingIt}</Small> : null}
      {message ? (
        <View role="alert">
          <Body style={{ color: danger }}>✕ {message}</Body>
        </View>
      ) : null}
      {saving === 'yes' ? <Small>{WORDS.browserIsSaving}</Small> : null}
    </View>
  );
}
