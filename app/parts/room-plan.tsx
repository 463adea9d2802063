/** A room from above, to scale: walls, windows, stands, spots, and the light of a month as a wash over it. */
import { sideBearing, type HomeFacts, type MonthFit, type Room, type SunlightMap } from '@dulvan/core';
import Svg, { Circle, G, Path, Polygon, Rect, Text as SvgText } from 'react-native-svg';
import { FONT } from '../ui/theme';
import { useInk } from '../ui/use-ink';
import { WindowOnPlan, boxOf, type PlanScale } from './plan-shapes';
import { SpotSign } from './spot-sign';
import { washOpacity } from './wash';
import { ROOM_PLAN as WORDS } from './part-words';

interface Given {
  readonly facts: HomeFacts;
  readonly room: Room;
  readonly month: number;
  readonly wash: SunlightMap | null;
  readonly width: number;
  /** The light of one instant instead of a month's wash: opacity of each cell. */
  readonly instant?: {
    readonly columns: number;
    readonly rows: number;
    readonly opacity: readonly number[];
    /** The wash of light where left out. */
    readonly fill?: string;
  };
  /** Where the sun lies on the floor, as outlines in metres. */
  readonly sunPatches?: readonly (readonly { readonly x: number; readonly y: number }[])[];
  /** The fit of who stands at a spot, by spot id; drawn where given. */
  readonly fits?: ReadonlyMap<string, MonthFit | null>;
  /** What each spot's own leaves get, mol a day, by spot id: a ring round the spot is shaded by it. */
  readonly dliAt?: ReadonlyMap<string, number>;
  readonly chosenSpotId?: string | null;
  readonly onSpot?: (spotId: string) => void;
}

/** Margin for lettering round the walls, px. */
const MARGIN = 30;
const SPOT_RADIUS = 9;
/** The ring of a spot's own light. */
const RING_RADIUS = 14;
const LONGEST_SCALE_BAR = 200;
/** Two spots nearer than this share one touch target less; their list below the plan stays. */
const TOUCH_RADIUS = 16;

/** The plan's own measures: metres of the room to px. */
interface Scale extends PlanScale {
  readonly height: number;
}

function scaleOf(room: Room, width: number): Scale {
  const pixelsPerM = Math.min((width - 2 * MARGIN) / room.widthM, 420 / room.depthM);
  const left = (width - room.widthM * pixelsPerM) / 2;
  const planHeight = room.depthM * pixelsPerM;
  return {
    pixelsPerM,
    height: planHeight + 2 * MARGIN + 34,
    x: (metres) => left + metres * pixelsPerM,
    y: (metres) => MARGIN + planHeight - metres * pixelsPerM,
  };
}

export function RoomPlan(given: Given) {
  const { facts, room, width, sunPatches = [] } = given;
  const ink = useInk();
  const scale = scaleOf(room, width);
  const { x, y, height, pixelsPerM } = scale;
  const walls = boxOf(scale, { xM: 0, yM: 0, widthM: room.widthM, depthM: room.depthM });
  const ofRoom = <T extends { readonly roomId: string }>(list: readonly T[]) =>
    list.filter((entry) => entry.roomId === room.id);
  return (
    <Svg width={width} height={height} role="img" aria-label={WORDS.planOf(room.name)}>
      <Rect {...walls} fill={ink.sheet} />
      <Light {...given} scale={scale} />
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
      {ofRoom(facts.blocks).map((block) => (
        <Rect key={block.id} {...boxOf(scale, block)} fill={ink.line} stroke={ink.ink} strokeWidth={1.2} />
      ))}
      <Rect {...walls} fill="none" stroke={ink.ink} strokeWidth={4} />
      {ofRoom(facts.windows).map((window) => (
        <WindowOnPlan key={window.id} room={room} window={window} scale={scale} />
      ))}
      {facts.rooms
        .filter((other) => other.insideRoomId === room.id)
        .map(({ id, insideXM: xM, insideYM: yM, widthM, depthM }) => (
          <Rect
            key={id}
            {...boxOf(scale, { xM, yM, widthM, depthM })}
            fill="none"
            stroke={ink.glass}
            strokeWidth={1.5}
          />
        ))}
      {ofRoom(facts.stands).map((stand) => (
        <Rect key={stand.id} {...boxOf(scale, stand)} fill="none" stroke={ink.soft} strokeWidth={1} />
      ))}
      <Spots {...given} scale={scale} />
      <WallNames room={room} scale={scale} />
      <North x={x(room.widthM) - 6} y={height - 30} bearing={sideBearing(room, 'c')} />
      <ScaleBar x={x(0)} y={height - 14} scale={pixelsPerM} />
    </Svg>
  );
}

type Layer<K extends keyof Given> = Pick<Given, K> & { readonly scale: Scale };

/** The light of a month, or of one instant, cell by cell. */
function Light({ room, month, wash, instant, scale: { x, y } }: Layer<'room' | 'month' | 'wash' | 'instant'>) {
  const ink = useInk();
  const grid = instant ?? wash;
  if (!grid) return null;
  const { columns, rows } = grid;
  const cells = columns * rows;
  const ofMonth = () => Array.from(wash!.dli.subarray((month - 1) * cells, month * cells), washOpacity);
  const opacities = instant?.opacity ?? ofMonth();
  // Whole pixels: cells that overlap or gape would draw lines that mean nothing.
  const edgeX = (column: number) => Math.round(x((column / columns) * room.widthM));
  const edgeY = (row: number) => Math.round(y((row / rows) * room.depthM));
  return opacities.map((opacity, cell) => {
    const column = cell % columns;
    const row = Math.floor(cell / columns);
    if (opacity === 0) return null;
    const at = { x: edgeX(column), y: edgeY(row + 1) };
    const size = { width: edgeX(column + 1) - at.x, height: edgeY(row) - at.y };
    return <Rect key={cell} {...at} {...size} fill={instant?.fill ?? ink.wash} opacity={opacity} />;
  });
}

function Spots({
  facts,
  room,
  fits,
  dliAt,
  chosenSpotId,
  onSpot,
  scale: { x, y },
}: Layer<'facts' | 'room' | 'fits' | 'dliAt' | 'chosenSpotId' | 'onSpot'>) {
  const ink = useInk();
  const standOfTier = new Map(facts.tiers.map((tier) => [tier.id, tier.standId]));
  const stands = new Map(facts.stands.filter((stand) => stand.roomId === room.id).map((stand) => [stand.id, stand]));
  const taken = new Set(facts.plants.map((plant) => plant.spotId));
  return facts.spots.map((spot) => {
    const stand = stands.get(standOfTier.get(spot.tierId) ?? '');
    if (!stand) return null;
    const isTaken = taken.has(spot.id);
    const isChosen = spot.id === chosenSpotId;
    const centre = { cx: x(stand.xM + spot.alongM), cy: y(stand.yM + spot.acrossM) };
    return (
      <G key={spot.id} {...(onSpot ? { onPress: () => onSpot(spot.id) } : {})}>
        <Circle {...centre} r={TOUCH_RADIUS} fill="transparent" />
        <OwnLight {...centre} dli={dliAt?.get(spot.id)} />
        <Circle
          {...centre}
          r={SPOT_RADIUS}
          fill={isTaken && fits ? ink.sheet : 'none'}
          stroke={isChosen ? ink.danger : ink.ink}
          strokeWidth={isChosen ? 3 : 1.3}
          strokeDasharray={isTaken ? '' : '2 2'}
        />
        {fits && isTaken ? <SpotSign {...centre} fit={fits.get(spot.id) ?? null} /> : null}
      </G>
    );
  });
}

/** A spot's own light round it: the plan is drawn at one height, leaves stand at others. */
function OwnLight({ dli, ...centre }: { readonly cx: number; readonly cy: number; readonly dli: number | undefined }) {
  const { paper, wash, line } = useInk();
  if (dli === undefined) return null;
  return (
    <>
      <Circle {...centre} r={RING_RADIUS} fill={paper} stroke={line} strokeWidth={1} />
      <Circle {...centre} r={RING_RADIUS} fill={wash} opacity={washOpacity(dli)} />
    </>
  );
}

function WallNames({ room: { widthM, depthM }, scale: { x, y } }: { readonly room: Room; readonly scale: Scale }) {
  const { soft } = useInk();
  const names = [
    { name: 'A', at: { x: x(widthM / 2), y: y(0) + 20 } },
    { name: 'B', at: { x: x(widthM) + 16, y: y(depthM / 2) } },
    { name: 'C', at: { x: x(widthM / 2), y: y(depthM) - 10 } },
    { name: 'D', at: { x: x(0) - 16, y: y(depthM / 2) } },
  ];
  return names.map(({ name, at }) => (
    <SvgText key={name} {...at} textAnchor="middle" fontFamily={FONT.lettering} fontSize={14} fill={soft}>
      {name}
    </SvgText>
  ));
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
