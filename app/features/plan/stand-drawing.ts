/** A stand from the side as a drawing for paper: boards, lamps, and who stands where, as SVG. */
import type { HomeFacts, Spot, Stand, Tier } from '@dulvan/core';
import { plantName } from '../../parts/words';

const WIDTH = 480;
const MARGIN = 24;
const TEXT = 9;
const LINE = 11;
/** A letter's usual width, of the size of text. */
const LETTER = 0.55;
const LAMP_THICK = 6;
/** Free above the highest board, m. */
const HEADROOM_M = 0.55;
/** How tall it is drawn for each board, and for what is free above the highest. */
const TALL_EACH = 90;
const INK = '#1d2a35';
const FAINT = '#55626e';

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&apos;',
};
const escaped = (text: string) => text.replace(/[&<>"']/g, (letter) => ESCAPES[letter]!);

/** As much of a name as a width holds. */
function fitted(name: string, width: number): string {
  const letters = Math.max(3, Math.floor(width / (TEXT * LETTER)));
  return name.length <= letters ? name : `${name.slice(0, letters - 1)}…`;
}

interface Measures {
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly height: number;
  readonly along: (at: { readonly alongM: number; readonly acrossM: number }) => number;
  readonly lengthM: number;
}

function measuresOf(stand: Stand, tiers: readonly Tier[]): Measures {
  const alongX = stand.widthM >= stand.depthM;
  const lengthM = Math.max(stand.widthM, stand.depthM);
  const heightM = Math.max(...tiers.map((tier) => tier.heightM)) + HEADROOM_M;
  const up = (TALL_EACH * (tiers.length + 1)) / heightM;
  const height = heightM * up + 2 * MARGIN;
  return {
    lengthM,
    height,
    x: (metres) => MARGIN + (metres / lengthM) * (WIDTH - 2 * MARGIN),
    y: (metres) => height - MARGIN - metres * up,
    along: ({ alongM, acrossM }) => (alongX ? alongM : acrossM),
  };
}

/** How wide a name may be: as far as the next spot of the tier is away. */
function roomBeside(facts: HomeFacts, spot: Spot, { x, along }: Measures): number {
  const others = facts.spots.filter(({ id, tierId }) => tierId === spot.tierId && id !== spot.id);
  return Math.min(120, ...others.map((other) => Math.abs(x(along(other)) - x(along(spot)))));
}

function spotDrawing(facts: HomeFacts, spot: Spot, boardM: number, measures: Measures): string {
  const { x, y, along, lengthM } = measures;
  const here = facts.plants.filter(({ spotId }) => spotId === spot.id);
  const half = Math.max(16, ((spot.sizeM / lengthM) * (WIDTH - 2 * MARGIN)) / 2 - 2);
  const [middle, foot] = [x(along(spot)), y(boardM) - 2];
  const lines = [...here.map((plant) => plantName(facts, plant)), spot.name];
  const [tall, line] = [lines.length * LINE + 3, here.length > 0 ? INK : FAINT];
  const box =
    `<rect x="${middle - half}" y="${foot - tall}" width="${2 * half}" height="${tall}" fill="none" ` +
    `stroke="${line}" stroke-width="0.8"${here.length > 0 ? '' : ' stroke-dasharray="3 2"'}/>`;
  const room = Math.max(2 * half, roomBeside(facts, spot, measures));
  const text = lines.map((name, i) => {
    const isPlace = i === lines.length - 1;
    const at = foot - (lines.length - 1 - i) * LINE - 3;
    const style = `font-size="${TEXT}" fill="${isPlace ? FAINT : INK}"`;
    return `<text x="${middle}" y="${at}" text-anchor="middle" ${style}>${escaped(fitted(name, room))}</text>`;
  });
  return [box, ...text].join('');
}

/** The drawing of a stand; null of one without boards. */
export function standDrawing(facts: HomeFacts, stand: Stand): string | null {
  const tiers = facts.tiers.filter(({ standId }) => standId === stand.id);
  if (tiers.length === 0) return null;
  const measures = measuresOf(stand, tiers);
  const { x, y, height, along, lengthM } = measures;
  const floor = `<line x1="4" y1="${y(0)}" x2="${WIDTH - 4}" y2="${y(0)}" stroke="${FAINT}" stroke-width="1"/>`;
  const boards = tiers.flatMap(({ id, heightM }) => [
    `<line x1="${x(0)}" y1="${y(heightM)}" x2="${x(lengthM)}" y2="${y(heightM)}" stroke="${INK}" stroke-width="2.5"/>`,
    ...facts.lamps
      .filter(({ tierId }) => tierId === id)
      .map((lamp) => {
        const lit = stand.widthM >= stand.depthM ? lamp.lengthM : lamp.breadthM;
        const width = Math.max(18, (lit / lengthM) * (WIDTH - 2 * MARGIN));
        const [left, top] = [x(along(lamp)) - width / 2, y(heightM + lamp.aboveM) - LAMP_THICK];
        return `<rect x="${left}" y="${top}" width="${width}" height="${LAMP_THICK}" fill="${INK}"/>`;
      }),
    ...facts.spots.filter(({ tierId }) => tierId === id).map((spot) => spotDrawing(facts, spot, heightM, measures)),
  ]);
  const size = `width="${WIDTH}" height="${height}" viewBox="0 0 ${WIDTH} ${height}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${[floor, ...boards].join('')}</svg>`;
}
