/** A room from above, to scale: walls, windows, stands, spots, and the light of a month as a wash over it. */
import {
  openingOf,
  pointOn,
  sideBearing,
  type HomeFacts,
  type MonthFit,
  type Room,
  type SunlightMap,
} from '@dulvan/core';
import Svg, { Circle, G, Line, Path, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { FONT } from '../ui/theme';
import { useInk } from '../ui/use-ink';
import { washOpacity } from './wash';

interface Given {
  readonly facts: HomeFacts;
  readonly room: Room;
  readonly month: number;
  readonly wash: SunlightMap | null;
  readonly width: number;
  /** The light of one instant instead of a month's wash: opacity of each cell. */
  readonly instant?: { readonly columns: number; readonly rows: number; readonly opacity: readonly number[] };
  /** Where the sun lies on the floor, as outlines in metres. */
  readonly sunPatches?: readonly (readonly { readonly x: number; readonly y: number }[])[];
  /** The fit of who stands at a spot, by spot id; drawn where given. */
  readonly fits?: ReadonlyMap<string, MonthFit | null>;
  readonly chosenSpotId?: string | null;
  readonly onSpot?: (spotId: string) => void;
}

/** Margin for lettering round the walls, px. */
const MARGIN = 30;
const SPOT_RADIUS = 9;
const LONGEST_SCALE_BAR = 200;
/** Two spots nearer than this share one touch target less; their list below the plan stays. */
const TOUCH_RADIUS = 16;

export function RoomPlan({
  facts,
  room,
  month,
  wash,
  width,
  instant,
  sunPatches = [],
  fits,
  chosenSpotId,
  onSpot,
}: Given) {
  const ink = useInk();
  const scale = Math.min((width - 2 * MARGIN) / room.widthM, 420 / room.depthM);
  const planWidth = room.widthM * scale;
  const planHeight = room.depthM * scale;
  const left = (width - planWidth) / 2;
  const height = planHeight + 2 * MARGIN + 34;
  const x = (metres: number) => left + metres * scale;
  // Wall A is drawn below: y grows upward on the plan.
  const y = (metres: number) => MARGIN + planHeight - metres * scale;
  const stands = facts.stands.filter((stand) => stand.roomId === room.id);
  const tiers = new Map(facts.tiers.map((tier) => [tier.id, tier]));
  const standOf = new Map(stands.map((stand) => [stand.id, stand]));
  const spots = facts.spots.flatMap((spot) => {
    const stand = standOf.get(tiers.get(spot.tierId)?.standId ?? '');
    return stand ? [{ spot, cx: x(stand.xM + spot.alongM), cy: y(stand.yM + spot.acrossM) }] : [];
  });
  const taken = new Set(facts.plants.map((plant) => plant.spotId));
  const enclosures = facts.rooms.filter((other) => other.insideRoomId === room.id);
  const cells = wash ? wash.columns * wash.rows : 0;
  const grid = instant ?? wash;
  const opacities =
    instant?.opacity ?? (wash ? Array.from(wash.dli.subarray((month - 1) * cells, month * cells), washOpacity) : []);
  // Whole pixels: washes that overlap or gape would draw lines that mean nothing.
  const edgeX = (column: number) => Math.round(x((column / (grid?.columns ?? 1)) * room.widthM));
  const edgeY = (row: number) => Math.round(y((row / (grid?.rows ?? 1)) * room.depthM));
  return (
    <Svg width={width} height={height} role="img" aria-label={`Plan of ${room.name}, wall A below`}>
      <Rect x={x(0)} y={y(room.depthM)} width={planWidth} height={planHeight} fill={ink.sheet} />
      {grid
        ? opacities.map((opacity, cell) => {
            const column = cell % grid.columns;
            const row = Math.floor(cell / grid.columns);
            return opacity === 0 ? null : (
              <Rect
                key={cell}
                x={edgeX(column)}
                y={edgeY(row + 1)}
                width={edgeX(column + 1) - edgeX(column)}
                height={edgeY(row) - edgeY(row + 1)}
                fill={ink.wash}
                opacity={opacity}
              />
            );
          })
        : null}
      {sunPatches.map((outline, i) => (
        <Polygon
          key={i}
          points={outline.map((point) => `${x(point.x)},${y(point.y)}`).join(' ')}
          fill={ink.wash}
          fillOpacity={0.6}
          stroke={ink.danger}
          strokeWidth={1.8}
        />
      ))}
      {facts.blocks
        .filter((block) => block.roomId === room.id)
        .map((block) => (
          <Rect
            key={block.id}
            x={x(block.xM)}
            y={y(block.yM + block.depthM)}
            width={block.widthM * scale}
            height={block.depthM * scale}
            fill={ink.line}
            stroke={ink.ink}
            strokeWidth={1.2}
          />
        ))}
      <Rect
        x={x(0)}
        y={y(room.depthM)}
        width={planWidth}
        height={planHeight}
        fill="none"
        stroke={ink.ink}
        strokeWidth={4}
      />
      {facts.windows
        .filter((window) => window.roomId === room.id)
        .map((window) => {
          const opening = openingOf(room, window);
          const from = pointOn(opening, 0, 0);
          const to = pointOn(opening, 1, 1);
          if (window.slopeDeg >= 89.5) {
            return (
              <G key={window.id}>
                <Line x1={x(from.x)} y1={y(from.y)} x2={x(to.x)} y2={y(to.y)} stroke={ink.paper} strokeWidth={5} />
                <Line x1={x(from.x)} y1={y(from.y)} x2={x(to.x)} y2={y(to.y)} stroke={ink.glass} strokeWidth={2.5} />
              </G>
            );
          }
          return (
            <Rect
              key={window.id}
              x={x(Math.min(from.x, to.x))}
              y={y(Math.max(from.y, to.y))}
              width={Math.abs(to.x - from.x) * scale}
              height={Math.abs(to.y - from.y) * scale}
              fill="none"
              stroke={ink.glass}
              strokeWidth={1.5}
              strokeDasharray="5 3"
            />
          );
        })}
      {enclosures.map((box) => (
        <Rect
          key={box.id}
          x={x(box.insideXM)}
          y={y(box.insideYM + box.depthM)}
          width={box.widthM * scale}
          height={box.depthM * scale}
          fill="none"
          stroke={ink.glass}
          strokeWidth={1.5}
        />
      ))}
      {stands.map((stand) => (
        <Rect
          key={stand.id}
          x={x(stand.xM)}
          y={y(stand.yM + stand.depthM)}
          width={stand.widthM * scale}
          height={stand.depthM * scale}
          fill="none"
          stroke={ink.soft}
          strokeWidth={1}
        />
      ))}
      {spots.map(({ spot, cx, cy }) => {
        const fit = fits?.get(spot.id);
        const isTaken = taken.has(spot.id);
        const chosen = spot.id === chosenSpotId;
        return (
          <G key={spot.id} {...(onSpot ? { onPress: () => onSpot(spot.id) } : {})}>
            <Circle cx={cx} cy={cy} r={TOUCH_RADIUS} fill="transparent" />
            <Circle
              cx={cx}
              cy={cy}
              r={SPOT_RADIUS}
              fill={isTaken && fits ? ink.sheet : 'none'}
              stroke={chosen ? ink.danger : ink.ink}
              strokeWidth={chosen ? 3 : 1.3}
              strokeDasharray={isTaken ? '' : '2 2'}
            />
            {fits && isTaken ? <SpotSign cx={cx} cy={cy} fit={fit ?? null} /> : null}
          </G>
        );
      })}
      {(['a', 'b', 'c', 'd'] as const).map((side) => {
        const at = {
          a: [x(room.widthM / 2), y(0) + 20],
          b: [x(room.widthM) + 16, y(room.depthM / 2)],
          c: [x(room.widthM / 2), y(room.depthM) - 10],
          d: [x(0) - 16, y(room.depthM / 2)],
        }[side];
        return (
          <SvgText
            key={side}
            x={at[0]!}
            y={at[1]!}
            textAnchor="middle"
            fontFamily={FONT.lettering}
            fontSize={14}
            fill={ink.soft}
          >
            {side.toUpperCase()}
          </SvgText>
        );
      })}
      <North x={x(room.widthM) - 6} y={height - 30} bearing={sideBearing(room, 'c')} />
      <ScaleBar x={x(0)} y={height - 14} scale={scale} />
    </Svg>
  );
}

/** Up too much, down too little, a dot for right: the mark's strokes made one, for the factor that limits. */
function SpotSign({ cx, cy, fit }: { readonly cx: number; readonly cy: number; readonly fit: MonthFit | null }) {
  const { ink } = useInk();
  const worst = fit?.factors.find((reading) => reading.factor === fit.limiting);
  if (!fit) return null;
  if (!worst || worst.severity === 'fine') return <Circle cx={cx} cy={cy} r={2.6} fill={ink} />;
  const up = worst.direction === 'too-much' ? -1 : 1;
  const reach = worst.severity === 'danger' ? 6.5 : 4;
  return <Path d={`M${cx - 3.4} ${cy} H${cx + 3.4} M${cx} ${cy} V${cy + up * reach}`} stroke={ink} strokeWidth={2.2} />;
}

function North({ x, y, bearing }: { readonly x: number; readonly y: number; readonly bearing: number }) {
  const { ink } = useInk();
  // The plan's upward direction is wall C's bearing: north lies that much to the left of it.
  return (
    <G transform={`translate(${x} ${y}) rotate(${-bearing})`}>
      <Path d="M0 -14 L4.5 9 L0 5 L-4.5 9 Z" fill={ink} />
      <SvgText x={0} y={-15} textAnchor="middle" fontFamily={FONT.lettering} fontSize={12} fill={ink}>
        N
      </SvgText>
    </G>
  );
}

function ScaleBar({ x, y, scale }: { readonly x: number; readonly y: number; readonly scale: number }) {
  const { soft } = useInk();
  // A cabinet drawn large has no room for a metre.
  const metres = scale <= LONGEST_SCALE_BAR ? 1 : 0.2;
  const end = x + metres * scale;
  return (
    <G>
      <Path d={`M${x} ${y - 4} V${y} H${end} V${y - 4}`} stroke={soft} strokeWidth={1} fill="none" />
      <SvgText x={end + 6} y={y} fontFamily={FONT.lettering} fontSize={13} fill={soft}>
        {metres === 1 ? '1 m' : '20 cm'}
      </SvgText>
    </G>
  );
}
