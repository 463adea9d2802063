/** Timer plugs of a home: what each told last, and what the grower says to them. */
import type { NewPlug, Plug, Refusal } from '@dulvan/contract';
import {
  civilDateOf,
  minuteOfCivilDay,
  plugFindings,
  wattsByCircuit,
  type HomeFacts,
  type PlugFinding,
} from '@dulvan/core';
import { useState } from 'react';
import { ask, type Answer } from './api';
import { useFetched, type Fetched } from './fetched';
import { useNow } from './use-now';

async function plugsOf(key: string): Promise<Plug[]> {
  const [homeId] = JSON.parse(key) as [string, number, number];
  const answer = await ask('plugs', { params: { homeId } });
  if (!answer.ok) throw new Error(answer.refusal.message);
  return answer.value;
}

/** The plugs of a home, asked for every minute while they are shown; what was told stays until the next is here. */
export function usePlugs(homeId: string): { readonly plugs: Fetched<Plug[]>; readonly again: () => void } {
  const now = useNow();
  const [round, setRound] = useState(0);
  const plugs = useFetched(plugsOf, JSON.stringify([homeId, now, round]));
  const [held, setHeld] = useState<{ homeId: string; plugs: Fetched<Plug[]> } | null>(null);
  if (plugs.state !== 'working' && held?.plugs !== plugs) setHeld({ homeId, plugs });
  const shown = plugs.state === 'working' && held?.homeId === homeId ? held.plugs : plugs;
  return { plugs: shown, again: () => setRound((before) => before + 1) };
}

/** Why something was not done with a plug. */
export type PlugRefusal = Pick<Refusal, 'message'>;

/** Null where it was done. */
const refusalOf = (answer: Answer<unknown>): PlugRefusal | null => (answer.ok ? null : answer.refusal);

export const addPlug = async (homeId: string, body: NewPlug): Promise<PlugRefusal | null> =>
  refusalOf(await ask('addPlug', { params: { homeId }, body }));

const of = (homeId: string, { id: plugId }: Plug) => ({ homeId, plugId });

export const armPlug = async (homeId: string, plug: Plug, armed: boolean): Promise<PlugRefusal | null> =>
  refusalOf(await ask('armPlug', { params: of(homeId, plug), body: { armed } }));

export const checkPlug = async (homeId: string, plug: Plug): Promise<PlugRefusal | null> =>
  refusalOf(await ask('checkPlug', { params: of(homeId, plug), body: {} }));

export const forgetPlug = async (homeId: string, plug: Plug): Promise<PlugRefusal | null> =>
  refusalOf(await ask('removePlug', { params: of(homeId, plug) }));

/** In which ways a plug was not as its timer says when it was asked last; its timer may be gone. */
export function findingsOf(facts: HomeFacts, { circuitId, told, toldAt }: Plug): readonly PlugFinding[] {
  const timer = facts.circuits.find(({ id }) => id === circuitId);
  if (!timer || told === null || toldAt === null) return [];
  const { timeZone } = facts.home;
  const now = { month: civilDateOf(toldAt, timeZone).month, minute: minuteOfCivilDay(toldAt, timeZone) };
  return plugFindings({ timer, watts: wattsByCircuit(facts).get(circuitId) ?? 0, now }, told);
}
