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

const BACK_TO: Partial<
  Record<EditableList, (facts: HomeFacts, entry: Record<string, string>) => { list: FormList; id: string } | null>
> = {
  windows: (_facts, entry) => ({ list: 'rooms', id: entry.roomId! }),
  stands: (_facts, entry) => ({ list: 'rooms', id: entry.roomId! }),
  air: (_facts, entry) => ({ list: 'rooms', id: entry.roomId! }),
  obstructions: (_facts, entry) => ({ list: 'rooms', id: entry.roomId! }),
  blocks: (_facts, entry) => ({ list: 'rooms', id: entry.roomId! }),
  tiers: (_facts, entry) => ({ list: 'stands', id: entry.standId! }),
  spots: (facts, entry) => ({
    list: 'stands',
    id: facts.tiers.find((tier) => tier.id === entry.tierId)?.standId ?? '',
  }),
  lamps: (facts, entry) => ({
    list: 'stands',
    id: facts.tiers.find((tier) => tier.id === entry.tierId)?.standId ?? '',
  }),
};

interface ViewGiven {
  readonly facts: HomeFacts;
  readonly list: EditableList;
  readonly entry: object & { readonly id: string };
  readonly isNew: boolean;
}

function EditView({ facts, list, entry, isNew }: ViewGiven) {
  const [preview, setPreview] = useState<Change | null>(null);
  const [width, setWidth] = useState(0);
  const drawn = useMemo(() => {
    const changes = preview ? [preview] : isNew && list !== 'home' ? [put(list, entry as never)] : [];
    return applied(facts, changes) ?? facts;
  }, [facts, preview, isNew, list, entry]);
  const roomId = roomIdOf(drawn, list, entry);
  const room = drawn.rooms.find((candidate) => candidate.id === roomId);
  const back = BACK_TO[list]?.(facts, entry as unknown as Record<string, string>);
  const name =
    'name' in entry && entry.name
      ? String(entry.name)
      : list === 'tiers'
        ? `Tier at ${Math.round((entry as unknown as { heightM: number }).heightM * 100)} cm`
        : list === 'air'
          ? `Air in ${monthName((entry as unknown as { month: number }).month)}`
          : FORM_SPECS[list].noun;
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
        <TextLink href={{ pathname: '/place/[list]/[id]', params: back }}>
          {(facts[back.list] as readonly { id: string; name?: string }[]).find((owner) => owner.id === back.id)?.name ??
            'Back'}
        </TextLink>
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
      {room ? (
        <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ minHeight: 200 }}>
          {width > 0 ? (
            <RoomPlan
              facts={drawn}
              room={room}
              month={1}
              wash={null}
              width={width}
              chosenSpotId={list === 'spots' ? entry.id : null}
            />
          ) : null}
        </View>
      ) : null}
      {list === 'rooms' && !isNew ? <RoomParts facts={facts} roomId={entry.id} /> : null}
      {list === 'stands' && !isNew ? <StandParts facts={facts} standId={entry.id} /> : null}
    </>
  );
  return <TwoPanes first={first} second={second} />;
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
  const ofRoom = <T extends { readonly roomId: string }>(list: readonly T[]) =>
    list.filter((entry) => entry.roomId === roomId);
  return (
    <>
      <Parts
        title="Windows"
        list="windows"
        parent={roomId}
        noun="window"
        parts={ofRoom(facts.windows).map((window) => ({
          id: window.id,
          name: window.name,
          note: `wall ${window.side.toUpperCase()}`,
        }))}
      />
      <Parts
        title="Stands"
        list="stands"
        parent={roomId}
        noun="stand"
        parts={ofRoom(facts.stands).map((stand) => ({
          id: stand.id,
          name: stand.name,
          note: count(facts.tiers.filter((tier) => tier.standId === stand.id).length, 'tier'),
        }))}
      />
      <Parts
        title="Seen from its windows"
        list="obstructions"
        parent={roomId}
        noun="house, hill or tree"
        parts={ofRoom(facts.obstructions).map((o) => ({
          id: o.id,
          name: o.name,
          note: `${Math.round(o.fromBearing)}° to ${Math.round(o.toBearing)}°, ${Math.round(o.heightDeg)}° high`,
        }))}
      />
      <Parts
        title="Solid things inside"
        list="blocks"
        parent={roomId}
        noun="cupboard or wall"
        parts={ofRoom(facts.blocks).map((block) => ({
          id: block.id,
          name: block.name,
          note: `${Math.round(block.heightM * 100)} cm high`,
        }))}
      />
      <Parts
        title="Air, as you know it"
        list="air"
        parent={roomId}
        noun="month of air"
        parts={[...ofRoom(facts.air)]
          .sort((p, q) => p.month - q.month)
          .map((air) => ({
            id: air.id,
            name: monthName(air.month),
            note: `${air.dayC} / ${air.nightC} °C, ${air.dayRh} / ${air.nightRh} %`,
          }))}
      />
      {ofRoom(facts.air).length === 0 ? (
        <Small>
          Nothing stated yet: a plain heated room is assumed, 20 °C and 45 % by day. Two months, the coldest and the
          warmest, are enough to begin with.
        </Small>
      ) : null}
    </>
  );
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
