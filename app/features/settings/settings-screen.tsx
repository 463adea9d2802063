/** Units, light or dark, which home, and everything in and out as one file. */
import { router } from 'expo-router';
import { useRef, useState, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { ask } from '../../state/api';
import { useAnswers } from '../../state/answers';
import { useHome } from '../../state/home';
import { useSettings } from '../../state/settings';
import { Button } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { saveFile } from '../../ui/files';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { newHome } from '../place/blank';
import { FactForm } from '../place/fact-form';

export function SettingsScreen() {
  const { units, appearance, setUnits, setAppearance } = useSettings();
  return (
    <Page>
      <Title>Settings</Title>
      <Labelled label="Temperature">
        <Choices
          label="Temperature"
          value={units.temperature}
          onValue={(value) => setUnits({ temperature: value as 'C' | 'F' })}
          choices={[
            { value: 'C', word: '°C' },
            { value: 'F', word: '°F' },
          ]}
        />
      </Labelled>
      <Labelled label="Lengths">
        <Choices
          label="Lengths"
          value={units.length}
          onValue={(value) => setUnits({ length: value as 'cm' | 'in' })}
          choices={[
            { value: 'cm', word: 'Centimetres' },
            { value: 'in', word: 'Inches' },
          ]}
        />
      </Labelled>
      <Labelled label="Light at a moment">
        <Choices
          label="Light at a moment"
          value={units.light}
          onValue={(value) => setUnits({ light: value as 'ppfd' | 'lux' })}
          choices={[
            { value: 'ppfd', word: 'PPFD, µmol/m²s' },
            { value: 'lux', word: 'Lux of daylight' },
          ]}
        />
      </Labelled>
      <Labelled label="Light or dark">
        <Choices
          label="Light or dark"
          value={appearance}
          onValue={(value) => setAppearance(value as 'auto' | 'light' | 'dark')}
          choices={[
            { value: 'auto', word: 'As the device' },
            { value: 'light', word: 'Light' },
            { value: 'dark', word: 'Dark' },
          ]}
        />
      </Labelled>
      <Small>On a keyboard, press ? for the list of keys.</Small>
      <Rule />
      <Homes />
      <Rule />
      <InAndOut />
    </Page>
  );
}

function Labelled({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Strong>{label}</Strong>
      {children}
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

const LARGEST_FILE = 20_000_000;

function InAndOut() {
  const { danger } = useInk();
  const importText = useHome((state) => state.importText);
  const tookMs = useAnswers((state) => state.tookMs);
  const chooser = useRef<HTMLInputElement>(null);
  const [message, setMessage] = useState<string | null>(null);
  const exportAll = async () => {
    const bundle = await ask('exportBundle');
    if (!bundle.ok) {
      setMessage(bundle.refusal.message);
      return;
    }
    saveFile(
      `dulvan-${bundle.value.exportedAt.slice(0, 10)}.json`,
      `${JSON.stringify(bundle.value, null, 1)}\n`,
      'application/json',
    );
  };
  const chosen = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    if (file.size > LARGEST_FILE) {
      setMessage(`The file is larger than ${LARGEST_FILE / 1_000_000} MB, more than any home needs.`);
      return;
    }
    setMessage((await importText(await file.text()))?.message ?? null);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>Everything in and out</Heading>
      <Body>
        One JSON file holds all homes, plants and the journal. Bringing one in replaces the homes of the same key; that
        can be undone.
      </Body>
      <Row>
        <Button kind="main" onPress={() => void exportAll()}>
          Export everything
        </Button>
        <Button onPress={() => chooser.current?.click()}>Import a bundle</Button>
      </Row>
      <input
        ref={chooser}
        type="file"
        accept=".json,application/json"
        aria-label="Bundle file"
        onChange={(event) => void chosen(event)}
        style={{ display: 'none' }}
      />
      {message ? (
        <View role="alert">
          <Body style={{ color: danger }}>✕ {message}</Body>
        </View>
      ) : null}
      {tookMs === null ? null : <Small testID="took">{`The last answers took ${Math.round(tookMs)} ms.`}</Small>}
    </View>
  );
}
