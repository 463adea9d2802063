/** A stand seen along its length: tiers, lamps, plants, and the lamps' hours at hand. */
import { intoOpening, openingsFor, type HomeFacts, type Spot, type Stand, type Tier, type Window } from '@dulvan/core';
import { View } from 'react-native';
import { useVerdicts } from '../../state/verdicts';
import { useFacts, useHome } from '../../state/home';
import { Button, RowLink, TextLink } from '../../ui/button';
import { Drawing } from '../../ui/drawing';
import { FitMark } from '../../parts/fit-mark';
import { MonthSlider } from '../../ui/month-slider';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Heading, Small, Title } from '../../ui/type';
import { mol, plantName } from '../../parts/words';
import { monthName } from '../../ui/months';
import { NotHere } from '../../parts/not-here';
import { spotsOn } from '../../parts/in-order';
import { LampHours } from '../../parts/lamp-hours';
import { StandElevation } from './stand-elevation';
import { LampsTouched } from '../../parts/lamp-touched';
import { useMonth } from '../../parts/use-month';
import { STAND_SCREEN as WORDS } from './rooms-words';

export function StandScreen({ standId }: { readonly standId: string }) {
  const facts = useFacts();
  const stand = facts?.stands.find((candidate) => candidate.id === standId);
  if (!facts || !stand) return <NotHere what="stand" back="/rooms" />;
  return <StandView facts={facts} stand={stand} />;
}

function StandView({ facts, stand }: { readonly facts: HomeFacts; readonly stand: Stand }) {
  const [month, setMonth] = useMonth();
  const room = facts.rooms.find((candidate) => candidate.id === stand.roomId)!;
  const tiers = facts.tiers.filter((tier) => tier.standId === stand.id).sort((p, q) => q.heightM - p.heightM);
  const tierIds = new Set(tiers.map((tier) => tier.id));
  const lamps = facts.lamps.filter((lamp) => tierIds.has(lamp.tierId));
  const circuits = facts.circuits.filter((circuit) => lamps.some((lamp) => lamp.circuitId === circuit.id));
  const first = (
    <>
      <TextLink href={{ pathname: '/rooms/[roomId]', params: { roomId: room.id } }}>{room.name}</TextLink>
      <Title>{stand.name}</Title>
      <Drawing name={WORDS.pictureOf(facts.home.name, room.name, stand.name, monthName(month))} minHeight={300}>
        {(width) => (
          <StandElevation facts={facts} stand={stand} roomHeightM={room.heightM} width={width} month={month} />
        )}
      </Drawing>
      <Small>{WORDS.howToRead}</Small>
      <LampsTouched facts={facts} tierIds={tierIds} />
      <MonthSlider month={month} onMonth={setMonth} />
      {circuits.map((circuit) => (
        <LampHours key={circuit.id} circuit={circuit} month={month} />
      ))}
      {lamps.length === 0 ? <Small>{WORDS.noLampHangsHere}</Small> : null}
      <IntoOpening facts={facts} stand={stand} />
    </>
  );
  const second = (
    <>
      {tiers.map((tier) => (
        <TierSpots
          key={tier.id}
          facts={facts}
          tier={tier}
          month={month}
          lamps={lamps.some((lamp) => lamp.tierId === tier.id) ? 'some' : 'none'}
        />
      ))}
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'stands', id: stand.id } }}>
        {WORDS.editThisStand}
      </TextLink>
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

interface SillGiven {
  readonly facts: HomeFacts;
  readonly stand: Stand;
}

/** Sets a sill between the wall and the glass of a window, where most sills are, tried before it is kept. */
function IntoOpening({ facts, stand }: SillGiven) {
  const tryOut = useHome((state) => state.tryOut);
  const free = openingsFor(facts, stand);
  if (free.length === 0) return null;
  const set = (window: Window) => () =>
    tryOut(WORDS.inOpeningOf(stand.name, window.name), intoOpening(facts, stand, window));
  return (
    <View style={{ gap: SPACE.xs }}>
      <Small>{WORDS.aboutOpening}</Small>
      {free.map((window) => (
        <Button key={window.id} onPress={set(window)}>
          {WORDS.setIntoOpening(window.name)}
        </Button>
      ))}
    </View>
  );
}

interface TierGiven {
  readonly facts: HomeFacts;
  readonly tier: Tier;
  readonly month: number;
  readonly lamps: 'none' | 'some';
}

function TierSpots({ facts, tier, month, lamps }: TierGiven) {
  const height = `${Math.round(tier.heightM * 100)} cm`;
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{WORDS.tierAt(height)}</Heading>
      <TextLink
        href={{ pathname: '/light/tier/[tierId]', params: { tierId: tier.id } }}
        label={lamps === 'some' ? WORDS.lampsOverTierAt(height) : WORDS.lampForTierAt(height)}
      >
        {lamps === 'some' ? WORDS.underItsLamps : WORDS.whichLamp}
      </TextLink>
      {spotsOn(facts, tier.id).map((spot) => (
        <SpotRow key={spot.id} facts={facts} spot={spot} month={month} />
      ))}
    </View>
  );
}

function SpotRow({ facts, spot, month }: { readonly facts: HomeFacts; readonly spot: Spot; readonly month: number }) {
  const { answers } = useVerdicts();
  const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
  const condition = answers?.spots.find((answer) => answer.spotId === spot.id)?.conditions[month - 1];
  const fit = answers?.plants.find((answer) => answer.plantId === plant?.id)?.fit?.months[month - 1] ?? null;
  const who = plant ? plantName(facts, plant) : null;
  return (
    <RowLink
      href={{ pathname: '/spots/[spotId]', params: { spotId: spot.id } }}
      label={WORDS.spotAndWho(spot.name, who ?? WORDS.freeSpot)}
      mark={plant ? <FitMark fit={fit} /> : <View style={{ width: 24 }} />}
      title={who ?? WORDS.free}
      note={spot.name}
      value={condition ? WORDS.molDay(mol(condition.dli)) : '…'}
      valueTestID={`dli-${spot.id}`}
      valueNote={monthName(month)}
    />
  );
}
