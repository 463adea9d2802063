/** A stand seen along its length: tiers, lamps, plants, and the lamps' hours at hand. */
import type { HomeFacts, Stand } from '@dulvan/core';
import { View } from 'react-native';
import Svg, { G, Line, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { useAnswers } from '../../state/answers';
import { useFacts } from '../../state/home';
import { RowLink, TextLink } from '../../ui/button';
import { Drawing } from '../../ui/drawing';
import { FitMark } from '../../ui/fit-mark';
import { MonthSlider } from '../../ui/month-slider';
import { TwoPanes } from '../../ui/page';
import { FONT, SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { mol, monthName, plantName } from '../../ui/words';
import { NotHere } from '../shell/not-here';
import { LampHours } from './lamp-hours';
import { useMonth } from './use-month';

export function StandScreen({ standId }: { readonly standId: string }) {
  const facts = useFacts();
  const stand = facts?.stands.find((candidate) => candidate.id === standId);
  if (!facts || !stand) return <NotHere what="stand" back="/rooms" />;
  return <StandView facts={facts} stand={stand} />;
}

function StandView({ facts, stand }: { readonly facts: HomeFacts; readonly stand: Stand }) {
  const [month, setMonth] = useMonth();
  const answers = useAnswers((state) => state.answers);
  const room = facts.rooms.find((candidate) => candidate.id === stand.roomId)!;
  const tiers = facts.tiers.filter((tier) => tier.standId === stand.id).sort((p, q) => q.heightM - p.heightM);
  const tierIds = new Set(tiers.map((tier) => tier.id));
  const lamps = facts.lamps.filter((lamp) => tierIds.has(lamp.tierId));
  const circuits = facts.circuits.filter((circuit) => lamps.some((lamp) => lamp.circuitId === circuit.id));
  const first = (
    <>
      <TextLink href={{ pathname: '/rooms/[roomId]', params: { roomId: room.id } }}>{room.name}</TextLink>
      <Title>{stand.name}</Title>
      <Drawing name={`${facts.home.name}, ${room.name}: ${stand.name} in ${monthName(month)}`} minHeight={300}>
        {(width) => <Elevation facts={facts} stand={stand} roomHeightM={room.heightM} width={width} month={month} />}
      </Drawing>
      <MonthSlider month={month} onMonth={setMonth} />
      {circuits.map((circuit) => (
        <LampHours key={circuit.id} circuit={circuit} month={month} />
      ))}
      {lamps.length === 0 ? <Small>No lamp hangs here.</Small> : null}
    </>
  );
  const second = (
    <>
      {tiers.map((tier) => (
        <View key={tier.id} style={{ gap: SPACE.xs }}>
          <Heading>{`Tier at ${Math.round(tier.heightM * 100)} cm`}</Heading>
          {lamps.some((lamp) => lamp.tierId === tier.id) ? (
            <TextLink href={{ pathname: '/light/tier/[tierId]', params: { tierId: tier.id } }} label={`Lamps over the tier at ${Math.round(tier.heightM * 100)} cm`}>
              Under its lamps: spread, height, hours
            </TextLink>
          ) : null}
          {facts.spots
            .filter((spot) => spot.tierId === tier.id)
            .map((spot) => {
              const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
              const condition = answers?.spots.find((answer) => answer.spotId === spot.id)?.conditions[month - 1];
              const fit = plant ? (answers?.plants.find((answer) => answer.plantId === plant.id)?.fit?.months[month - 1] ?? null) : null;
              return (
                <RowLink key={spot.id} href={{ pathname: '/spots/[spotId]', params: { spotId: spot.id } }} label={`${spot.name}${plant ? `, ${plantName(facts, plant)}` : ', free'}`}>
                  {plant ? <FitMark fit={fit} /> : <View style={{ width: 24 }} />}
                  <View style={{ flex: 1 }}>
                    <Body>{plant ? plantName(facts, plant) : 'Free'}</Body>
                    <Small>{spot.name}</Small>
                  </View>
                  <View style={{ alignItems: 'flex-end' }}>
                    <Body testID={`dli-${spot.id}`}>{condition ? `${mol(condition.dli)} mol a day` : '…'}</Body>
                    <Small>{monthName(month)}</Small>
                  </View>
                </RowLink>
              );
            })}
        </View>
      ))}
      <TextLink href={{ pathname: '/place/[list]/[id]', params: { list: 'stands', id: stand.id } }}>Edit this stand, its tiers and lamps</TextLink>
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

interface ElevationGiven {
  readonly facts: HomeFacts;
  readonly stand: Stand;
  readonly roomHeightM: number;
  readonly width: number;
  readonly month: number;
}

const elevationHeight = (width: number) => (width > 480 ? 460 : 320);
const MARGIN_LEFT = 44;

/** The stand from the side along its longer edge, floor to ceiling. */
function Elevation({ facts, stand, roomHeightM, width, month }: ElevationGiven) {
  const ink = useInk();
  const height = elevationHeight(width);
  const alongX = stand.widthM >= stand.depthM;
  const lengthM = Math.max(stand.widthM, stand.depthM);
  const scale = Math.min((width - MARGIN_LEFT - 16) / lengthM, (height - 40) / roomHeightM);
  const x = (metres: number) => MARGIN_LEFT + metres * scale;
  const y = (metres: number) => height - 20 - metres * scale;
  const tiers = facts.tiers.filter((tier) => tier.standId === stand.id);
  return (
    <Svg width={width} height={height} role="img" aria-label={`${stand.name} from the side`}>
      <Line x1={MARGIN_LEFT - 20} x2={x(lengthM) + 14} y1={y(0)} y2={y(0)} stroke={ink.ink} strokeWidth={3} />
      <Line x1={MARGIN_LEFT - 20} x2={x(lengthM) + 14} y1={y(roomHeightM)} y2={y(roomHeightM)} stroke={ink.line} strokeWidth={2} />
      {tiers.map((tier) => {
        const lamps = facts.lamps.filter((lamp) => lamp.tierId === tier.id);
        const spots = facts.spots.filter((spot) => spot.tierId === tier.id);
        return (
          <G key={tier.id}>
            {lamps.map((lamp) => {
              const circuit = facts.circuits.find((candidate) => candidate.id === lamp.circuitId);
              const burns = circuit?.months.includes(month) && lamp.dimming > 0;
              const middle = alongX ? lamp.alongM : lamp.acrossM;
              const half = Math.max(alongX ? lamp.lengthM : lamp.breadthM, 0.06) / 2;
              const top = y(tier.heightM + lamp.aboveM);
              const spread = lamp.aboveM * Math.tan((Math.min(lamp.beamDeg, 100) / 2) * (Math.PI / 180));
              const left = Math.max(0, middle - half - spread);
              const right = Math.min(lengthM, middle + half + spread);
              return (
                <G key={lamp.id}>
                  {burns ? (
                    <Polygon
                      points={`${x(middle - half)},${top} ${x(middle + half)},${top} ${x(right)},${y(tier.heightM)} ${x(left)},${y(tier.heightM)}`}
                      fill={ink.wash}
                      opacity={0.28}
                    />
                  ) : null}
                  <Rect x={x(middle - half)} y={top - 5} width={half * 2 * scale} height={5} fill={ink.ink} />
                </G>
              );
            })}
            <Line x1={x(0)} x2={x(lengthM)} y1={y(tier.heightM)} y2={y(tier.heightM)} stroke={ink.ink} strokeWidth={tier.board === 'solid' ? 3 : 1.2} strokeDasharray={tier.board === 'solid' ? '' : '6 4'} />
            <SvgText x={MARGIN_LEFT - 6} y={y(tier.heightM) + 4} textAnchor="end" fontFamily={FONT.lettering} fontSize={13} fill={ink.soft}>
              {Math.round(tier.heightM * 100)}
            </SvgText>
            {spots.map((spot) => {
              const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
              const middle = x(alongX ? spot.alongM : spot.acrossM);
              const base = y(tier.heightM) - 2;
              const tall = Math.min((plant?.heightCm ?? 15) / 100, spot.freeHeightM) * scale;
              const half = Math.max(5, (spot.sizeM * scale) / 3);
              return plant ? (
                <G key={spot.id}>
                  <Polygon points={`${middle - half * 0.6},${base} ${middle + half * 0.6},${base} ${middle + half},${base - tall} ${middle - half},${base - tall}`} fill={ink.factor.air} opacity={0.35} stroke={ink.factor.air} strokeWidth={1.2} />
                </G>
              ) : (
                <Rect key={spot.id} x={middle - half} y={base - 14} width={half * 2} height={14} fill="none" stroke={ink.soft} strokeWidth={1} strokeDasharray="2 2" />
              );
            })}
          </G>
        );
      })}
    </Svg>
  );
}
