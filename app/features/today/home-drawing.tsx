/**
 * The whole home from above as one small drawing: each plant's mark at its place, those that need something standing
 * out.
 */
import type { HomeFacts, MonthFit, Plant, Room } from '@dulvan/core';
import { router } from 'expo-router';
import Svg, { Circle, G, Rect, Text as SvgText, type RectProps } from 'react-native-svg';
import { WindowOnPlan, boxOf } from '../../parts/plan-shapes';
import { SpotSign } from '../../parts/spot-sign';
import { count } from '../../parts/words';
import { Fitted } from '../../ui/fitted';
import { FONT } from '../../ui/theme';
import { useInk } from '../../ui/use-ink';
import { HOME_DRAWING as WORDS } from './today-words';

/** How much a plant stands out: it needs something soon, could do with something, or is well. */
export type Standing = 'needs' | 'mild' | 'well' | 'unknown';

interface Given {
  readonly facts: HomeFacts;
  readonly standings: ReadonlyMap<string, Standing>;
  /** The fit of who stands at each spot, by spot. */
  readonly fits: ReadonlyMap<string, MonthFit | null>;
  readonly mostHeight: number;
}

/** Kept free until the rooms are laid out, px. */
const LEAST_HEIGHT = 120;
/** Between two rooms, px. */
const GAP = 14;
/** Round a room, so that its walls are not cut off by the drawing's edge, px. */
const EDGE = 3;
/** For the name below a room; its letters are about so wide, px. */
const LETTERING = 16;
const LETTER_WIDTH = 6.6;
const TOUCH_RADIUS = 14;
/** Several plants on one spot are drawn so far apart, px. */
const BESIDE = 9;
/** No room is drawn larger than this, px a metre; smaller scales are tried by sixteenths. */
const LARGEST_SCALE = 60;
const SMALLER = 15 / 16;

/** A room of its own at its place on the drawing, px. */
interface Placed {
  readonly room: Room;
  readonly left: number;
  readonly top: number;
}

interface Layout {
  readonly pixelsPerM: number;
  readonly placed: readonly Placed[];
  readonly height: number;
}

/** Rooms in rows from left to right, all to one scale; the largest scale at which they fit into the height. */
function layOut(rooms: readonly Room[], width: number, mostHeight: number): Layout {
  const widest = Math.max(...rooms.map(({ widthM }) => widthM));
  const total = rooms.reduce((sum, { widthM }) => sum + widthM, 0);
  const first = Math.min((width - 2 * EDGE) / widest, LARGEST_SCALE);
  const least = Math.min(first, (width - (GAP + 2 * EDGE) * rooms.length) / total);
  for (let pixelsPerM = first; pixelsPerM > least; pixelsPerM *= SMALLER) {
    const layout = rowsAt(rooms, pixelsPerM, width);
    if (layout.height <= mostHeight) return layout;
  }
  return rowsAt(rooms, least, width);
}

function rowsAt(rooms: readonly Room[], pixelsPerM: number, width: number): Layout {
  const placed: Placed[] = [];
  let [left, top, rowHeight] = [0, 0, 0];
  for (const room of rooms) {
    const roomWidth = room.widthM * pixelsPerM + 2 * EDGE;
    // Half a pixel over is a rounding, not a room too many.
    if (left > 0 && left + roomWidth > width + 0.5) {
      top += rowHeight;
      left = 0;
      rowHeight = 0;
    }
    placed.push({ room, left, top });
    left += roomWidth + GAP;
    rowHeight = Math.max(rowHeight, room.depthM * pixelsPerM + 2 * EDGE + LETTERING + GAP);
  }
  return { pixelsPerM, placed, height: top + rowHeight };
}

export function HomeDrawing({ facts, standings, fits, mostHeight }: Given) {
  const rooms = facts.rooms.filter(({ insideRoomId }) => insideRoomId === null);
  if (rooms.length === 0) return null;
  const needy = [...standings.values()].filter((standing) => standing === 'needs').length;
  const need = WORDS.needOf(count(needy, 'plant'), facts.plants.length, needy === 1 ? WORDS.needs : WORDS.need);
  return (
    <Fitted minHeight={LEAST_HEIGHT}>
      {(width) => {
        const layout = layOut(rooms, width, mostHeight);
        return (
          <Svg width={width} height={layout.height} role="img" aria-label={WORDS.fromAbove(facts.home.name, need)}>
            {layout.placed.map((placed) => (
              <DrawnRoom
                key={placed.room.id}
                facts={facts}
                placed={placed}
                layout={layout}
                standings={standings}
                fits={fits}
              />
            ))}
          </Svg>
        );
      }}
    </Fitted>
  );
}

interface RoomGiven {
  readonly facts: HomeFacts;
  readonly placed: Placed;
  readonly layout: Layout;
  readonly standings: Given['standings'];
  readonly fits: Given['fits'];
}

function DrawnRoom({ facts, placed: { room, left, top }, layout: { pixelsPerM }, standings, fits }: RoomGiven) {
  const ink = useInk();
  const x = (metres: number) => left + EDGE + metres * pixelsPerM;
  const y = (metres: number) => top + EDGE + (room.depthM - metres) * pixelsPerM;
  const inside = facts.rooms.filter(({ insideRoomId }) => insideRoomId === room.id);
  const stands = facts.stands.filter(({ roomId }) => roomId === room.id);
  const scale = { pixelsPerM, x, y };
  const openRoom = () => router.push({ pathname: '/rooms/[roomId]', params: { roomId: room.id } });
  return (
    <G>
      <Rect
        {...boxOf(scale, { xM: 0, yM: 0, widthM: room.widthM, depthM: room.depthM })}
        fill={ink.sheet}
        stroke={ink.ink}
        strokeWidth={2}
        onPress={openRoom}
      />
      {facts.windows
        .filter(({ roomId }) => roomId === room.id)
        .map((window) => (
          <WindowOnPlan key={window.id} room={room} window={window} scale={scale} />
        ))}
      {inside.map(({ id, insideXM: xM, insideYM: yM, widthM, depthM }) => (
        <Outline key={id} {...boxOf(scale, { xM, yM, widthM, depthM })} stroke={ink.glass} />
      ))}
      {stands.map((stand) => (
        <Outline key={stand.id} {...boxOf(scale, stand)} stroke={ink.line} />
      ))}
      {marksIn(facts, [room, ...inside]).map(({ plant, xM, yM, beside }) => (
        <Mark
          key={plant.id}
          plant={plant}
          cx={x(xM) + beside * BESIDE}
          cy={y(yM)}
          standing={standings.get(plant.id) ?? 'unknown'}
          fit={fits.get(plant.spotId ?? '') ?? null}
        />
      ))}
      <SvgText x={x(0)} y={y(0) + LETTERING} fontFamily={FONT.lettering} fontSize={14} fill={ink.soft}>
        {shortened(room.name, Math.floor((room.widthM * pixelsPerM) / LETTER_WIDTH))}
      </SvgText>
    </G>
  );
}

const Outline = (given: RectProps) => <Rect {...given} fill="none" strokeWidth={1.2} />;

interface PlacedPlant {
  readonly plant: Plant;
  readonly xM: number;
  readonly yM: number;
  /** How many others on the same spot are drawn before it. */
  readonly beside: number;
}

/** A name in so many letters at most. */
const shortened = (name: string, most: number) =>
  name.length <= most ? name : `${name.slice(0, Math.max(1, most - 1))}…`;

/** Plants at their places in a room and in what stands inside it, metres of the room. */
function marksIn(facts: HomeFacts, rooms: readonly Room[]): PlacedPlant[] {
  const byId = <T extends { readonly id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));
  const [spots, tiers, stands, own] = [byId(facts.spots), byId(facts.tiers), byId(facts.stands), byId(rooms)];
  const taken = new Map<string, number>();
  return facts.plants.flatMap((plant) => {
    const spot = spots.get(plant.spotId ?? '');
    const stand = stands.get(tiers.get(spot?.tierId ?? '')?.standId ?? '');
    const room = own.get(stand?.roomId ?? '');
    if (!spot || !stand || !room) return [];
    const beside = taken.get(spot.id) ?? 0;
    taken.set(spot.id, beside + 1);
    const [offX, offY] = room.insideRoomId === null ? [0, 0] : [room.insideXM, room.insideYM];
    return [{ plant, xM: offX + stand.xM + spot.alongM, yM: offY + stand.yM + spot.acrossM, beside }];
  });
}

interface MarkGiven {
  readonly plant: Plant;
  readonly cx: number;
  readonly cy: number;
  readonly standing: Standing;
  readonly fit: MonthFit | null;
}

/** A full disc needs something, and tells of which factor; a ring could do a little better; a dot is well. */
function Mark({ plant, cx, cy, standing, fit }: MarkGiven) {
  const ink = useInk();
  const open = () => router.push({ pathname: '/plants/[plantId]', params: { plantId: plant.id } });
  const drawn = {
    needs: { r: 8, fill: ink.danger, stroke: ink.sheet, strokeWidth: 1.2 },
    mild: { r: 4.5, fill: ink.sheet, stroke: ink.ink, strokeWidth: 1.6 },
    well: { r: 3.4, fill: ink.factor.air, strokeWidth: 0 },
    unknown: { r: 3.4, fill: ink.sheet, stroke: ink.soft, strokeWidth: 1 },
  }[standing];
  return (
    <G onPress={open}>
      <Circle cx={cx} cy={cy} r={TOUCH_RADIUS} fill="transparent" />
      <Circle cx={cx} cy={cy} {...drawn} />
      {standing === 'needs' ? <SpotSign cx={cx} cy={cy} fit={fit} on="disc" /> : null}
    </G>
  );
}
