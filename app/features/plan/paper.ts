/** The plan on paper, a page for each stand: who stands where, what is carried, when its timers burn. */
import { homeAfter, openSteps, type Circuit, type HomeFacts, type PlanStep, type Stand } from '@dulvan/core';
import type { Content, createPdf } from 'pdfmake';
import { dayWords, stepWords } from '../../parts/plan-steps';
import { timerWords } from '../../parts/timer-words';
import { plantName } from '../../parts/words';
import type { Units } from '../../state/settings';
import { PAPER as WORDS } from './plan-words';
import { standDrawing } from './stand-drawing';

export type PaperDocument = Parameters<typeof createPdf>[0];

interface OfStand {
  readonly stand: Stand;
  readonly spotIds: ReadonlySet<string>;
  readonly timers: readonly Circuit[];
  readonly steps: readonly PlanStep[];
}

/** What of a home is about a stand; the steps are those that carry to it or from it, or set its timers. */
function ofStand(then: HomeFacts, steps: readonly PlanStep[], stand: Stand): OfStand {
  const tierIds = new Set(then.tiers.filter(({ standId }) => standId === stand.id).map(({ id }) => id));
  const spotIds = new Set(then.spots.filter(({ tierId }) => tierIds.has(tierId)).map(({ id }) => id));
  const lit = new Set(then.lamps.filter(({ tierId }) => tierIds.has(tierId)).map(({ circuitId }) => circuitId));
  const plantIds = new Set(then.plants.filter(({ spotId }) => spotIds.has(spotId ?? '')).map(({ id }) => id));
  const inRoom = (id: string | null) =>
    [...then.windows, ...then.airThings].some((one) => one.id === id && one.roomId === stand.roomId);
  return {
    stand,
    spotIds,
    timers: then.circuits.filter(({ id }) => lit.has(id)),
    steps: steps.filter(({ kind, spotId, fromSpotId, circuitId, plantId, windowId, airThingId }) =>
      kind === 'carry'
        ? spotIds.has(spotId ?? '') || spotIds.has(fromSpotId ?? '')
        : kind === 'curtain' || kind === 'humidifier'
          ? inRoom(windowId ?? airThingId)
          : kind === 'timer' || kind === 'hang'
            ? lit.has(circuitId ?? '')
            : plantIds.has(plantId ?? ''),
    ),
  };
}

const lined = { layout: 'lightHorizontalLines' } as const;

/** What is printed: the home as it is, and once its steps are done. */
interface Printed {
  readonly facts: HomeFacts;
  readonly then: HomeFacts;
  readonly units: Units;
}

function standPage({ facts, then, units }: Printed, { stand, spotIds, timers, steps }: OfStand, i: number): Content[] {
  const room = then.rooms.find(({ id }) => id === stand.roomId)?.name ?? '';
  const drawing = standDrawing(then, stand);
  const spots = then.spots.filter(({ id }) => spotIds.has(id));
  const namesAt = (home: HomeFacts, spotId: string) =>
    home.plants
      .filter((plant) => plant.spotId === spotId)
      .map((plant) => plantName(home, plant))
      .join(', ') || WORDS.nobody;
  return [
    { text: `${stand.name} · ${room}`, style: 'heading', ...(i > 0 ? { pageBreak: 'before' as const } : {}) },
    ...(drawing ? [{ svg: drawing, margin: [0, 4, 0, 8] as [number, number, number, number] }] : []),
    {
      ...lined,
      table: {
        headerRows: 1,
        widths: ['*', '*', '*'],
        body: [
          [WORDS.spot, WORDS.now, WORDS.then].map((text) => ({ text, style: 'head' })),
          ...spots.map(({ id, name }) => [name, namesAt(facts, id), namesAt(then, id)]),
        ],
      },
    },
    ...section(
      WORDS.steps,
      steps.map((step) => ({ columns: [box(), `${dayWords(step.on)}: ${stepWords(facts, step, units)}`] })),
    ),
    ...section(
      WORDS.timers,
      timers.map((timer) => ({ text: `${timer.name}: ${timerWords(timer)}` })),
    ),
  ];
}

/** A box to tick with a pencil; one of its own for each line, since the printer writes into it. */
const box = () => ({ canvas: [{ type: 'rect' as const, x: 0, y: 2, w: 8, h: 8, lineWidth: 0.8 }], width: 16 });

const section = (heading: string, lines: readonly ContentSection[]): Content[] =>
  lines.length === 0
    ? []
    : [{ text: heading, style: 'sub' }, ...lines.map((line): Content => ({ ...line, style: 'line' }))];

type Columns = Extract<Content, { readonly columns: unknown }>['columns'];
type ContentSection = { readonly text: string } | { readonly columns: Columns };

/** The whole as a document. @param on the day it is printed, YYYY-MM-DD */
export function planPaper(facts: HomeFacts, on: string, units: Units): PaperDocument {
  const then = homeAfter(facts, on);
  const steps = openSteps(facts);
  const pages = facts.stands
    .map((stand) => ofStand(then, steps, stand))
    .filter(({ spotIds, steps: own }) => own.length > 0 || then.plants.some(({ spotId }) => spotIds.has(spotId ?? '')));
  return {
    info: { title: WORDS.title(facts.home.name), creator: 'Dulvan', producer: 'Dulvan' },
    pageSize: 'A4',
    pageMargins: [48, 48, 48, 56],
    defaultStyle: { font: 'PublicSans', fontSize: 10, lineHeight: 1.15 },
    styles: {
      heading: { fontSize: 16, bold: true, margin: [0, 0, 0, 4] },
      sub: { fontSize: 12, bold: true, margin: [0, 12, 0, 4] },
      head: { bold: true },
      line: { margin: [0, 1, 0, 1] },
      small: { fontSize: 8 },
    },
    content: [
      { text: WORDS.title(facts.home.name), style: 'small' },
      ...(pages.length === 0 ? [{ text: WORDS.nothing }] : []),
      ...pages.flatMap((page, i) => standPage({ facts, then, units }, page, i)),
      { text: WORDS.caution, style: 'small', margin: [0, 16, 0, 0] },
    ],
    footer: (page, pages_) => ({
      text: WORDS.footer(dayWords(on), page, pages_),
      style: 'small',
      margin: [48, 12, 48, 0],
    }),
  };
}
