/** One fact of the place: its form, the drawing beside it, what belongs to it, and taking it out. */
import { applied, put, type Change, type HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { useDrafts } from '../../state/drafts';
import { useHome } from '../../state/home';
import { useYear } from '../../state/year';
import { TextLink } from '../../ui/button';
import { Fitted } from '../../ui/fitted';
import { Fold } from '../../ui/fold';
import { Page, TwoPanes } from '../../ui/page';
import { Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { monthName } from '../../ui/months';
import { RoomPlan } from '../../parts/room-plan';
import { NotHere } from '../../parts/not-here';
import { blankFor } from '../../forms/blank';
import { FactForm } from '../../forms/fact-form';
import { FORM_SPECS, type FormList } from '../../forms/form-specs';
import { CircuitParts } from './circuit-parts';
import { PlaceSun } from './place-sun';
import { RoomParts } from './room-parts';
import { StandParts } from './stand-parts';
import { TakeOut } from './take-out';
import { EDIT_SCREEN as WORDS } from './place-words';

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
  climates: toRoom,
  airThings: toRoom,
  doorways: toRoom,
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
  // What was typed and not saved is shown again, not folded away.
  const [isDrafted] = useState(() => useDrafts.getState().drafts[`${list}/${entry.id}`] !== undefined);
  const [preview, setPreview] = useState<Change | null>(null);
  const drawn = useMemo(() => {
    const changes = preview ? [preview] : isNew && list !== 'home' ? [put(list, entry as never)] : [];
    return applied(facts, changes) ?? facts;
  }, [facts, preview, isNew, list, entry]);
  const back = BACK_TO[list]?.(facts, entry as unknown as Record<string, string>);
  const name = nameOf(list, entry);
  const leave = useCallback(() => {
    if (back) router.replace({ pathname: '/place/[list]/[id]', params: back });
    else if (list === 'circuits' && router.canGoBack()) router.back();
    else router.replace('/place');
  }, [back, list]);
  const saved = (savedId: string) => {
    if (isNew && (list === 'rooms' || list === 'stands'))
      router.replace({ pathname: '/place/[list]/[id]', params: { list, id: savedId } });
    else leave();
  };
  const shown = {
    head: <Head facts={facts} back={back} title={isNew ? WORDS.newOne(FORM_SPECS[list].noun) : name} />,
    form: (
      <>
        <FactForm list={list} initial={entry} isNew={isNew} onSaved={saved} onPreview={setPreview} />
        {isNew || list === 'home' ? null : (
          <TakeOut facts={facts} list={list} entry={entry} name={name} onDone={leave} />
        )}
      </>
    ),
    drawing: <Beside facts={drawn} list={list} entry={entry} />,
    parts:
      isNew || (list !== 'rooms' && list !== 'stands') ? null : <PartsOf facts={facts} list={list} entry={entry} />,
    noun: FORM_SPECS[list].noun,
    begins: isDrafted ? 'open' : 'shut',
  } as const;
  return <Laid {...shown} />;
}

interface LaidGiven {
  readonly head: ReactNode;
  readonly form: ReactNode;
  readonly drawing: ReactNode;
  /** What belongs to it, where something can. */
  readonly parts: ReactNode | null;
  readonly noun: string;
  /** Whether the form is open at first. */
  readonly begins: 'shut' | 'open';
}

/**
 * The form with its drawing beside it; on a phone what comes next is in sight: parts to add, before figures that are
 * there already.
 */
function Laid({ head, form, drawing, parts, noun, begins }: LaidGiven) {
  const wide = useIsWide();
  if (wide || !parts)
    return (
      <TwoPanes
        first={
          <>
            {head}
            {form}
          </>
        }
        second={
          <>
            {drawing}
            {parts}
          </>
        }
      />
    );
  return (
    <Page>
      {head}
      {drawing}
      {parts}
      <Fold title={WORDS.editThis(noun)} note={WORDS.whatIsEdited} begins={begins}>
        {form}
      </Fold>
    </Page>
  );
}

function Head({
  facts,
  back,
  title,
}: {
  readonly facts: HomeFacts;
  readonly back: Back | undefined;
  readonly title: string;
}) {
  return (
    <>
      {back ? (
        <TextLink href={{ pathname: '/place/[list]/[id]', params: back }}>{ownerName(facts, back)}</TextLink>
      ) : (
        <TextLink href="/place">{WORDS.place}</TextLink>
      )}
      <Title>{title}</Title>
    </>
  );
}

/** What belongs to a room or a stand. */
function PartsOf({ facts, list, entry }: Pick<ViewGiven, 'facts' | 'list' | 'entry'>) {
  if (list === 'rooms') return <RoomParts facts={facts} roomId={entry.id} />;
  return list === 'stands' ? <StandParts facts={facts} standId={entry.id} /> : null;
}

function nameOf(list: EditableList, entry: ViewGiven['entry']): string {
  const { name, heightM, month } = entry as Partial<{ name: string; heightM: number; month: number }>;
  if (name) return name;
  if (list === 'tiers') return WORDS.tierAtCm(Math.round(heightM! * 100));
  if (list === 'air') return WORDS.airIn(monthName(month!));
  if (list === 'climates') return WORDS.heatingAndAiring;
  return FORM_SPECS[list].noun;
}

function ownerName(facts: HomeFacts, { list, id }: Back): string {
  const owners: readonly { readonly id: string; readonly name?: string }[] = facts[list];
  return owners.find((owner) => owner.id === id)?.name ?? WORDS.back;
}

/** What stands beside a form: what follows from it, or where it is. */
function Beside({ facts, list, entry }: Pick<ViewGiven, 'facts' | 'list' | 'entry'>) {
  const year = useYear(facts);
  if (list === 'home') return <PlaceSun home={facts.home} year={year} />;
  if (list === 'circuits') return <CircuitParts facts={facts} circuitId={entry.id} />;
  return (
    <DrawnRoom facts={facts} roomId={roomIdOf(facts, list, entry)} chosenSpotId={list === 'spots' ? entry.id : null} />
  );
}

interface DrawnRoomGiven {
  readonly facts: HomeFacts;
  readonly roomId: string | null;
  readonly chosenSpotId: string | null;
}

function DrawnRoom({ facts, roomId, chosenSpotId }: DrawnRoomGiven) {
  const room = facts.rooms.find((candidate) => candidate.id === roomId);
  if (!room) return null;
  return (
    <Fitted minHeight={200}>
      {(width) => (
        <RoomPlan facts={facts} room={room} month={1} wash={null} width={width} chosenSpotId={chosenSpotId} />
      )}
    </Fitted>
  );
}
