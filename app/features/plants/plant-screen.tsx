/** One plant: how it fares where it stands, what it wants, where it would fare better, what happened to it. */
import { knowledge } from '@dulvan/catalogue';
import { drop, fallenWith, knownPlant, patch, type HomeFacts, type Plant } from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { shownValue, useRanking } from '../../state/questions';
import { usePlantAnswer, useSpotAnswer, useVerdicts } from '../../state/verdicts';
import { useFacts, useHome } from '../../state/home';
import { useUnits } from '../../state/settings';
import { Button, TextLink } from '../../ui/button';
import { FactorSign } from '../../parts/factor-sign';
import { FitMark } from '../../parts/fit-mark';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { STAGE_WORD, fitShare, latinName, plantName, spotPlace, troubleSentence } from '../../parts/words';
import { YearBands } from '../../parts/year-bands';
import { FiguresTable } from '../../parts/figures-table';
import { FactForm } from '../../forms/fact-form';
import { useMonth } from '../../parts/use-month';
import { Pending } from '../../parts/pending';
import { NotHere } from '../../parts/not-here';
import { MendAction } from '../../parts/mend-action';
import { FitYear } from './fit-year';
import { Needs } from './needs';
import { PlantMakeup } from './plant-makeup';
import { PlantJournal } from './plant-journal';
import { SpotChoices } from './spot-choices';

export function PlantScreen({ plantId }: { readonly plantId: string }) {
  const facts = useFacts();
  const plant = facts?.plants.find((candidate) => candidate.id === plantId);
  if (!facts || !plant) return <NotHere what="plant" back="/plants" />;
  return <PlantView key={plant.id} facts={facts} plant={plant} />;
}

function PlantView({ facts, plant }: { readonly facts: HomeFacts; readonly plant: Plant }) {
  const [month, setMonth] = useMonth();
  const [figures, setFigures] = useState<'hidden' | 'shown'>('hidden');
  const units = useUnits();
  const answer = usePlantAnswer(plant.id);
  const here = useSpotAnswer(plant.spotId);
  const ranking = useRanking(facts, plant);
  const ranked = shownValue(ranking);
  const { state } = useVerdicts();
  const change = useHome((state) => state.change);
  const [editing, setEditing] = useState<'no' | 'yes'>('no');
  const known = useMemo(() => knownPlant(facts, plant, knowledge), [facts, plant]);
  const taxon = known?.taxon;
  const name = plantName(facts, plant);
  const fit = answer?.fit ?? null;
  const target = answer?.targets[month - 1];
  const moveTo = (spotId: string) =>
    void change(`Moved ${name} to ${spotPlace(facts, spotId)}`, [patch('plants', plant.id, { spotId })]);
  const takeOut = async () => {
    const { gone } = fallenWith(facts, [{ list: 'plants', id: plant.id }]);
    const outcome = await change(
      `Took out ${name}`,
      gone.map(({ list, id }) => drop(list, id)),
    );
    if (outcome === 'stored') router.replace('/plants');
  };
  return (
    <Page>
      <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
        <FitMark fit={fit?.months[month - 1] ?? null} size={40} />
        <View style={{ flex: 1 }}>
          <Title>{name}</Title>
          <Small>{`${latinName(facts, plant)} · ${STAGE_WORD[plant.stage]}`}</Small>
          <Small>{spotPlace(facts, plant.spotId)}</Small>
        </View>
        {fit ? <Body testID="plant-whole">{fitShare(fit.whole)}</Body> : null}
      </View>
      {state === 'working' && plant.spotId ? <Small>Working it out anew …</Small> : null}
      {fit ? (
        <>
          {fit.troubles.length === 0 ? <Body>It has all it wants, all year.</Body> : null}
          {fit.troubles.slice(0, 4).map((trouble) => (
            <View
              key={`${trouble.factor}${trouble.months[0]}`}
              style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' }}
            >
              <View style={{ paddingTop: 2 }}>
                <FactorSign factor={trouble.factor} />
              </View>
              <Body style={{ flex: 1 }} testID="plant-trouble">
                {troubleSentence(trouble, units)}
              </Body>
            </View>
          ))}
          {fit.troubles[0] ? (
            <MendAction facts={facts} plant={plant} answer={answer!} here={here} trouble={fit.troubles[0]} />
          ) : null}
          <FitYear months={fit.months} month={month} />
          <TextLink href={{ pathname: '/why', params: { figure: 'fit', plant: plant.id, month: String(month) } }}>
            Why this verdict
          </TextLink>
        </>
      ) : null}
      {plant.spotId ? (
        <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId: plant.spotId } }}>
          The year at its spot
        </TextLink>
      ) : null}
      <Rule />
      {taxon && target ? (
        <Needs taxon={taxon} target={target} />
      ) : (
        <Body>Its name is not in the catalogue, so its needs are not known.</Body>
      )}
      {answer && answer.targets.length === 12 ? (
        <>
          <Heading>Its target through the year</Heading>
          <YearBands targets={answer.targets} month={month} onMonth={setMonth} />
        </>
      ) : null}
      <Rule />
      <Heading>{plant.spotId ? 'Better spots' : 'Spots for it'}</Heading>
      {ranked ? (
        <SpotChoices
          facts={facts}
          ranked={ranked}
          month={month}
          here={plant.spotId}
          verb="Move here"
          onChoose={moveTo}
        />
      ) : (
        <Pending asked={ranking} />
      )}
      <Rule />
      <PlantMakeup facts={facts} plant={plant} />
      {known ? (
        <Row>
          <TextLink
            href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: plant.taxonId } }}
          >{`${latinName(facts, plant)} in the catalogue`}</TextLink>
          <Button onPress={() => setFigures(figures === 'shown' ? 'hidden' : 'shown')}>
            {figures === 'shown' ? 'Hide its figures' : 'Correct a figure for this plant'}
          </Button>
        </Row>
      ) : null}
      {known && figures === 'shown' ? (
        <FiguresTable known={known} taxonId={null} plantId={plant.id} name={name} />
      ) : null}
      <Rule />
      <Row>
        <Button onPress={() => setEditing(editing === 'yes' ? 'no' : 'yes')}>
          {editing === 'yes' ? 'Close the form' : 'Edit'}
        </Button>
        <Button kind="danger" label={`Take out ${name}`} onPress={() => void takeOut()}>
          Take out
        </Button>
      </Row>
      {editing === 'yes' ? <FactForm list="plants" initial={plant} onSaved={() => setEditing('no')} /> : null}
      <Rule />
      <PlantJournal facts={facts} plant={plant} />
    </Page>
  );
}
