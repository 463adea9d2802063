/** Homes that were taken out, each with the way to bring it back: for as long as the server holds its journal. */
import type { TakenOut } from '@dulvan/contract';
import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ask } from '../state/api';
import { useHome } from '../state/home';
import { Button } from '../ui/button';
import { SPACE } from '../ui/theme';
import { Heading, Small } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { BRING_BACK as WORDS } from './part-words';

/** The day it went, by this device's own clock: the home's is gone with it. */
const dayOf = ({ entry }: TakenOut) => format(entry.at, 'd MMMM yyyy');

export function BringBack() {
  const { danger } = useInk();
  const homes = useHome((state) => state.homes);
  const undo = useHome((state) => state.undo);
  const load = useHome((state) => state.load);
  const openHome = useHome((state) => state.openHome);
  const [gone, setGone] = useState<readonly TakenOut[]>([]);
  const [refusal, setRefusal] = useState<string | null>(null);
  useEffect(() => {
    let stale = false;
    void ask('takenOut', {}).then((answer) => {
      if (!stale && answer.ok) setGone(answer.value);
    });
    return () => {
      stale = true;
    };
    // Taking a home out, or bringing one back, changes the list of homes.
  }, [homes]);
  if (gone.length === 0) return null;
  const bringBack = async ({ entry: { homeId, id } }: TakenOut) => {
    const refused = await undo([{ homeId, entryId: id }]);
    setRefusal(refused?.message ?? null);
    if (refused) return;
    await load();
    await openHome(homeId);
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.takenOut}</Heading>
      {gone.map((home) => (
        <View key={home.entry.id} style={{ gap: 2 }}>
          <Button onPress={() => void bringBack(home)} style={{ alignSelf: 'flex-start' }}>
            {WORDS.bringBack(home.name)}
          </Button>
          <Small>{WORDS.takenOutOn(dayOf(home))}</Small>
        </View>
      ))}
      {refusal ? <Small style={{ color: danger }}>✕ {refusal}</Small> : null}
    </View>
  );
}
