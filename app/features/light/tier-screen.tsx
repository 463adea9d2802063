/** A tier under its lamps: how evenly they light it, the height and hours that a wanted light takes, power and heat. */
import { burningFor, lampOutput, lampPower, patch, type HomeFacts, type Lamp, type Tier } from '@dulvan/core';
import { View } from 'react-native';
import { LampHours } from '../../parts/lamp-hours';
import { LampsTouched } from '../../parts/lamp-touched';
import { NotHere } from '../../parts/not-here';
import { Pending } from '../../parts/pending';
import { useMonth } from '../../parts/use-month';
import { hours, length } from '../../parts/words';
import { useFacts, useHome } from '../../state/home';
import { shownValue, useTierField } from '../../state/questions';
import { useUnits } from '../../state/settings';
import { Button, TextLink } from '../../ui/button';
import { Drawing } from '../../ui/drawing';
import { monthName } from '../../ui/months';
import { Page, Row, TwoPanes } from '../../ui/page';
import { StepSlider } from '../../ui/step-slider';
import { Body, Heading, Small, Strong, Title } from '../../ui/type';
import { LampWishes } from './lamp-wishes';
import { Spread, SpreadFigures } from './tier-spread';
import { TIER_SCREEN as WORDS } from './light-words';

export function TierScreen({ tierId }: { readonly tierId: string }) {
  const facts = useFacts();
  const tier = facts?.tiers.find((candidate) => candidate.id === tierId);
  if (!facts) return null;
  if (!tier) return <NotHere what={WORDS.theTier} back="/rooms" />;
  const isLit = facts.lamps.some((lamp) => lamp.tierId === tierId);
  return isLit ? <TierView facts={facts} tier={tier} /> : <UnlitTier facts={facts} tier={tier} />;
}

const HEIGHT_STEP_M = 0.02;
/** Lamps are not hung lower than this over their board. */
const LOWEST_M = 0.04;

interface TierGiven {
  readonly facts: HomeFacts;
  readonly tier: Tier;
}

/** A tier without a lamp: what its plants want, and the lamp that would give it. */
function UnlitTier({ facts, tier }: TierGiven) {
  const [month, setMonth] = useMonth();
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId)!;
  return (
    <Page>
      <TextLink href={{ pathname: '/stands/[standId]', params: { standId: stand.id } }}>{stand.name}</TextLink>
      <Title>{WORDS.unlitTier(Math.round(tier.heightM * 100))}</Title>
      <LampWishes facts={facts} tier={tier} month={month} onMonth={setMonth} onHang={null} />
    </Page>
  );
}

function TierView({ facts, tier }: TierGiven) {
  const [month, setMonth] = useMonth();
  const asked = useTierField(facts, tier.id);
  const field = shownValue(asked);
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId)!;
  const lamps = facts.lamps.filter((lamp) => lamp.tierId === tier.id);
  const height = useHanging(facts, tier);
  const circuits = facts.circuits.filter((circuit) => lamps.some((lamp) => lamp.circuitId === circuit.id));
  const first = (
    <>
      <TextLink href={{ pathname: '/stands/[standId]', params: { standId: stand.id } }}>{stand.name}</TextLink>
      <Title>{WORDS.tierUnderItsLamps(Math.round(tier.heightM * 100))}</Title>
      <Drawing
        name={WORDS.pictureOf(facts.home.name, stand.name, Math.round(tier.heightM * 100))}
        minHeight={120}
        legend={<Small>{WORDS.howToRead}</Small>}
      >
        {(width) =>
          field ? (
            <Spread
              field={field}
              widthM={stand.widthM}
              depthM={stand.depthM}
              spots={facts.spots.filter((spot) => spot.tierId === tier.id)}
              width={width}
            />
          ) : (
            <Pending asked={asked} />
          )
        }
      </Drawing>
      {field ? <SpreadFigures field={field} month={month} /> : null}
      <HangingHeight height={height} />
      {circuits.map((circuit) => (
        <LampHours key={circuit.id} circuit={circuit} month={month} />
      ))}
      <Small>{WORDS.caution}</Small>
    </>
  );
  const second = (
    <>
      <LampsTouched facts={facts} tierIds={new Set([tier.id])} />
      <LampWishes facts={facts} tier={tier} month={month} onMonth={setMonth} onHang={height.hang} />
      <PowerAndHeat facts={facts} tier={tier} month={month} />
      <Heading>{WORDS.whatEachLampGives}</Heading>
      {lamps.map((lamp) => (
        <LampGives key={lamp.id} lamp={lamp} />
      ))}
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

/** The height of a tier's lamps above its board, metres, and how to hang them elsewhere, tried before it is kept. */
function useHanging(facts: HomeFacts, tier: Tier) {
  const units = useUnits();
  const tryOut = useHome((state) => state.tryOut);
  const lamps = facts.lamps.filter((lamp) => lamp.tierId === tier.id);
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId)!;
  const room = facts.rooms.find((candidate) => candidate.id === stand.roomId)!;
  const highest = Math.max(0.3, Math.min(2, room.heightM - tier.heightM));
  const hang = (wantedM: number, hoursADay?: number) => {
    const toM = Math.min(highest, Math.max(LOWEST_M, wantedM));
    const timers = facts.circuits.filter((circuit) => lamps.some((lamp) => lamp.circuitId === circuit.id));
    const burning =
      hoursADay === undefined ? [] : timers.map((timer) => patch('circuits', timer.id, burningFor(timer, hoursADay)));
    const aDay = hoursADay === undefined ? '' : `, ${hours(hoursADay)} a day`;
    tryOut(WORDS.lampsAtHeight(stand.name, length(toM, units), aDay), [
      ...lamps.map((lamp) => patch('lamps', lamp.id, { aboveM: Math.round(toM * 100) / 100 })),
      ...burning,
    ]);
  };
  return { aboveM: lamps[0]!.aboveM, highest, hang };
}

function HangingHeight({ height: { aboveM, highest, hang } }: { readonly height: ReturnType<typeof useHanging> }) {
  const units = useUnits();
  const by = (stepM: number) => () => hang(aboveM + stepM);
  return (
    <>
      <Strong>{WORDS.lampsHangAt(length(aboveM, units))}</Strong>
      <StepSlider
        label={WORDS.heightOfLamps}
        value={Math.round(aboveM / HEIGHT_STEP_M)}
        most={Math.round(highest / HEIGHT_STEP_M)}
        words={length(aboveM, units)}
        onValue={(value) => hang(value * HEIGHT_STEP_M)}
      />
      <Row>
        <Button onPress={by(-0.05)} label={WORDS.lowerLampsBy(length(0.05, units))}>
          {WORDS.lower}
        </Button>
        <Button onPress={by(0.05)} label={WORDS.raiseLampsBy(length(0.05, units))}>
          {WORDS.raise}
        </Button>
      </Row>
    </>
  );
}

function PowerAndHeat({ facts, tier, month }: TierGiven & { readonly month: number }) {
  const { watts, kWhADay } = lampPower(facts, tier.id, month);
  const stand = facts.stands.find((candidate) => candidate.id === tier.standId);
  const room = facts.rooms.find((candidate) => candidate.id === stand?.roomId);
  const enclosed = room?.insideRoomId ? WORDS.firstInEnclosure : '';
  return (
    <>
      <Heading>{WORDS.powerAndHeat}</Heading>
      <Body>
        {WORDS.powerAndEnergy(Math.round(watts), kWhADay.toFixed(2), monthName(month))}
        {WORDS.endsAsWarmth(enclosed)}
      </Body>
    </>
  );
}

function LampGives({ lamp }: { readonly lamp: Lamp }) {
  const { ppf, doubt, left } = lampOutput(lamp);
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const words = [
    WORDS.ratedWithin(RATED_WORD[lamp.ratedBy], percent(doubt)),
    left < 1 ? WORDS.leftOfFirstLight(percent(left)) : null,
    lamp.dimming < 1 ? WORDS.dimmedTo(percent(lamp.dimming)) : null,
    lamp.photometryId ? WORDS.spreadByFile : null,
  ];
  return (
    <View>
      <Body>{`${lamp.name}: ${Math.round(ppf * lamp.dimming)} µmol/s now`}</Body>
      <Small>{words.filter(Boolean).join('; ')}</Small>
    </View>
  );
}

const RATED_WORD = {
  ppf: 'By the photons on its label',
  lumens: 'By its lumens',
  watts: 'By its watts alone',
} as const;
