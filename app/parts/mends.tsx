/**
 * What would help a plant, each with what it does to it and to others; or what it would need that this home has not.
 */
import { curtains } from '@dulvan/catalogue';
import {
  clockOf,
  changesOf,
  lampNeeded,
  type AirRemedy,
  type HomeFacts,
  type LifeClass,
  type Mend,
  type Plant,
  type PlantAnswer,
  type PlantMends,
  type RefusedMend,
  type Remedy,
} from '@dulvan/core';
import { View } from 'react-native';
import { useHome } from '../state/home';
import type { Asked } from '../state/questions';
import { useUnits, type Units } from '../state/settings';
import { useSpotAnswer } from '../state/verdicts';
import { useNow } from '../state/use-now';
import { dateAt } from '../state/year';
import { Button } from '../ui/button';
import { SPACE } from '../ui/theme';
import { Body, Small } from '../ui/type';
import { Pending } from './pending';
import { brightness, fitShare, length, monthsInWords, mol, plantName, spotPlace } from './words';
import { MENDS as WORDS } from './part-words';

interface Given {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly answer: PlantAnswer;
  readonly asked: Asked<PlantMends[]>;
  /** In short: the first alone, and no word of what was left alone. */
  readonly how?: 'in-short' | 'whole';
}

export function MendList({ facts, plant, answer, asked, how = 'whole' }: Given) {
  // What was found before something changed may speak of what is gone: nothing is shown until it is of these facts.
  if (asked.state === 'working') return <Small>{WORDS.looking}</Small>;
  if (asked.state !== 'ready') return <Pending asked={asked} />;
  const found = asked.value.find(({ plantId }) => plantId === plant.id);
  return (
    <View style={{ gap: SPACE.s }}>
      {found?.mends.slice(0, how === 'whole' ? undefined : 1).map((mend) => (
        <OneMend key={JSON.stringify(mend.remedy)} facts={facts} plant={plant} mend={mend} />
      ))}
      {found && found.mends.length > 0 ? null : <NothingHelps plant={plant} answer={answer} />}
      {found?.refused && how === 'whole' ? <Refused facts={facts} plantId={plant.id} refused={found.refused} /> : null}
    </View>
  );
}

const nameOf = (facts: HomeFacts, plantId: string) => {
  const plant = facts.plants.find(({ id }) => id === plantId);
  return plant ? plantName(facts, plant) : 'a plant';
};

const AIR_WORDS: Record<AirRemedy, string> = {
  warmer: 'Keep it warmer',
  cooler: 'Keep it cooler',
  moister: 'Raise the moisture of its air by about 15 points',
  drier: 'Bring the moisture of its air down by about 15 points',
  moving: 'Let its air move: a slow fan would do',
};

/** A change of temperature, in the grower's degrees. */
function byHowMuch(what: AirRemedy, units: Units): string {
  if (what !== 'warmer' && what !== 'cooler') return '';
  return units.temperature === 'F' ? WORDS.byFahrenheit : WORDS.byCelsius;
}

/** A remedy as one would say it. */
export function remedyWords(facts: HomeFacts, plantId: string, remedy: Remedy, units: Units): string {
  switch (remedy.kind) {
    case 'move':
      return WORDS.moveTo(spotPlace(facts, remedy.spotId));
    case 'swap':
      return WORDS.changePlacesWith(nameOf(facts, remedy.plantId === plantId ? remedy.otherPlantId : remedy.plantId));
    case 'chain': {
      const { spotId, otherPlantId, otherSpotId } = remedy;
      const [own, other, otherOne] =
        remedy.plantId === plantId ? [spotId, otherSpotId, otherPlantId] : [otherSpotId, spotId, remedy.plantId];
      return WORDS.moveBoth(spotPlace(facts, own), nameOf(facts, otherOne), spotPlace(facts, other));
    }
    case 'shift':
      return WORDS.shiftIt(length(remedy.byM, units), remedy.way === 'toward-window' ? WORDS.toward : WORDS.awayFrom);
    case 'lamp-hours': {
      const circuit = facts.circuits.find(({ id }) => id === remedy.circuitId)!;
      return WORDS.circuitFromTo(circuit.name, clockOf(remedy.onMinute), clockOf(remedy.offMinute));
    }
    case 'dim':
      return WORDS.dimmedTo(lampName(facts, remedy.lampId), Math.round(remedy.dimming * 100));
    case 'hang':
      return WORDS.hangAt(lampName(facts, remedy.lampId), length(remedy.aboveM, units));
    case 'curtain': {
      const curtain = curtains.find(({ id }) => id === remedy.curtainId)!.name.toLowerCase();
      const shut = WORDS.curtainHours(
        clockOf(remedy.fromMinute),
        clockOf(remedy.toMinute),
        monthsInWords(remedy.months),
      );
      return WORDS.hangCurtain(curtain, windowName(facts, remedy.windowId), shut);
    }
    case 'open':
      return WORDS.openCurtain(windowName(facts, remedy.windowId), monthsInWords(remedy.months));
    case 'air': {
      const when = remedy.months.length > 0 ? ` ${monthsInWords(remedy.months)}` : '';
      return `${AIR_WORDS[remedy.what]}${byHowMuch(remedy.what, units)}${when}`;
    }
  }
}

const lampName = (facts: HomeFacts, lampId: string) => facts.lamps.find(({ id }) => id === lampId)!.name;
const windowName = (facts: HomeFacts, windowId: string) =>
  facts.windows.find(({ id }) => id === windowId)!.name.toLowerCase();

const CARRIED: ReadonlySet<Remedy['kind']> = new Set(['move', 'swap', 'chain']);

function OneMend({ facts, plant, mend }: { readonly facts: HomeFacts; readonly plant: Plant; readonly mend: Mend }) {
  const units = useUnits();
  const change = useHome((state) => state.change);
  const tryOut = useHome((state) => state.tryOut);
  const now = useNow();
  const { remedy } = mend;
  const words = remedyWords(facts, plant.id, remedy, units);
  const name = plantName(facts, plant);
  const changes = changesOf(remedy, facts, dateAt(facts, now));
  const isCarried = CARRIED.has(remedy.kind);
  const act = () => (isCarried ? void change(`${name}: ${words}`, changes) : tryOut(`${name}: ${words}`, changes));
  return (
    <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
      <View style={{ flex: 1, gap: 2 }}>
        <Body testID="mend">{words}</Body>
        <Small>{effectWords(facts, mend)}</Small>
        {mend.steps ? <Small>{stepsWords(mend.steps)}</Small> : null}
        {remedy.kind === 'hang' ? <Small>{HANG_CAUTION}</Small> : null}
        {isCarried && (plant.heightCm ?? 0) >= TALL_CM ? <Small>{TALL_CAUTION}</Small> : null}
      </View>
      {changes.length > 0 ? (
        <Button kind="main" label={WORDS.forPlant(isCarried ? WORDS.doIt : WORDS.tryIt, words, name)} onPress={act}>
          {isCarried ? WORDS.doIt : WORDS.tryIt}
        </Button>
      ) : null}
    </View>
  );
}

/** A plant of this height is a load, cm. */
const TALL_CM = 100;
const TALL_CAUTION = 'It is tall and heavy: carry it by the pot, with someone, and mind what it may fall on.';

const HANG_CAUTION =
  'Switch it off and unplug it before you hang it elsewhere, and leave a loop in its cable below the plug.';

const THEN: Readonly<Record<LifeClass, string>> = {
  weeks: 'It still declines within weeks then',
  months: 'It still declines within months then',
  years: 'It lives on then, without growing',
  slow: 'It lives on and grows slowly then',
  grows: 'It grows then',
  thrives: 'It thrives then',
};

function effectWords(facts: HomeFacts, { effect, lifeAfter, others }: Mend): string {
  const also = others.map((other) =>
    WORDS.otherChanges(nameOf(facts, other.plantId), fitShare(other.before), fitShare(other.after)),
  );
  const then = WORDS.effect(THEN[lifeAfter], fitShare(effect.after), fitShare(effect.before));
  return `${then}${also.length > 0 ? WORDS.also(also.join(', ')) : ''}`;
}

const stepsWords = ({ times, weeks }: NonNullable<Mend['steps']>) => WORDS.getUsedToIt(times.toFixed(1), weeks);

interface RefusedGiven {
  readonly facts: HomeFacts;
  readonly plantId: string;
  readonly refused: RefusedMend;
}

function Refused({ facts, plantId, refused: { remedy, harmed } }: RefusedGiven) {
  const units = useUnits();
  const words = remedyWords(facts, plantId, remedy, units);
  return (
    <Small>
      {WORDS.leftAlone(words, nameOf(facts, harmed.plantId), fitShare(harmed.before), fitShare(harmed.after))}
    </Small>
  );
}

function NothingHelps({ plant, answer }: Pick<Given, 'plant' | 'answer'>) {
  const units = useUnits();
  const here = useSpotAnswer(plant.spotId);
  const lamp = here && answer.fit ? lampNeeded(answer.targets, here.conditions, answer.fit) : null;
  return (
    <Small>
      {WORDS.nothingHelps}
      {lamp ? [WORDS.itLacks(mol(lamp.dli), brightness(lamp.ppfd, units)), WORDS.lampHours(lamp.hours)].join('') : ''}
    </Small>
  );
}
