/** One plant: how it fares where it stands, what it wants, where it would fare better, what happened to it. */
import { knowledge } from '@dulvan/catalogue';
import {
  carried,
  drop,
  fallenWith,
  knownPlant,
  type HomeFacts,
  type Known,
  type Plant,
  type PlantAnswer,
} from '@dulvan/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { shownValue, useRanking } from '../../state/questions';
import { useNow } from '../../state/use-now';
import { usePlantAnswer } from '../../state/verdicts';
import { dateAt } from '../../state/year';
import { useFacts, useHome } from '../../state/home';
import { Button, TextLink } from '../../ui/button';
import { FitMark } from '../../parts/fit-mark';
import { Page, Row, Rule } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { STAGE_WORD, fitShare, latinName, plantName, spotPlace } from '../../parts/words';
import { YearBands } from '../../parts/year-bands';
import { FiguresTable } from '../../parts/figures-table';
import { FactForm } from '../../forms/fact-form';
import { useMonth } from '../../parts/use-month';
import { Pending } from '../../parts/pending';
import { NotHere } from '../../parts/not-here';
import { Needs } from './needs';
import { PlantMakeup } from './plant-makeup';
import { PlantVerdict } from './plant-verdict';
import { PlantJournal } from './plant-journal';
import { SpotChoices } from './spot-choices';

export function PlantScreen({ plantId }: { readonly plantId: string }) {
  const facts = useFacts();
  const plant = facts?.plants.find((candidate) => candidate.id === plantId);
  if (!facts || !plant) return <NotHere what="plant" back="/plants" />;
  return <PlantView key={plant.id} facts={facts} plant={plant} />;
}

interface PlantGiven {
  readonly facts: HomeFacts;
  readonly plant: Plant;
}

function PlantView({ facts, plant }: PlantGiven) {
  const [month, setMonth] = useMonth();
  const answer = usePlantAnswer(plant.id);
  const known = useMemo(() => knownPlant(facts, plant, knowledge), [facts, plant]);
  const target = answer?.targets[month - 1];
  return (
    <Page>
      <Head facts={facts} plant={plant} fit={answer?.fit ?? null} month={month} />
      <PlantVerdict facts={facts} plant={plant} answer={answer} month={month} />
      {plant.spotId ? (
        <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId: plant.spotId } }}>
          The year at its spot
        </TextLink>
      ) : null}
      <Rule />
      {known && target ? <Needs taxon={known.taxon} target={target} /> : null}
      {known ? null : <Body>Its name is not in the catalogue, so its needs are not known.</Body>}
      {answer?.targets.length === 12 ? (
        <>
          <Heading>Its target through the year</Heading>
          <YearBands targets={answer.targets} month={month} onMonth={setMonth} />
        </>
      ) : null}
      <Rule />
      <OtherSpots facts={facts} plant={plant} month={month} />
      <Rule />
      <PlantMakeup facts={facts} plant={plant} />
      {known ? <Figures facts={facts} plant={plant} known={known} /> : null}
      <Rule />
      <EditOrTakeOut facts={facts} plant={plant} />
      <Rule />
      <PlantJournal facts={facts} plant={plant} />
    </Page>
  );
}

function Head({ facts, plant, fit, month }: PlantGiven & { readonly fit: PlantAnswer['fit']; readonly month: number }) {
  return (
    <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
      <FitMark fit={fit?.months[month - 1] ?? null} size={40} />
      <View style={{ flex: 1 }}>
        <Title>{plantName(facts, plant)}</Title>
        <Small>{`${latinName(facts, plant)} · ${STAGE_WORD[plant.stage]}`}</Small>
        <Small>{spotPlace(facts, plant.spotId)}</Small>
      </View>
      {fit ? <Body testID="plant-whole">{fitShare(fit.verdict.score)}</Body> : null}
    </View>
  );
}

function OtherSpots({ facts, plant, month }: PlantGiven & { readonly month: number }) {
  const change = useHome((state) => state.change);
  const now = useNow();
  const ranking = useRanking(facts, plant);
  const ranked = shownValue(ranking);
  const moveTo = (spotId: string) =>
    void change(`Moved ${plantName(facts, plant)} to ${spotPlace(facts, spotId)}`, [
      carried(plant, spotId, dateAt(facts, now)),
    ]);
  return (
    <>
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
    </>
  );
}

function Figures({ facts, plant, known }: PlantGiven & { readonly known: Known }) {
  const [figures, setFigures] = useState<'hidden' | 'shown'>('hidden');
  return (
    <>
      <Row>
        <TextLink href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: plant.taxonId } }}>
          {`${latinName(facts, plant)} in the catalogue`}
        </TextLink>
        <Button onPress={() => setFigures(figures === 'shown' ? 'hidden' : 'shown')}>
          {figures === 'shown' ? 'Hide its figures' : 'Correct a figure for this plant'}
        </Button>
      </Row>
      {figures === 'shown' ? (
        <FiguresTable known={known} taxonId={null} plantId={plant.id} name={plantName(facts, plant)} />
      ) : null}
    </>
  );
}

function EditOrTakeOut({ facts, plant }: PlantGiven) {
  const change = useHome((state) => state.change);
  const [editing, setEditing] = useState<'no' | 'yes'>('no');
  const takeOut = async () => {
    const { gone } = fallenWith(facts, [{ list: 'plants', id: plant.id }]);
    const drops = gone.map(({ list, id }) => drop(list, id));
    const outcome = await change(`Took out ${plantName(facts, plant)}`, drops);
    if (outcome === 'stored') router.replace('/plants');
  };
  return (
    <>
      <Row>
        <Button onPress={() => setEditing(editing === 'yes' ? 'no' : 'yes')}>
          {editing === 'yes' ? 'Close the form' : 'Edit'}
        </Button>
        <Button kind="danger" label={`Take out ${plantName(facts, plant)}`} onPress={() => void takeOut()}>
          Take out
        </Button>
      </Row>
      {editing === 'yes' ? <FactForm list="plants" initial={plant} onSaved={() => setEditing('no')} /> : null}
    </>
  );
}
