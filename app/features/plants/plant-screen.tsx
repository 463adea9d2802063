/** One plant: how it fares where it stands, what it wants, where it would fare better, what happened to it. */
import { knowledge } from '@dulvan/catalogue';
import {
  carried,
  drop,
  fallenWith,
  knownPlant,
  type Change,
  type HomeFacts,
  type Known,
  type Plant,
  type PlantAnswer,
} from '@dulvan/core';
import { router } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useDrafts } from '../../state/drafts';
import { useNow } from '../../state/use-now';
import { usePlantAnswer, useSpotAnswer } from '../../state/verdicts';
import { dateAt } from '../../state/year';
import { useFacts, useHome } from '../../state/home';
import { Button, TextLink } from '../../ui/button';
import { FitMark } from '../../parts/fit-mark';
import { Fold } from '../../ui/fold';
import { monthName } from '../../ui/months';
import { Row, TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { Hazards } from '../../parts/hazards';
import { STAGE_WORD, fitShare, latinName, plantName, spotPlace } from '../../parts/words';
import { YearBands } from '../../parts/year-bands';
import { FiguresTable } from '../../parts/figures-table';
import { FactForm } from '../../forms/fact-form';
import type { PlantPart } from '../../parts/plant-part';
import { useMonth } from '../../parts/use-month';
import { NotHere } from '../../parts/not-here';
import { Needs } from './needs';
import { Outcomes } from './outcomes';
import { PlantMakeup } from './plant-makeup';
import { PlantPlace } from './plant-place';
import { PlantVerdict } from './plant-verdict';
import { PlantJournal } from './plant-journal';
import { SpotChoices } from './spot-choices';
import { PLANT_SCREEN as WORDS } from './plants-words';

interface ScreenGiven {
  readonly plantId: string;
  /** The part that is asked for. */
  readonly open?: PlantPart;
}

export function PlantScreen({ plantId, open }: ScreenGiven) {
  const facts = useFacts();
  const plant = facts?.plants.find((candidate) => candidate.id === plantId);
  const seen = useRef(false);
  useEffect(() => {
    // A plant that was here and is not any more, since its adding was undone: there is nothing to look at.
    if (facts && !plant && seen.current) router.replace('/plants');
    seen.current = Boolean(plant);
  }, [facts, plant]);
  if (!facts || !plant) return <NotHere what="plant" back="/plants" />;
  return <PlantView key={plant.id} facts={facts} plant={plant} open={open ?? null} />;
}

interface PlantGiven {
  readonly facts: HomeFacts;
  readonly plant: Plant;
}

function PlantView({ facts, plant, open }: PlantGiven & Pick<RestGiven, 'open'>) {
  const wide = useIsWide();
  const [month, setMonth] = useMonth();
  const answer = usePlantAnswer(plant.id);
  const known = useMemo(() => knownPlant(facts, plant, knowledge), [facts, plant]);
  const rest = <Rest facts={facts} plant={plant} known={known} open={open} />;
  const what = (
    <>
      <Head facts={facts} plant={plant} fit={answer?.fit ?? null} month={month} />
      <PlantVerdict facts={facts} plant={plant} answer={answer} month={month} />
      {known ? null : <Body>{WORDS.notInCatalogue}</Body>}
      {wide ? rest : null}
    </>
  );
  const whereAndWhen = (
    <>
      <PlantPlace facts={facts} plant={plant} answer={answer} month={month} onMonth={setMonth} />
      <Wants known={known} answer={answer} month={month} onMonth={setMonth} />
      {wide ? null : rest}
    </>
  );
  return <TwoPanes first={what} second={whereAndWhen} />;
}

interface WantsGiven {
  readonly known: Known | null;
  readonly answer: PlantAnswer | null;
  readonly month: number;
  readonly onMonth: (month: number) => void;
}

/** What it wants, in this month and through the year, and whom it can harm. */
function Wants({ known, answer, month, onMonth }: WantsGiven) {
  const target = answer?.targets[month - 1];
  if (!known) return null;
  return (
    <>
      <Hazards hazard={known.taxon.hazard} />
      {target && answer.targets.length === 12 ? (
        <View>
          <Fold title={WORDS.whatItWantsIn(monthName(month))} note={known.taxon.key}>
            <Needs taxon={known.taxon} target={target} />
          </Fold>
          <Fold title={WORDS.whatItWants} note={WORDS.whatItWantsHelp}>
            <YearBands targets={answer.targets} month={month} onMonth={onMonth} />
          </Fold>
        </View>
      ) : null}
    </>
  );
}

interface RestGiven extends PlantGiven {
  readonly known: Known | null;
  readonly open: PlantPart | null;
}

/** What is seldom wanted, each behind its name. */
function Rest({ facts, plant, known, open }: RestGiven) {
  const here = useSpotAnswer(plant.spotId);
  const [editing, setEditing] = useState(0);
  const [isDrafted] = useState(() => useDrafts.getState().drafts[`plants/${plant.id}`] !== undefined);
  const begins = (part: PlantPart) => (open === part ? 'open' : 'shut');
  return (
    <View>
      {plant.spotId ? (
        <Fold title={WORDS.otherSpotsForIt} note={WORDS.otherSpotsHelp} begins={begins('spots')}>
          <OtherSpots facts={facts} plant={plant} />
        </Fold>
      ) : (
        <>
          <Heading>{WORDS.spotsForIt}</Heading>
          <OtherSpots facts={facts} plant={plant} />
        </>
      )}
      {here ? (
        <Fold title={WORDS.whatCameOfIt} note={WORDS.whatCameOfItHelp} begins={begins('came-of-it')}>
          <Outcomes facts={facts} plant={plant} here={here} />
        </Fold>
      ) : null}
      <Fold title={WORDS.whatItIs} note={WORDS.whatItIsHelp} begins={begins('what')}>
        <PlantMakeup facts={facts} plant={plant} />
        {known ? <Figures facts={facts} plant={plant} known={known} /> : null}
      </Fold>
      <Fold
        key={editing}
        title={WORDS.edit}
        note={WORDS.editHelp}
        begins={editing > 0 ? 'shut' : isDrafted ? 'open' : begins('edit')}
      >
        <FactForm list="plants" initial={plant} onSaved={() => setEditing(editing + 1)} />
        <TakeOut facts={facts} plant={plant} />
      </Fold>
      <View style={{ paddingTop: SPACE.m }}>
        <PlantJournal facts={facts} plant={plant} />
      </View>
    </View>
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

function OtherSpots({ facts, plant }: PlantGiven) {
  const change = useHome((state) => state.change);
  const today = dateAt(facts, useNow());
  const name = plantName(facts, plant);
  const moveTo = (spotId: string, others: readonly Change[]) =>
    void change(WORDS.movedTo(name, spotPlace(facts, spotId)), [carried(plant, spotId, today), ...others]);
  return <SpotChoices facts={facts} plant={plant} name={name} verb={WORDS.moveHere} onChoose={moveTo} />;
}

function Figures({ facts, plant, known }: PlantGiven & { readonly known: Known }) {
  const [figures, setFigures] = useState<'hidden' | 'shown'>('hidden');
  return (
    <>
      <Row>
        <TextLink href={{ pathname: '/catalogue/[taxonId]', params: { taxonId: plant.taxonId } }}>
          {WORDS.inCatalogue(latinName(facts, plant))}
        </TextLink>
        <Button onPress={() => setFigures(figures === 'shown' ? 'hidden' : 'shown')}>
          {figures === 'shown' ? WORDS.hideItsFigures : WORDS.correctFigure}
        </Button>
      </Row>
      {figures === 'shown' ? (
        <FiguresTable known={known} taxonId={null} plantId={plant.id} name={plantName(facts, plant)} />
      ) : null}
    </>
  );
}

function TakeOut({ facts, plant }: PlantGiven) {
  const change = useHome((state) => state.change);
  const name = plantName(facts, plant);
  const takeOut = async () => {
    const { gone } = fallenWith(facts, [{ list: 'plants', id: plant.id }]);
    const drops = gone.map(({ list, id }) => drop(list, id));
    if ((await change(WORDS.tookOut(name), drops)) === 'stored') router.replace('/plants');
  };
  return (
    <Button kind="danger" onPress={() => void takeOut()} style={{ alignSelf: 'flex-start' }}>
      {WORDS.takeOut(name)}
    </Button>
  );
}
