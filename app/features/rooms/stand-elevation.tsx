/**
 * A stand from the side along its longer edge, floor to ceiling: boards, lamps with their light, and who stands where.
 */
import {
  leafHeights,
  type HomeFacts,
  type Lamp,
  type LeafHeights,
  type Spot,
  type Stand,
  type Tier,
} from '@dulvan/core';
import Svg, { G, Line, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { FONT } from '../../ui/theme';
import { useInk } from '../../ui/use-ink';
import { plantName } from '../../parts/words';
import { STAND_ELEVATION as WORDS } from './rooms-words';

interface Given {
  readonly facts: HomeFacts;
  readonly stand: Stand;
  readonly roomHeightM: number;
  readonly width: number;
  readonly month: number;
}

const elevationHeight = (width: number) => (width > 480 ? 460 : 320);
const MARGIN_LEFT = 44;
/** Who stands on a tier is lettered beside it where so much is left, px. */
const LEAST_FOR_NAMES = 110;
const NAME_LINE = 15;
/** Drawn for a plant whose height is not stated. */
const ASSUMED_CM = 15;

/** Who stands on a tier from left to right, in so many lines at most. */
function namesOn(facts: HomeFacts, spots: readonly Spot[], most: number): string[] {
  const names = spots.map((spot) => {
    const here = facts.plants.filter((candidate) => candidate.spotId === spot.id);
    return here.map((plant) => plantName(facts, plant)).join(' + ') || WORDS.free;
  });
  return names.length <= most ? names : [...names.slice(0, most - 1), WORDS.andMore(names.length - most + 1)];
}

/** The stand's own measures on the drawing. */
interface Scale {
  readonly alongX: boolean;
  readonly lengthM: number;
  readonly pixelsPerM: number;
  /** Metres along the stand to px. */
  readonly x: (metres: number) => number;
  /** Metres above the floor to px. */
  readonly y: (metres: number) => number;
}

function scaleOf(stand: Stand, roomHeightM: number, width: number): Scale {
  const height = elevationHeight(width);
  const lengthM = Math.max(stand.widthM, stand.depthM);
  const pixelsPerM = Math.min((width - MARGIN_LEFT - 16) / lengthM, (height - 40) / roomHeightM);
  return {
    alongX: stand.widthM >= stand.depthM,
    lengthM,
    pixelsPerM,
    x: (metres) => MARGIN_LEFT + metres * pixelsPerM,
    y: (metres) => height - 20 - metres * pixelsPerM,
  };
}

export function StandElevation({ facts, stand, roomHeightM, width, month }: Given) {
  const ink = useInk();
  const scale = scaleOf(stand, roomHeightM, width);
  const { x, y, lengthM } = scale;
  const ends = { x1: MARGIN_LEFT - 20, x2: x(lengthM) + 14 };
  const tiers = facts.tiers.filter((tier) => tier.standId === stand.id).sort((p, q) => p.heightM - q.heightM);
  const hasNames = width - namesFrom(scale) >= LEAST_FOR_NAMES;
  return (
    <Svg width={width} height={elevationHeight(width)} role="img" aria-label={WORDS.fromTheSide(stand.name)}>
      <Line {...ends} y1={y(0)} y2={y(0)} stroke={ink.ink} strokeWidth={3} />
      <Line {...ends} y1={y(roomHeightM)} y2={y(roomHeightM)} stroke={ink.line} strokeWidth={2} />
      {tiers.map((tier, at) => {
        const spots = spotsOn(facts, tier, scale);
        const aboveM = (tiers[at + 1]?.heightM ?? roomHeightM) - tier.heightM;
        const lines = Math.max(1, Math.floor((aboveM * scale.pixelsPerM) / NAME_LINE));
        return (
          <G key={tier.id}>
            {facts.lamps
              .filter((lamp) => lamp.tierId === tier.id)
              .map((lamp) => (
                <HungLamp key={lamp.id} facts={facts} tier={tier} lamp={lamp} scale={scale} month={month} />
              ))}
            <Board tier={tier} scale={scale} />
            {hasNames ? <Names names={namesOn(facts, spots, lines)} tier={tier} scale={scale} /> : null}
            {spots.map((spot) => (
              <OnSpot key={spot.id} facts={facts} tier={tier} spot={spot} scale={scale} />
            ))}
          </G>
        );
      })}
    </Svg>
  );
}

const namesFrom = ({ x, lengthM }: Scale) => x(lengthM) + 22;

/** The spots of a tier from left to right. */
const spotsOn = (facts: HomeFacts, tier: Tier, { alongX }: Scale) =>
  facts.spots
    .filter((spot) => spot.tierId === tier.id)
    .sort((p, q) => (alongX ? p.alongM - q.alongM : p.acrossM - q.acrossM));

interface OnTier {
  readonly tier: Tier;
  readonly scale: Scale;
}

interface HungLampGiven extends OnTier {
  readonly facts: HomeFacts;
  readonly lamp: Lamp;
  readonly month: number;
}

/** A lamp, and its beam where it burns in this month. */
function HungLamp({ facts, tier, lamp, scale: { alongX, lengthM, pixelsPerM, x, y }, month }: HungLampGiven) {
  const ink = useInk();
  const circuit = facts.circuits.find((candidate) => candidate.id === lamp.circuitId);
  const burns = circuit?.months.includes(month) && lamp.dimming > 0;
  const middle = alongX ? lamp.alongM : lamp.acrossM;
  const half = Math.max(alongX ? lamp.lengthM : lamp.breadthM, 0.06) / 2;
  const top = y(tier.heightM + lamp.aboveM);
  const board = y(tier.heightM);
  const spread = lamp.aboveM * Math.tan((Math.min(lamp.beamDeg, 100) / 2) * (Math.PI / 180));
  const left = Math.max(0, middle - half - spread);
  const right = Math.min(lengthM, middle + half + spread);
  const beam = `${x(middle - half)},${top} ${x(middle + half)},${top} ${x(right)},${board} ${x(left)},${board}`;
  return (
    <G>
      {burns ? <Polygon points={beam} fill={ink.wash} opacity={0.28} /> : null}
      <Rect x={x(middle - half)} y={top - 5} width={half * 2 * pixelsPerM} height={5} fill={ink.ink} />
    </G>
  );
}

function Board({ tier: { heightM, board }, scale: { lengthM, x, y } }: OnTier) {
  const ink = useInk();
  return (
    <>
      <Line
        x1={x(0)}
        x2={x(lengthM)}
        y1={y(heightM)}
        y2={y(heightM)}
        stroke={ink.ink}
        strokeWidth={board === 'solid' ? 3 : 1.2}
        strokeDasharray={board === 'solid' ? '' : '6 4'}
      />
      <SvgText
        x={MARGIN_LEFT - 6}
        y={y(heightM) + 4}
        textAnchor="end"
        fontFamily={FONT.lettering}
        fontSize={13}
        fill={ink.soft}
      >
        {`${Math.round(heightM * 100)} cm`}
      </SvgText>
    </>
  );
}

function Names({ names, tier, scale }: OnTier & { readonly names: readonly string[] }) {
  const { ink } = useInk();
  return names.map((name, line) => (
    <SvgText
      key={line}
      x={namesFrom(scale)}
      y={scale.y(tier.heightM) + 4 - NAME_LINE * (names.length - 1 - line)}
      fontFamily={FONT.lettering}
      fontSize={13}
      fill={ink}
    >
      {name}
    </SvgText>
  ));
}

interface OnSpotGiven extends OnTier {
  readonly facts: HomeFacts;
  readonly spot: Spot;
}

/** Who stands on a spot, side by side where there are several, or that it is free. */
function OnSpot({ facts, tier, spot, scale: { alongX, pixelsPerM, x, y } }: OnSpotGiven) {
  const ink = useInk();
  const here = facts.plants.filter((candidate) => candidate.spotId === spot.id);
  const middle = x(alongX ? spot.alongM : spot.acrossM);
  const base = y(tier.heightM) - 2;
  const half = Math.max(5, (spot.sizeM * pixelsPerM) / 3);
  if (here.length === 0) {
    const free = { x: middle - half, y: base - 14, width: half * 2, height: 14 };
    return <Rect {...free} fill="none" stroke={ink.soft} strokeWidth={1} strokeDasharray="2 2" />;
  }
  const own = half / here.length;
  return (
    <>
      {here.map(({ id, heightCm }, i) => {
        const centre = middle - half + (2 * i + 1) * own;
        const top = base - Math.min((heightCm ?? ASSUMED_CM) / 100, spot.freeHeightM) * pixelsPerM;
        const foot = own * 0.6;
        return (
          <Polygon
            key={id}
            points={`${centre - foot},${base} ${centre + foot},${base} ${centre + own},${top} ${centre - own},${top}`}
            fill={ink.factor.air}
            opacity={0.35}
            stroke={ink.factor.air}
            strokeWidth={1.2}
          />
        );
      })}
      <Judged
        heights={leafHeights(here, spot.freeHeightM)}
        middle={middle}
        half={half}
        y={(m) => base - m * pixelsPerM}
      />
    </>
  );
}

interface JudgedGiven {
  readonly heights: LeafHeights;
  readonly middle: number;
  readonly half: number;
  /** Metres above the board to px. */
  readonly y: (metres: number) => number;
}

/** Where a plant's light is judged: a solid line at the middle of its leaves, a dashed one at its top. */
function Judged({ heights: { middleM, topM }, middle, half, y }: JudgedGiven) {
  const { ink } = useInk();
  const across = { x1: middle - half - 3, x2: middle + half + 3, stroke: ink };
  return (
    <>
      <Line {...across} y1={y(middleM)} y2={y(middleM)} strokeWidth={1.4} />
      <Line {...across} y1={y(topM)} y2={y(topM)} strokeWidth={1} strokeDasharray="3 2" />
    </>
  );
}
