/** Keys of requests that were carried out, so that one that is sent twice counts once. */
import { and, eq } from 'drizzle-orm';
import type { Reader, Writer } from './database';
import { requests } from './schema';

/** Remembers that a request was carried out. */
export function remember(writer: Writer, homeId: string, key: string, at: number, made: readonly string[]): void {
  writer.insert(requests).values({ homeId, key, at, made }).run();
}

/** What a request made that was carried out already; null for one that was not. */
export function requestMade(reader: Reader, homeId: string, key: string): readonly string[] | null {
  const row = reader
    .select({ made: requests.made })
    .from(requests)
    .where(and(eq(requests.homeId, homeId), eq(requests.key, key)))
    .get();
  return row?.made ?? null;
}
