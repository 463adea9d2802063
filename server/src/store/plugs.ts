/** Timer plugs: where each is reached, whether the grower armed it, and what it told last. */
import { MOST_PLUGS, type NewPlug, type Plug } from '@dulvan/contract';
import { and, asc, eq, or } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import type { Reader, Writer } from './database';
import { refuse } from './refused';
import { plugs } from './schema';

type Row = typeof plugs.$inferSelect;
const plugOf = ({ homeId: _home, ...plug }: Row): Plug => plug;

const keyOf = (homeId: string, id: string) => and(eq(plugs.homeId, homeId), eq(plugs.id, id));

export const listPlugs = (reader: Reader, homeId: string): Plug[] =>
  reader.select().from(plugs).where(eq(plugs.homeId, homeId)).orderBy(asc(plugs.madeAt)).all().map(plugOf);

export function plugById(reader: Reader, homeId: string, id: string): Plug {
  const row = reader.select().from(plugs).where(keyOf(homeId, id)).get();
  if (!row) throw refuse(404, 'There is no such plug.');
  return plugOf(row);
}

/** Keeps where a plug is reached; it is not armed. One timer has one plug, and one plug one timer. */
export function addPlug(writer: Writer, homeId: string, given: NewPlug, at: number): Plug {
  const held = listPlugs(writer, homeId);
  if (held.length >= MOST_PLUGS) throw refuse(413, `A home has at most ${MOST_PLUGS} plugs.`);
  const taken = writer
    .select()
    .from(plugs)
    .where(or(eq(plugs.address, given.address), and(eq(plugs.homeId, homeId), eq(plugs.circuitId, given.circuitId))))
    .get();
  if (taken) {
    const [field, message] =
      taken.address === given.address
        ? ['address', `“${taken.name}” is at this address already.`]
        : ['circuitId', `This timer has a plug already: “${taken.name}”.`];
    throw refuse(409, message, { problems: [{ list: 'plugs', id: taken.id, field, message }] });
  }
  const nothingYet = { triedAt: null, toldAt: null, told: null, sentAt: null, trouble: null, reason: null };
  const row: Row = {
    ...given,
    id: randomBytes(9).toString('base64url'),
    homeId,
    armed: false,
    madeAt: at,
    ...nothingYet,
  };
  writer.insert(plugs).values(row).run();
  return plugOf(row);
}

/** What came of asking a plug, or of arming it. */
export type PlugNews = Partial<Pick<Row, 'armed' | 'triedAt' | 'toldAt' | 'told' | 'sentAt' | 'trouble' | 'reason'>>;

export function updatePlug(writer: Writer, homeId: string, id: string, news: PlugNews): Plug {
  writer.update(plugs).set(news).where(keyOf(homeId, id)).run();
  return plugById(writer, homeId, id);
}

export function removePlug(writer: Writer, homeId: string, id: string): Plug {
  const plug = plugById(writer, homeId, id);
  writer.delete(plugs).where(keyOf(homeId, id)).run();
  return plug;
}
