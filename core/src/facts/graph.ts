/**
 * What belongs to what among a home's facts, read off the table of kinds: what falls with a fact, and what points at
 * nothing.
 */
import { patch, type Change } from './changes';
import type { FactList, HomeFacts } from './home-facts';
import { FACT_LISTS, KINDS, linksOf, type Link } from './kinds';
import type { Problem } from './problem';

/** A fact by the list it stands in and its key. */
export interface FactKey {
  readonly list: FactList;
  readonly id: string;
}

/** What becomes of a home when some of its facts are taken out. */
export interface Fallen {
  /** Everything that goes, what was named first. */
  readonly gone: readonly FactKey[];
  /** Fields that lose what they pointed at and are set to null. */
  readonly cleared: readonly (FactKey & { readonly field: string })[];
}

/** What clears a field that lost what it pointed at. */
export const clearedBy = ({ list, id, field }: Fallen['cleared'][number]): Change => patch(list, id, { [field]: null });

/** A fact of any kind, whose links are asked for by name. */
type AnyFact = { readonly id: string } & { readonly [field: string]: unknown };

/** A home's facts of one kind, whatever the kind. */
const factsOf = (facts: HomeFacts, list: FactList) => facts[list] as unknown as readonly AnyFact[];

/** Follows links upstream: every fact that points at one already reached, round after round until none is new. */
function reachedFrom(
  facts: HomeFacts,
  start: readonly FactKey[],
  follows: (link: Link) => boolean,
  onReach?: (reached: FactKey, link: Link) => void,
): Map<FactList, Set<string>> {
  const reached = new Map(FACT_LISTS.map((list) => [list, new Set<string>()]));
  for (const { list, id } of start) reached.get(list)!.add(id);
  for (let found = start.length > 0; found;) {
    found = false;
    for (const list of FACT_LISTS) {
      const here = reached.get(list)!;
      for (const link of linksOf(list)) {
        const there = reached.get(link.to)!;
        if (there.size === 0 || !follows(link)) continue;
        for (const fact of factsOf(facts, list)) {
          if (here.has(fact.id) || !there.has(fact[link.field] as string)) continue;
          here.add(fact.id);
          onReach?.({ list, id: fact.id }, link);
          found = true;
        }
      }
    }
  }
  return reached;
}

/**
 * What goes, and what is cleared, when facts are taken out of a home.
 * @param taken keys of the facts to take out; unknown ones change nothing
 * @example fallenWith(facts, [{ list: 'rooms', id: 'loft' }]).gone // the room, its windows, stands, lamps
 */
export function fallenWith(facts: HomeFacts, taken: readonly FactKey[]): Fallen {
  const gone: FactKey[] = [...taken];
  const reached = reachedFrom(
    facts,
    taken,
    (link) => link.whenGone === 'goes-too',
    (key) => gone.push(key),
  );
  const cleared = FACT_LISTS.flatMap((list) =>
    linksOf(list)
      .filter((link) => link.whenGone === 'cleared' && reached.get(link.to)!.size > 0)
      .flatMap(({ field, to }) =>
        factsOf(facts, list)
          .filter((fact) => !reached.get(list)!.has(fact.id) && reached.get(to)!.has(fact[field] as string))
          .map(({ id }) => ({ list, id, field })),
      ),
  );
  return { gone, cleared };
}

/** The facts named and all that hang on them, directly or through others: what a change of them can contradict. */
export function dependentsOf(
  facts: HomeFacts,
  changed: readonly FactKey[],
): ReadonlyMap<FactList, ReadonlySet<string>> {
  return reachedFrom(facts, changed, (link) => link.whenGone !== 'stays');
}

/**
 * Links that lead nowhere, as problems beside their field.
 * @param only the facts to look at; all of them when it is left out
 */
export function danglingIn(facts: HomeFacts, only?: ReadonlyMap<FactList, ReadonlySet<string>>): Problem[] {
  const keys = new Map<FactList, Set<string>>();
  const keysOf = (list: FactList) => {
    let known = keys.get(list);
    if (!known) keys.set(list, (known = new Set(factsOf(facts, list).map(({ id }) => id))));
    return known;
  };
  return FACT_LISTS.flatMap((list) => {
    const asked = only?.get(list);
    if (only && (!asked || asked.size === 0)) return [];
    const links = linksOf(list).filter((link) => link.whenGone !== 'stays');
    return links.flatMap((link) =>
      factsOf(facts, list).flatMap((fact): Problem[] => {
        if (asked && !asked.has(fact.id)) return [];
        const to = fact[link.field] as string | null;
        if (to === null || keysOf(link.to).has(to)) return [];
        return [{ list, id: fact.id, field: link.field, message: missingMessage(list, link) }];
      }),
    );
  });
}

function missingMessage(list: FactList, { to, whenGone }: Link): string {
  const { noun } = KINDS[to];
  return whenGone === 'cleared' || list === 'corrections'
    ? `This ${noun} is no longer there. Choose another one.`
    : `The ${noun} it belongs to is not there.`;
}

/** The room of each spot, by key; spots whose tier or stand is missing are left out. */
export function roomsOfSpots({
  spots,
  tiers,
  stands,
}: Pick<HomeFacts, 'spots' | 'tiers' | 'stands'>): Map<string, string> {
  const standOf = new Map(tiers.map(({ id, standId }) => [id, standId]));
  const roomOfStand = new Map(stands.map(({ id, roomId }) => [id, roomId]));
  return new Map(
    spots.flatMap(({ id, tierId }) => {
      const roomId = roomOfStand.get(standOf.get(tierId) ?? '');
      return roomId === undefined ? [] : [[id, roomId] as const];
    }),
  );
}

/** The room a spot's stand stands in; null when one of them is not there. */
export function roomIdOfSpot(facts: HomeFacts, spotId: string): string | null {
  const tierId = facts.spots.find((spot) => spot.id === spotId)?.tierId;
  const standId = facts.tiers.find((tier) => tier.id === tierId)?.standId;
  return facts.stands.find((stand) => stand.id === standId)?.roomId ?? null;
}

/** The tiers of all stands in some rooms, by key. */
export function tiersIn(
  { stands, tiers }: Pick<HomeFacts, 'stands' | 'tiers'>,
  roomIds: readonly string[],
): Set<string> {
  const own = new Set(stands.filter(({ roomId }) => roomIds.includes(roomId)).map(({ id }) => id));
  return new Set(tiers.filter(({ standId }) => own.has(standId)).map(({ id }) => id));
}
