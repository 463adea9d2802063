/**
 * Looks after timer plugs: asks each what it does, and sets one that is armed and differs from its timer. One that is not
 * armed is asked and never set.
 */
import type { Plug } from '@dulvan/contract';
import {
  civilDateOf,
  isMendedBySending,
  loadWarnings,
  minuteOfCivilDay,
  plugFindings,
  wattsByCircuit,
  yearOfTimer,
  type HomeFacts,
  type WallClock,
} from '@dulvan/core';
import { refuse } from '../store/refused';
import type { Store } from '../store/store';
import { askPlug, setPlug, type PlugAnswer } from './talk';

export interface PlugCare {
  /** Asks a plug now. @returns what is known of it then */
  check(homeId: string, plugId: string): Promise<Plug>;
  /** Lets a plug be set from now on, or no longer. @throws Refused where that would be unsafe */
  arm(homeId: string, plugId: string, armed: boolean): Promise<Plug>;
  /** Ends what is being said; nothing is asked any more. */
  close(): Promise<void>;
}

interface Given {
  readonly store: Store;
  readonly now?: () => number;
  /** How often all are asked; never by itself where it is null. */
  readonly everyMs: number | null;
}

const wallClock = ({ timeZone }: HomeFacts['home'], at: number): WallClock => ({
  month: civilDateOf(at, timeZone).month,
  minute: minuteOfCivilDay(at, timeZone),
});

/** Whether a timer's lamps draw more than its label allows: such a one is never switched from here. */
const isOverloaded = (facts: HomeFacts, circuitId: string): boolean =>
  loadWarnings(facts).some(({ what, id, state }) => what === 'timer' && id === circuitId && state === 'over');

/** The timer of a plug that may be set: armed, there, and within what its label allows. */
function timerToSet(facts: HomeFacts, { armed, circuitId }: Plug) {
  if (!armed || isOverloaded(facts, circuitId)) return null;
  return facts.circuits.find(({ id }) => id === circuitId) ?? null;
}

export function tendPlugs({ store, now = Date.now, everyMs }: Given): PlugCare {
  const asking = new Map<string, Promise<Plug>>();
  const closing = new AbortController();
  const lineTo = (address: string) => ({ address, ends: closing.signal });

  const keep = async (homeId: string, plugId: string, answer: PlugAnswer, sentAt: number | null): Promise<Plug> => {
    // A talk that was ended from here says nothing of the plug.
    if (closing.signal.aborted) return store.plug(homeId, plugId);
    const at = now();
    if (answer.is === 'told') {
      const sent = sentAt === null ? {} : { sentAt };
      return store.updatePlug(homeId, plugId, {
        ...{ triedAt: at, toldAt: at, told: answer.told, trouble: null, reason: null },
        ...sent,
      });
    }
    const reason = answer.is === 'refuses' ? answer.reason : null;
    return store.updatePlug(homeId, plugId, { triedAt: at, trouble: answer.is, reason });
  };

  async function tend(homeId: string, plugId: string): Promise<Plug> {
    const answer = await askPlug(lineTo(store.plug(homeId, plugId).address));
    // What the grower said meanwhile counts: it is read again before anything is switched.
    const plug = store.plug(homeId, plugId);
    const { facts } = store.home(homeId);
    const timer = timerToSet(facts, plug);
    if (answer.is !== 'told' || !timer) return keep(homeId, plugId, answer, null);
    const clock = wallClock(facts.home, now());
    const watts = wattsByCircuit(facts).get(timer.id) ?? 0;
    const findings = plugFindings({ timer, watts, now: clock }, answer.told);
    if (!findings.some(isMendedBySending)) return keep(homeId, plugId, answer, null);
    const sentAt = now();
    const line = lineTo(plug.address);
    const set = await setPlug(line, { clock, programme: yearOfTimer(timer).filter(({ spans }) => spans.length > 0) });
    // What it says when it is set is no proof: it is asked once more.
    return set.is === 'told' ? keep(homeId, plugId, await askPlug(line), sentAt) : keep(homeId, plugId, set, null);
  }

  const check = (homeId: string, plugId: string): Promise<Plug> => {
    const key = `${homeId}/${plugId}`;
    const begun = asking.get(key) ?? tend(homeId, plugId).finally(() => asking.delete(key));
    asking.set(key, begun);
    return begun;
  };

  const all = () => {
    for (const { id: homeId } of store.homes())
      for (const { id } of store.plugs(homeId))
        // One that was forgotten meanwhile, or a disk that is full, is no reason to stop.
        check(homeId, id).catch((error: Error) => console.error(`A plug was not looked after: ${error.message}`));
  };
  const timer = everyMs === null ? null : setInterval(all, everyMs);

  return {
    check,
    async arm(homeId, plugId, armed) {
      if (armed) mustBeSafe(store.home(homeId).facts, store.plug(homeId, plugId));
      await store.updatePlug(homeId, plugId, { armed });
      await asking.get(`${homeId}/${plugId}`)?.catch(() => undefined);
      return check(homeId, plugId);
    },
    async close() {
      if (timer) clearInterval(timer);
      closing.abort();
      await Promise.allSettled(asking.values());
    },
  };
}

function mustBeSafe(facts: HomeFacts, { circuitId, toldAt, trouble }: Plug): void {
  if (!facts.circuits.some(({ id }) => id === circuitId))
    throw refuse(409, 'The timer of this plug is not there any more.');
  if (isOverloaded(facts, circuitId))
    throw refuse(409, 'Its lamps draw more than its label allows. Move lamps to another timer first.');
  if (toldAt === null || trouble === 'silent' || trouble === 'nonsense')
    throw refuse(409, 'It does not answer as a plug does. Check it until it does, then arm it.');
}
