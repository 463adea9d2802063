/** What if a lamp fails, a window goes, a plant comes, a household moves in: tried and planned for. */
import { movingIn, put, without, type Change, type HomeFacts, type Taxon } from '@dulvan/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newPlant } from '../../forms/blank';
import { Hazards } from '../../parts/hazards';
import { newId } from '../../parts/new-id';
import { TaxonPicker } from '../../parts/taxon-picker';
import { commonName, count, plantName } from '../../parts/words';
import { shownFacts, useFacts, useHome, useTrial } from '../../state/home';
import { ask } from '../../state/api';
import { makePlan } from '../../state/plan';
import { useTaxonFinder } from '../../state/taxa';
import { Button } from '../../ui/button';
import { Page, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { Asked } from './what-if-asked';
import { HeatComes, HumidifierComes, SpotComes, type WhatIfGiven } from './what-if-more';
import { WHAT_IF as WORDS } from './what-if-words';

export function WhatIfScreen() {
  const facts = useFacts();
  const tryOut = useHome((state) => state.tryOut);
  const trial = useTrial();
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
      {trial ? <Body>{WORDS.besides}</Body> : null}
      <Gone facts={facts} onTry={tried} list="lamps" />
      <Rule />
      <Gone facts={facts} onTry={tried} list="windows" />
      <Rule />
      <PlantComes facts={facts} onTry={tried} />
      <Rule />
      <Gone facts={facts} onTry={tried} list="plants" />
      <Rule />
      <SpotComes facts={facts} onTry={tried} />
      <Rule />
      <HumidifierComes facts={facts} onTry={tried} />
      <Rule />
      <HeatComes facts={facts} onTry={tried} />
      <Rule />
      <HomeComes facts={facts} onTry={tried} />
    </Page>
  );
}

/** What can be gone, each told by its name and where it is. */
const NAMED = {
  lamps: (facts: HomeFacts) => {
    const standOf = (tierId: string) => facts.tiers.find(({ id }) => id === tierId)?.standId;
    const nameOf = (tierId: string) => facts.stands.find(({ id }) => id === standOf(tierId))?.name ?? '';
    return facts.lamps.map(({ id, name, tierId }) => ({ value: id, word: `${name} · ${nameOf(tierId)}` }));
  },
  windows: (facts: HomeFacts) => {
    const nameOf = (roomId: string) => facts.rooms.find(({ id }) => id === roomId)?.name ?? '';
    return facts.windows.map(({ id, name, roomId }) => ({ value: id, word: `${name} · ${nameOf(roomId)}` }));
  },
  plants: (facts: HomeFacts) => facts.plants.map((plant) => ({ value: plant.id, word: plantName(facts, plant) })),
} as const;

/** One of them is gone. */
function Gone({ facts, onTry, list }: WhatIfGiven & { readonly list: keyof typeof NAMED }) {
  const choices = NAMED[list](facts);
  const { heading, which, none, told } = WORDS.gone[list];
  const goes = (id: string) => {
    const word = choices.find(({ value }) => value === id)!.word;
    onTry(told(word), without(facts, { list, id }));
  };
  return <Asked heading={heading} label={which} choices={choices} none={none} onTry={goes} />;
}

function PlantComes({ facts, onTry }: WhatIfGiven) {
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

function HomeComes({ facts, onTry }: WhatIfGiven) {
  const homes = useHome((state) => state.homes);
  const tell = useHome((state) => state.tell);
  const choices = homes.filter(({ id }) => id !== facts.home.id).map(({ id, name }) => ({ value: id, word: name }));
  const comes = async (homeId: string) => {
    const other = await ask('getHome', { params: { homeId } });
    if (!other.ok) return tell({ text: other.refusal.message, undo: [] });
    const { changes, left } = movingIn(facts, other.value.facts, newId);
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
