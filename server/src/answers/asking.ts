/** Works one question out, in whatever thread: the engine remembers geometry and skies between questions. */
import { knowledge } from '@dulvan/catalogue';
import { AttachmentShelf, HomeEngine, ask, type HomeFacts, type ParamsOf, type QuestionName } from '@dulvan/core';
import loadHighs from 'highs';
import { readIntensities, readWeatherHours } from '@dulvan/formats';

/** A stored file that facts name. */
export interface AttachmentContent {
  readonly kind: 'weather-hours' | 'intensities';
  readonly fileKey: string;
  readonly text: string;
}

/** A question with all it is worked out from. */
export interface Asking {
  readonly homeId: string;
  readonly revision: number;
  readonly facts: HomeFacts;
  readonly attachments: readonly AttachmentContent[];
  readonly question: QuestionName;
  readonly params: Readonly<Record<string, unknown>>;
}

const shelf = new AttachmentShelf();
const engine = new HomeEngine(knowledge, shelf);

/** Homes as they came last: the same revision keeps its identity, by which the engine knows it again. */
const known = new Map<string, { readonly revision: number; readonly facts: HomeFacts }>();
const HOMES_KEPT = 4;

function factsOf({ homeId, revision, facts }: Asking): HomeFacts {
  const held = known.get(homeId);
  if (held?.revision === revision) return held.facts;
  known.delete(homeId);
  known.set(homeId, { revision, facts });
  if (known.size > HOMES_KEPT) known.delete(known.keys().next().value!);
  return facts;
}

/** Answers a question. */
export async function answerTo(asking: Asking): Promise<unknown> {
  for (const { kind, fileKey, text } of asking.attachments) {
    if (shelf.holds(fileKey)) continue;
    const read = kind === 'weather-hours' ? readWeatherHours(text) : readIntensities(text);
    if (!read.ok) throw new Error(`Stored file ${fileKey}: ${read.message}`);
    if (kind === 'weather-hours') shelf.putHours(fileKey, read.value as never);
    else shelf.putIntensities(fileKey, read.value as never);
  }
  if (asking.question === 'plan') engine.solver ??= await loadHighs();
  return ask(engine, factsOf(asking), asking.question, asking.params as ParamsOf<QuestionName>);
}
