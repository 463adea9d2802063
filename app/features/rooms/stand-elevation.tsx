/** A stand from the side along its longer edge, floor to ceiling: boards, lamps with their light, and who stands where. */
import type { HomeFacts, Spot, Stand } from '@dulvan/core';
import Svg, { G, Line, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { FONT } from '../../ui/theme';
import { useInk } from '../../ui/use-ink';
import { plantName } from '../../parts/words';

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

/** Who stands on a tier from left to right, in so many lines at most. */
function namesOn(facts: HomeFacts, spots: readonly Spot[], most: number): string[] {
  const names = spots.map((spot) => {
    const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
    return plant ? plantName(facts, plant) : 'Free';
  });
  return names.length <= most ? names : [...names.slice(0, most - 1), `and ${names.length - most + 1} more`];
}

export function StandElevation({ facts, stand, roomHeightM, width, month }: Given) {
  const ink = useInk();
  const height = elevationHeight(width);
  const alongX = stand.widthM >= stand.depthM;
  const lengthM = Math.max(stand.widthM, stand.depthM);
  const scale = Math.min((width - MARGIN_LEFT - 16) / lengthM, (height - 40) / roomHeightM);
  const x = (metres: number) => MARGIN_LEFT + metres * scale;
  const y = (metres: number) => height - 20 - metres * scale;
  const tiers = facts.tiers.filter((tier) => tier.standId === stand.id).sort((p, q) => p.heightM - q.heightM);
  const namesFrom = x(lengthM) + 22;
  return (
    <Svg width={width} height={height} role="img" aria-label={`${stand.name} from the side`}>
      <Line x1={MARGIN_LEFT - 20} x2={x(lengthM) + 14} y1={y(0)} y2={y(0)} stroke={ink.ink} strokeWidth={3} />
      <Line
        x1={MARGIN_LEFT - 20}
        x2={x(lengthM) + 14}
        y1={y(roomHeightM)}
        y2={y(roomHeightM)}
        stroke={ink.line}
        strokeWidth={2}
      />
      {tiers.map((tier, at) => {
        const lamps = facts.lamps.filter((lamp) => lamp.tierId === tier.id);
        const spots = facts.spots
          .filter((spot) => spot.tierId === tier.id)
          .sort((p, q) => (alongX ? p.alongM - q.alongM : p.acrossM - q.acrossM));
        const aboveM = (tiers[at + 1]?.heightM ?? roomHeightM) - tier.heightM;
        const names =
          width - namesFrom < LEAST_FOR_NAMES
            ? []
            : namesOn(facts, spots, Math.max(1, Math.floor((aboveM * scale) / NAME_LINE)));
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
            <Line
              x1={x(0)}
              x2={x(lengthM)}
              y1={y(tier.heightM)}
              y2={y(tier.heightM)}
              stroke={ink.ink}
              strokeWidth={tier.board === 'solid' ? 3 : 1.2}
              strokeDasharray={tier.board === 'solid' ? '' : '6 4'}
            />
            <SvgText
              x={MARGIN_LEFT - 6}
              y={y(tier.heightM) + 4}
              textAnchor="end"
              fontFamily={FONT.lettering}
              fontSize={13}
              fill={ink.soft}
            >
              {`${Math.round(tier.heightM * 100)} cm`}
            </SvgText>
            {names.map((name, line) => (
              <SvgText
                key={line}
                x={namesFrom}
                y={y(tier.heightM) + 4 - NAME_LINE * (names.length - 1 - line)}
                fontFamily={FONT.lettering}
                fontSize={13}
                fill={ink.ink}
              >
                {name}
              </SvgText>
            ))}
            {spots.map((spot) => {
              const plant = facts.plants.find((candidate) => candidate.spotId === spot.id);
              const middle = x(alongX ? spot.alongM : spot.acrossM);
              const base = y(tier.heightM) - 2;
              const tall = Math.min((plant?.heightCm ?? 15) / 100, spot.freeHeightM) * scale;
              const half = Math.max(5, (spot.sizeM * scale) / 3);
              return plant ? (
                <G key={spot.id}>
                  <Polygon
                    points={`${middle - half * 0.6},${base} ${middle + half * 0.6},${base} ${middle + half},${base - tall} ${middle - half},${base - tall}`}
                    fill={ink.factor.air}
                    opacity={0.35}
                    stroke={ink.factor.air}
                    strokeWidth={1.2}
                  />
                </G>
              ) : (
                <Rect
                  key={spot.id}
                  x={middle - half}
                  y={base - 14}
                  width={half * 2}
                  height={14}
                  fill="none"
                  stroke={ink.soft}
                  strokeWidth={1}
                  strokeDasharray="2 2"
                />
              );
            })}
          </G>
        );
      })}
    </Svg>
  );
}
