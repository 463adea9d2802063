/** What lies on a stand, in the order in which one sees it: along its length, from wall D or from wall A. */
import type { HomeFacts, Lamp, Spot, Stand } from '@dulvan/core';

type OnStand = Pick<Spot | Lamp, 'tierId' | 'alongM' | 'acrossM'>;

const byPlace = (stand: Stand | undefined) => (p: OnStand, q: OnStand) =>
  stand && stand.depthM > stand.widthM
    ? p.acrossM - q.acrossM || p.alongM - q.alongM
    : p.alongM - q.alongM || p.acrossM - q.acrossM;

function onTier<T extends OnStand>(facts: HomeFacts, list: readonly T[], tierId: string): T[] {
  const tier = facts.tiers.find(({ id }) => id === tierId);
  const stand = facts.stands.find(({ id }) => id === tier?.standId);
  return list.filter((one) => one.tierId === tierId).sort(byPlace(stand));
}

export const spotsOn = (facts: HomeFacts, tierId: string) => onTier(facts, facts.spots, tierId);

export const lampsOn = (facts: HomeFacts, tierId: string) => onTier(facts, facts.lamps, tierId);
