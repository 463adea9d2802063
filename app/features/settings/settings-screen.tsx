/** Units, light or dark, which home, and everything in and out as one file. */
import { router } from 'expo-router';
import { useRef, useState, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { EXPORT_PATH } from '@dulvan/contract';
import { BASE } from '../../state/api';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { useVerdictsStore } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { saveAddress } from '../../ui/files';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { newHome } from '../../forms/blank';
import { FactForm } from '../../forms/fact-form';

export function SettingsScreen() {
  const { units, appearance, setUnits, setAppearance } = useSettings();
  return (
    <Page>
      <Title>Settings</Title>
      <Setting
        label="Temperature"
        value={units.temperature}
        onValue={(temperature) => setUnits({ temperature })}
        words={{ C: '°C', F: '°F' }}
      />
      <Setting
        label="Lengths"
        value={units.length}
        onValue={(length) => setUnits({ length })}
        words={{ cm: 'Centimetres', in: 'Inches' }}
      />
      <Setting
        label="Light at a moment"
        value={units.light}
        onValue={(light) => setUnits({ light })}
        words={{ ppfd: 'PPFD, µmol/m²s', lux: 'Lux of daylight' }}
      />
      <Setting
        label="Light or dark"
        value={appearance}
        onValue={setAppearance}
        words={{ auto: 'As the device', light: 'Light', dark: 'Dark' }}
      />
      <Small>On a keyboard, press ? for the list of keys.</Small>
      <Rule />
      <Homes />
      <Rule />
      <InAndOut />
    </Page>
  );
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
      <Heading>Homes</Heading>
      {homes.length > 0 ? (
        <Choices
          label="Home on screen"
          value={facts?.home.id ?? ''}
          onValue={(id) => void openHome(id)}
          choices={homes.map(({ id, name }) => ({ value: id, word: name }))}
        />
      ) : (
        <Body>No home is kept here.</Body>
      )}
      <Row>
        <Button onPress={() => setAdding(adding === 'yes' ? 'no' : 'yes')}>
          {adding === 'yes' ? 'No new home' : 'Add a home'}
        </Button>
        {facts && asking === 'no' ? (
          <Button kind="danger" onPress={() => setAsking('yes')}>{`Take out ${facts.home.name}`}</Button>
        ) : null}
      </Row>
      {facts && asking === 'yes' ? (
        <View style={{ gap: SPACE.s }}>
          <Body>{`${facts.home.name} goes with its ${facts.rooms.length} rooms and ${facts.plants.length} plants. It can be undone.`}</Body>
          <Row>
            <Button kind="danger" onPress={() => void takeOut()}>{`Yes, take out ${facts.home.name}`}</Button>
            <Button onPress={() => setAsking('no')}>Leave it</Button>
          </Row>
        </View>
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

/** More than this is no bundle that this page would send. */
const LARGEST_BUNDLE = 4_000_000_000;

const FROM_WORD = { browser: 'worked out here', server: 'from the server', kept: 'kept from last time' } as const;

function InAndOut() {
  const { danger } = useInk();
  const importFile = useHome((state) => state.importFile);
  const { tookMs, from } = useVerdictsStore();
  const chooser = useRef<HTMLInputElement>(null);
  const [message, setMessage] = useState<string | null>(null);
  const chosen = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    if (file.size > LARGEST_BUNDLE) {
      setMessage(`The file is larger than ${LARGEST_BUNDLE / 1e9} GB: no bundle is.`);
      return;
    }
    setMessage('');
    const refusal = await importFile(file);
    setMessage(refusal?.message ?? null);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>Everything in and out</Heading>
      <Body>
        One zip of open formats holds all homes and plants, the journal, what you wrote down, samples and files.
        Bringing one in replaces the homes of the same key; that can be undone.
      </Body>
      <Row>
        <Button kind="main" onPress={() => saveAddress(`${BASE}${EXPORT_PATH}`)}>
          Export everything
        </Button>
        <Button onPress={() => chooser.current?.click()}>Import a bundle</Button>
      </Row>
      <input
        ref={chooser}
        type="file"
        accept=".zip,.json,application/zip,application/json"
        aria-label="Bundle file"
        onChange={(event) => void chosen(event)}
        style={{ display: 'none' }}
      />
      {message === '' ? <Small>Bringing it in …</Small> : null}
      {message ? (
        <View role="alert">
          <Body style={{ color: danger }}>✕ {message}</Body>
        </View>
      ) : null}
      {tookMs === null ? null : (
        <Small testID="took">{`The last answers took ${Math.round(tookMs)} ms${from ? `, ${FROM_WORD[from]}` : ''}.`}</Small>
      )}
    </View>
  );
}
