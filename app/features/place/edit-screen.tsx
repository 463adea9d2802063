/** One fact of the place: its form, the drawing beside it, what belongs to it, and taking it out. */
import { applied, put, type Change, type HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useHome } from '../../state/home';
import { RowLink, TextLink } from '../../ui/button';
import { TwoPanes } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { count } from '../../parts/words';
import { monthName } from '../../ui/months';
import { RoomPlan } from '../../parts/room-plan';
import { NotHere } from '../../parts/not-here';
import { blankFor } from '../../forms/blank';
import { FactForm } from '../../forms/fact-form';
import { FORM_SPECS, type FormList } from '../../forms/form-specs';
import { TakeOut } from './take-out';

type EditableList = FormList | 'home';

interface Given {
  readonly list: string;
  readonly id: string;
  /** The entry a new one belongs to. */
  readonly parent: string | null;
}

const isEditable = (list: string): list is EditableList => list in FORM_SPECS;

export function EditScreen({ list, id, parent }: Given) {
  const facts = useHome((state) => state.facts);
  const [fresh] = useState(() => (facts && isEditable(list) && list !== 'home' ? blankFor(facts, list, parent) : null));
  if (!facts || !isEditable(list)) return <NotHere what="form" back="/place" />;
  const entry =
    id === 'new'
      ? fresh
      : list === 'home'
        ? facts.home
        : (facts[list] as readonly { id: string }[]).find((candidate) => candidate.id === id);
  if (!entry) return <NotHere what={FORM_SPECS[list].noun} back="/place" />;
  return <EditView key={`${list}/${id}`} facts={facts} list={list} entry={entry} isNew={id === 'new'} />;
}

/** The room an entry lies in, as the facts would be. */
function roomIdOf(facts: HomeFacts, list: EditableList, entry: object): string | null {
  const given = entry as Record<string, string>;
  if (list === 'rooms') return given.id!;
  if (given.roomId) return given.roomId;
  const standId = list === 'tiers' ? given.standId : facts.tiers.find((tier) => tier.id === given.tierId)?.standId;
  return facts.stands.find((stand) => stand.id === standId)?.roomId ?? null;
}

/** Where one goes back to from an entry: to what it belongs to. */
type Back = { readonly list: 'rooms' | 'stands'; readonly id: string };
type BackOf = (facts: HomeFacts, entry: Record<string, string>) => Back;

const toRoom: BackOf = (_facts, entry) => ({ list: 'rooms', id: entry.roomId! });
const toStand: BackOf = (_facts, entry) => ({ list: 'stands', id: entry.standId! });
const toStandOfTier: BackOf = (facts, entry) => ({
  list: 'stands',
  id: facts.tiers.find((tier) => tier.id === entry.tierId)?.standId ?? '',
});

const BACK_TO: Partial<Record<EditableList, BackOf>> = {
  windows: toRoom,
  stands: toRoom,
  air: toRoom,
  obstructions: toRoom,
  blocks: toRoom,
  tiers: toStand,
  spots: toStandOfTier,
  lamps: toStandOfTier,
};

interface ViewGiven {
  readonly facts: HomeFacts;
  readonly list: EditableList;
  readonly entry: object & { readonly id: string };
  readonly isNew: boolean;
}

function EditView({ facts, list, entry, isNew }: ViewGiven) {
  const [preview, setPreview] = useState<Change | null>(null);
  const drawn = useMemo(() => {
    const changes = preview ? [preview] : isNew && list !== 'home' ? [put(list, entry as never)] : [];
    return applied(facts, changes) ?? facts;
  }, [facts, preview, isNew, list, entry]);
  const back = BACK_TO[list]?.(facts, entry as unknown as Record<string, string>);
  const name = nameOf(list, entry);
  const leave = useCallback(() => {
    if (back) router.replace({ pathname: '/place/[list]/[id]', params: back });
    else router.replace('/place');
  }, [back]);
  const saved = (savedId: string) => {
    if (isNew && (list === 'rooms' || list === 'stands'))
      router.replace({ pathname: '/place/[list]/[id]', params: { list, id: savedId } });
    else leave();
  };
  const first = (
    <>
      {back ? (
        <TextLink href={{ pathname: '/place/[list]/[id]', params: back }}>{ownerName(facts, back)}</TextLink>
      ) : (
        <TextLink href="/place">The place</TextLink>
      )}
      <Title>{isNew ? `New ${FORM_SPECS[list].noun}` : name}</Title>
      <FactForm list={list} initial={entry} isNew={isNew} onSaved={saved} onPreview={setPreview} />
      {isNew || list === 'home' ? null : <TakeOut facts={facts} list={list} entry={entry} name={name} onDone={leave} />}
    </>
  );
  const second = (
    <>
      <DrawnRoom
        facts={drawn}
        roomId={roomIdOf(drawn, list, entry)}
        chosenSpotId={list === 'spots' ? entry.id : null}
      />
      {list === 'rooms' && !isNew ? <RoomParts facts={facts} roomId={entry.id} /> : null}
      {list === 'stands' && !isNew ? <StandParts facts={facts} standId={entry.id} /> : null}
    </>
  );
  return <TwoPanes first={first} second={second} />;
}

function nameOf(list: EditableList, entry: ViewGiven['entry']): string {
  const { name, heightM, month } = entry as Partial<{ name: string; heightM: number; month: number }>;
  if (name) return name;
  if (list === 'tiers') return `Tier at ${Math.round(heightM! * 100)} cm`;
  if (list === 'air') return `Air in ${monthName(month!)}`;
  return FORM_SPECS[list].noun;
}

function ownerName(facts: HomeFacts, { list, id }: Back): string {
  const owners: readonly { readonly id: string; readonly name?: string }[] = facts[list];
  return owners.find((owner) => owner.id === id)?.name ?? 'Back';
}

interface DrawnRoomGiven {
  readonly facts: HomeFacts;
  readonly roomId: string | null;
  readonly chosenSpotId: string | null;
}

function DrawnRoom({ facts, roomId, chosenSpotId }: DrawnRoomGiven) {
  const [width, setWidth] = useState(0);
  const room = facts.rooms.find((candidate) => candidate.id === roomId);
  if (!room) return null;
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ minHeight: 200 }}>
      {width > 0 ? (
        <RoomPlan facts={facts} room={room} month={1} wash={null} width={width} chosenSpotId={chosenSpotId} />
      ) : null}
    </View>
  );
}

interface PartsGiven {
  readonly title: string;
  readonly list: FormList;
  readonly parent: string;
  readonly noun: string;
  readonly parts: readonly { readonly id: string; readonly name: string; readonly note: string }[];
}

function Parts({ title, list, parent, noun, parts }: PartsGiven) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{title}</Heading>
      {parts.map((part) => (
        <RowLink
          key={part.id}
          href={{ pathname: '/place/[list]/[id]', params: { list, id: part.id } }}
          label={part.name}
        >
          <View style={{ flex: 1 }}>
            <Body>{part.name}</Body>
          </View>
          <Small>{part.note}</Small>
        </RowLink>
      ))}
      <TextLink
        href={{ pathname: '/place/[list]/[id]', params: { list, id: 'new', parent } }}
      >{`Add a ${noun}`}</TextLink>
    </View>
  );
}

function RoomParts({ facts, roomId }: { readonly facts: HomeFacts; readonly roomId: string }) {
  const air = ofRoom(facts.air, roomId);
  return (
    <>
      {roomParts(facts, roomId).map((parts) => (
        <Parts key={parts.list} parent={roomId} {...parts} />
      ))}
      {air.length === 0 ? (
        <Small>
          Nothing stated yet: a plain heated room is assumed, 20 °C and 45 % by day. Two months, the coldest and the
          warmest, are enough to begin with.
        </Small>
      ) : null}
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
      title: 'Windows',
      list: 'windows',
      noun: 'window',
      parts: ofRoom(facts.windows, roomId).map(({ id, name, side }) => ({
        id,
        name,
        note: `wall ${side.toUpperCase()}`,
      })),
    },
    {
      title: 'Stands',
      list: 'stands',
      noun: 'stand',
      parts: ofRoom(facts.stands, roomId).map(({ id, name }) => ({ id, name, note: count(tiersOf(id), 'tier') })),
    },
    {
      title: 'Seen from its windows',
      list: 'obstructions',
      noun: 'house, hill or tree',
      parts: ofRoom(facts.obstructions, roomId).map(({ id, name, fromBearing, toBearing, heightDeg }) => ({
        id,
        name,
        note: `${Math.round(fromBearing)}° to ${Math.round(toBearing)}°, ${Math.round(heightDeg)}° high`,
      })),
    },
    {
      title: 'Solid things inside',
      list: 'blocks',
      noun: 'cupboard or wall',
      parts: ofRoom(facts.blocks, roomId).map(({ id, name, heightM }) => ({
        id,
        name,
        note: `${Math.round(heightM * 100)} cm high`,
      })),
    },
    {
      title: 'Air, as you know it',
      list: 'air',
      noun: 'month of air',
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

function StandParts({ facts, standId }: { readonly facts: HomeFacts; readonly standId: string }) {
  const tiers = facts.tiers.filter((tier) => tier.standId === standId).sort((p, q) => q.heightM - p.heightM);
  return (
    <>
      <Parts
        title="Tiers"
        list="tiers"
        parent={standId}
        noun="tier"
        parts={tiers.map((tier) => ({
          id: tier.id,
          name: `${Math.round(tier.heightM * 100)} cm above the floor`,
          note: tier.board,
        }))}
      />
      {tiers.map((tier) => (
        <View key={tier.id} style={{ gap: SPACE.m }}>
          <Parts
            title={`Spots at ${Math.round(tier.heightM * 100)} cm`}
            list="spots"
            parent={tier.id}
            noun="spot"
            parts={facts.spots
              .filter((spot) => spot.tierId === tier.id)
              .map((spot) => ({
                id: spot.id,
                name: spot.name,
                note: facts.plants.some((plant) => plant.spotId === spot.id) ? 'taken' : 'free',
              }))}
          />
          {facts.circuits.length > 0 ? (
            <Parts
              title={`Lamps over ${Math.round(tier.heightM * 100)} cm`}
              list="lamps"
              parent={tier.id}
              noun="lamp"
              parts={facts.lamps
                .filter((lamp) => lamp.tierId === tier.id)
                .map((lamp) => ({ id: lamp.id, name: lamp.name, note: `${lamp.ppf} µmol/s` }))}
            />
          ) : (
            <View>
              <Small>A lamp hangs on a circuit: the timer it shares with others.</Small>
              <TextLink href="/place/circuits/new">Add a circuit</TextLink>
            </View>
          )}
        </View>
      ))}
    </>
  );
}
