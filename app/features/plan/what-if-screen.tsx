/** What if a lamp fails, a window goes, a plant comes, a household moves in: tried, planned, and set beside the rest. */
import { put, type Change, type HomeFacts, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newPlant } from '../../forms/blank';
import { Hazards } from '../../parts/hazards';
import { TaxonPicker } from '../../parts/taxon-picker';
import { commonName, count, plantName } from '../../parts/words';
import { shownFacts, useFacts, useHome } from '../../state/home';
import { ask } from '../../state/api';
import { makePlan } from '../../state/plan';
import { useTaxonFinder } from '../../state/taxa';
import { Button } from '../../ui/button';
import { Page, Rule } from '../../ui/page';
import { PickOne } from '../../ui/pick-one';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { WHAT_IF as WORDS } from './plan-words';
import { movingIn, without } from './what-if';

interface Given {
  readonly facts: HomeFacts;
  /** Tries changes and plans the home with them. */
  readonly onTry: (summary: string, changes: readonly Change[]) => void;
}

export function WhatIfScreen() {
  const facts = useFacts();
  const tryOut = useHome((state) => state.tryOut);
  if (!facts) return null;
  const tried = (summary: string, changes: readonly Change[]) => {
    tryOut(summary, changes);
    const shown = shownFacts();
    if (shown) void makePlan(shown);
    router.push('/plan');
  };
  return (
    <Page>
      <Title>{WORDS.title}</Title>
      <Body>{WORDS.intro}</Body>
      <LampFails facts={facts} onTry={tried} />
      <Rule />
      <WindowGoes facts={facts} onTry={tried} />
      <Rule />
      <PlantComes facts={facts} onTry={tried} />
      <Rule />
      <PlantGoes facts={facts} onTry={tried} />
      <Rule />
      <HomeComes facts={facts} onTry={tried} />
    </Page>
  );
}

interface AskedGiven {
  readonly heading: string;
  readonly label: string;
  readonly choices: readonly { readonly value: string; readonly word: string }[];
  readonly none: string;
  readonly onTry: (value: string) => void;
}

/** One of a list, and the way to try it. */
function Asked({ heading, label, choices, none, onTry }: AskedGiven) {
  const [value, setValue] = useState('');
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{heading}</Heading>
      {choices.length === 0 ? <Small>{none}</Small> : null}
      {choices.length > 0 ? <PickOne label={label} choices={choices} value={value} onValue={setValue} /> : null}
      {value ? (
        <Button
          kind="main"
          style={{ alignSelf: 'flex-start' }}
          label={WORDS.tryLabel(heading)}
          onPress={() => onTry(value)}
        >
          {WORDS.tryIt}
        </Button>
      ) : null}
    </View>
  );
}

function LampFails({ facts, onTry }: Given) {
  const tierOf = (tierId: string) => facts.tiers.find(({ id }) => id === tierId);
  const standOf = (tierId: string) => facts.stands.find(({ id }) => id === tierOf(tierId)?.standId)?.name ?? '';
  const choices = facts.lamps.map(({ id, name, tierId }) => ({ value: id, word: `${name} · ${standOf(tierId)}` }));
  const fails = (lampId: string) => {
    const word = choices.find(({ value }) => value === lampId)!.word;
    onTry(WORDS.lampFailed(word), without(facts, { list: 'lamps', id: lampId }));
  };
  return <Asked heading={WORDS.lamp} label={WORDS.whichLamp} choices={choices} none={WORDS.noLamp} onTry={fails} />;
}

function WindowGoes({ facts, onTry }: Given) {
  const roomName = (id: string) => facts.rooms.find((room) => room.id === id)?.name ?? '';
  const choices = facts.windows.map(({ id, name, roomId }) => ({ value: id, word: `${name} · ${roomName(roomId)}` }));
  const goes = (windowId: string) => {
    const word = choices.find(({ value }) => value === windowId)!.word;
    onTry(WORDS.windowGone(word), without(facts, { list: 'windows', id: windowId }));
  };
  return (
    <Asked heading={WORDS.window} label={WORDS.whichWindow} choices={choices} none={WORDS.noWindow} onTry={goes} />
  );
}

function PlantComes({ facts, onTry }: Given) {
  const finder = useTaxonFinder();
  const [taxon, setTaxon] = useState<Taxon | null>(null);
  const comes = (chosen: Taxon) => {
    const plant = newPlant(facts, chosen.id, chosen.care.matureHeightCm);
    onTry(WORDS.plantCame(commonName(chosen)), [put('plants', plant)]);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.plant}</Heading>
      {taxon ? (
        <>
          <Body>{commonName(taxon)}</Body>
          <Hazards hazard={taxon.hazard} />
          <Small>{WORDS.plantAssumed}</Small>
          <Button
            kind="main"
            style={{ alignSelf: 'flex-start' }}
            label={WORDS.tryLabel(WORDS.plant)}
            onPress={() => comes(taxon)}
          >
            {WORDS.tryIt}
          </Button>
          <Button kind="quiet" style={{ alignSelf: 'flex-start' }} onPress={() => setTaxon(null)}>
            {WORDS.another}
          </Button>
        </>
      ) : (
        <TaxonPicker label={WORDS.whichPlant} finder={finder} onTaxon={setTaxon} />
      )}
    </View>
  );
}

function PlantGoes({ facts, onTry }: Given) {
  const choices = facts.plants.map((plant) => ({ value: plant.id, word: plantName(facts, plant) }));
  const goes = (plantId: string) => {
    const word = choices.find(({ value }) => value === plantId)!.word;
    onTry(WORDS.plantGone(word), without(facts, { list: 'plants', id: plantId }));
  };
  return (
    <Asked heading={WORDS.plantGoes} label={WORDS.whichGoes} choices={choices} none={WORDS.noPlant} onTry={goes} />
  );
}

function HomeComes({ facts, onTry }: Given) {
  const homes = useHome((state) => state.homes);
  const tell = useHome((state) => state.tell);
  const choices = homes.filter(({ id }) => id !== facts.home.id).map(({ id, name }) => ({ value: id, word: name }));
  const comes = async (homeId: string) => {
    const other = await ask('getHome', { params: { homeId } });
    if (!other.ok) return tell({ text: other.refusal.message, undo: [] });
    const { changes, left } = movingIn(facts, other.value.facts);
    if (left.length > 0) tell({ text: WORDS.ownKinds(count(left.length, 'plant')), undo: [] });
    const name = choices.find(({ value }) => value === homeId)!.word;
    onTry(WORDS.homeCame(count(changes.length, 'plant'), name), changes);
  };
  return (
    <Asked
      heading={WORDS.home}
      label={WORDS.whichHome}
      choices={choices}
      none={WORDS.noHome}
      onTry={(homeId) => void comes(homeId)}
    />
  );
}
