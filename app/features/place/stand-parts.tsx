/** What belongs to a stand: its tiers, their spots and lamps, and one thing set for several of them. */
import type { HomeFacts } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { SetForAll } from '../../forms/set-for-all';
import { lampsOn, spotsOn } from '../../parts/in-order';
import { TextLink } from '../../ui/button';
import { Choices } from '../../ui/choices';
import { ChosenLine, turned, type Chosen } from '../../ui/chosen';
import { Fold } from '../../ui/fold';
import { OptionRow } from '../../ui/option-row';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { Parts } from './part-list';
import { STAND_PARTS as WORDS } from './place-words';

export function StandParts({ facts, standId }: { readonly facts: HomeFacts; readonly standId: string }) {
  const tiers = facts.tiers.filter((tier) => tier.standId === standId).sort((p, q) => q.heightM - p.heightM);
  return (
    <>
      <Parts
        title={WORDS.tiers}
        list="tiers"
        parent={standId}
        noun="tier"
        parts={tiers.map((tier) => ({
          id: tier.id,
          name: WORDS.cmAboveFloor(Math.round(tier.heightM * 100)),
          note: tier.board,
        }))}
      />
      {tiers.map((tier) => (
        <View key={tier.id} style={{ gap: SPACE.m }}>
          <Parts
            title={WORDS.spotsAtCm(Math.round(tier.heightM * 100))}
            list="spots"
            parent={tier.id}
            noun="spot"
            parts={spotsOn(facts, tier.id).map((spot) => ({
              id: spot.id,
              name: spot.name,
              note: facts.plants.some((plant) => plant.spotId === spot.id) ? WORDS.taken : WORDS.free,
            }))}
          />
          {facts.circuits.length > 0 ? (
            <Parts
              title={WORDS.lampsOverCm(Math.round(tier.heightM * 100))}
              list="lamps"
              parent={tier.id}
              noun="lamp"
              parts={lampsOn(facts, tier.id).map((lamp) => ({
                id: lamp.id,
                name: lamp.name,
                note: `${lamp.ppf} µmol/s`,
              }))}
            />
          ) : (
            <View>
              <Small>{WORDS.aboutCircuits}</Small>
              <TextLink href="/place/circuits/new">{WORDS.addCircuit}</TextLink>
            </View>
          )}
        </View>
      ))}
      <SetForSeveral facts={facts} standId={standId} />
    </>
  );
}

const KINDS = [
  { value: 'spots', word: 'Spots' },
  { value: 'lamps', word: 'Lamps' },
] as const;

/** Several spots or lamps of a stand, of which one thing is set. */
function SetForSeveral({ facts, standId }: { readonly facts: HomeFacts; readonly standId: string }) {
  const [kind, setKind] = useState<'spots' | 'lamps'>('spots');
  const [chosen, setChosen] = useState<Chosen>(new Set());
  const tiers = facts.tiers.filter((tier) => tier.standId === standId).sort((p, q) => q.heightM - p.heightM);
  const rows = tiers.flatMap(({ id, heightM }) =>
    (kind === 'spots' ? spotsOn(facts, id) : lampsOn(facts, id)).map((one) => ({
      id: one.id,
      title: WORDS.nameAndHeight(one.name, Math.round(heightM * 100)),
    })),
  );
  const turn = (value: string) => {
    setKind(value === 'lamps' ? 'lamps' : 'spots');
    setChosen(new Set());
  };
  return (
    <Fold title={WORDS.setOneThing} note={WORDS.setOneThingHelp}>
      <Choices label={WORDS.spotsOrLamps} value={kind} onValue={turn} choices={KINDS} />
      <View role="group" aria-label={kind === 'spots' ? WORDS.spots : WORDS.lamps}>
        <ChosenLine label={kind} ids={rows.map(({ id }) => id)} chosen={chosen} onChosen={setChosen} />
        {rows.map(({ id, title }) => (
          <OptionRow
            key={id}
            role="checkbox"
            title={title}
            chosen={chosen.has(id)}
            onPress={() => setChosen(turned(chosen, id))}
          />
        ))}
      </View>
      {chosen.size > 0 ? (
        <SetForAll key={kind} facts={facts} list={kind} ids={[...chosen]} onDone={() => setChosen(new Set())} />
      ) : null}
    </Fold>
  );
}
