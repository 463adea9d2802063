/** What belongs to a room: windows, stands, what is seen from it and stands in it, its air. */
import { sillUnder, windowsWithoutSill, type HomeFacts, type Window } from '@dulvan/core';
import { View } from 'react-native';
import { AIR_THING_WORDS } from '../../parts/air-words';
import { newId } from '../../parts/new-id';
import { count } from '../../parts/words';
import { useHome } from '../../state/home';
import { Button } from '../../ui/button';
import { monthName } from '../../ui/months';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { Parts, type PartsGiven } from './part-list';
import { ROOM_PARTS as WORDS } from './place-words';

export function RoomParts({ facts, roomId }: { readonly facts: HomeFacts; readonly roomId: string }) {
  const air = ofRoom(facts.air, roomId);
  return (
    <>
      {roomParts(facts, roomId).map((parts) => (
        <View key={parts.list} style={{ gap: SPACE.s }}>
          <Parts parent={roomId} {...parts} />
          {parts.list === 'stands' ? <Sills facts={facts} roomId={roomId} /> : null}
        </View>
      ))}
      {air.length === 0 ? <Small>{WORDS.noAirStated}</Small> : null}
    </>
  );
}

const ofRoom = <T extends { readonly roomId: string }>(list: readonly T[], roomId: string) =>
  list.filter((entry) => entry.roomId === roomId);

/** What belongs to a room, kind by kind. */
function roomParts(facts: HomeFacts, roomId: string): Omit<PartsGiven, 'parent'>[] {
  const tiersOf = (standId: string) => facts.tiers.filter((tier) => tier.standId === standId).length;
  return [
    {
      title: WORDS.windows,
      list: 'windows',
      noun: 'window',
      parts: ofRoom(facts.windows, roomId).map(({ id, name, side }) => ({
        id,
        name,
        note: WORDS.wall(side.toUpperCase()),
      })),
    },
    {
      title: WORDS.stands,
      list: 'stands',
      noun: 'stand',
      parts: ofRoom(facts.stands, roomId).map(({ id, name }) => ({ id, name, note: count(tiersOf(id), 'tier') })),
    },
    {
      title: WORDS.seenFromItsWindows,
      list: 'obstructions',
      noun: WORDS.houseHillOrTree,
      parts: ofRoom(facts.obstructions, roomId).map(({ id, name, fromBearing, toBearing, heightDeg }) => ({
        id,
        name,
        note: WORDS.bearingsAndHeight(Math.round(fromBearing), Math.round(toBearing), Math.round(heightDeg)),
      })),
    },
    {
      title: WORDS.solidThingsInside,
      list: 'blocks',
      noun: WORDS.cupboardOrWall,
      parts: ofRoom(facts.blocks, roomId).map(({ id, name, heightM }) => ({
        id,
        name,
        note: WORDS.cmHigh(Math.round(heightM * 100)),
      })),
    },
    ...airParts(facts, roomId),
  ];
}

/** How it is heated and aired, what changes its air, and its air as it was measured. */
function airParts(facts: HomeFacts, roomId: string): Omit<PartsGiven, 'parent'>[] {
  return [
    {
      title: WORDS.heatingAndAiring,
      list: 'climates',
      noun: WORDS.heatingNoun,
      most: 1,
      parts: ofRoom(facts.climates, roomId).map(({ id, heating, dayC, nightC }) => ({
        id,
        name: WORDS.heatingAndAiring,
        note: heating === 'set' ? WORDS.heated(dayC, nightC) : WORDS.notHeated,
      })),
    },
    {
      title: WORDS.airThings,
      list: 'airThings',
      noun: WORDS.airThingNoun,
      parts: ofRoom(facts.airThings, roomId).map(({ id, name, kind }) => ({ id, name, note: AIR_THING_WORDS[kind] })),
    },
    ...doorwayParts(facts, roomId),
    {
      title: WORDS.airAsYouKnow,
      list: 'air',
      noun: WORDS.monthOfAir,
      parts: ofRoom(facts.air, roomId)
        .sort((p, q) => p.month - q.month)
        .map(({ id, month, dayC, nightC, dayRh, nightRh }) => ({
          id,
          name: monthName(month),
          note: `${dayC} / ${nightC} °C, ${dayRh} / ${nightRh} %`,
        })),
    },
  ];
}

/** Doorways, where there is another room for one to lead to. */
function doorwayParts(facts: HomeFacts, roomId: string): Omit<PartsGiven, 'parent'>[] {
  const nameOf = (id: string) => facts.rooms.find((room) => room.id === id)?.name ?? '';
  const room = facts.rooms.find(({ id }) => id === roomId);
  const others = facts.rooms.filter(({ id, insideRoomId }) => id !== roomId && insideRoomId === null);
  if (!room || room.insideRoomId !== null || others.length === 0) return [];
  return [
    {
      title: WORDS.doorways,
      list: 'doorways',
      noun: WORDS.doorwayNoun,
      parts: facts.doorways
        .filter((doorway) => doorway.roomId === roomId || doorway.toRoomId === roomId)
        .map((doorway) => ({
          id: doorway.id,
          name: WORDS.doorwayTo(nameOf(doorway.roomId === roomId ? doorway.toRoomId : doorway.roomId)),
          note: '',
        })),
    },
  ];
}

/** A sill under each window that has none: a board, its tier and its spots in one go. */
function Sills({ facts, roomId }: { readonly facts: HomeFacts; readonly roomId: string }) {
  const change = useHome((state) => state.change);
  const room = facts.rooms.find(({ id }) => id === roomId);
  const bare = room ? windowsWithoutSill(facts, room) : [];
  const add = (window: Window) => void change(WORDS.addedSillUnder(window.name), sillUnder(facts, window, newId));
  return bare.map((window) => (
    <Button key={window.id} onPress={() => add(window)} style={{ alignSelf: 'flex-start' }}>
      {WORDS.addSillUnder(window.name)}
    </Button>
  ));
}
