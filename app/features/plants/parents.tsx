/** A hybrid's parents with their shares; its target is their weighted mix. */
import { knowledge } from '@dulvan/catalogue';
import { knownTaxon, type HomeFacts, type Parent, type Taxon } from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { TaxonPicker } from '../../parts/taxon-picker';
import { typedNumber } from '../../parts/typed-number';
import { useTaxonFinder } from '../../state/taxa';
import { Button } from '../../ui/button';
import { Field } from '../../ui/field';
import { Row } from '../../ui/page';
import { SPACE } from '../../ui/theme';
import { Small } from '../../ui/type';
import { useInk } from '../../ui/use-ink';
import { PARENTS as WORDS } from './plants-words';

interface Given {
  readonly facts: HomeFacts;
  readonly parents: readonly Parent[];
  /** Keeps them. @returns why it was refused */
  readonly onParents: (parents: readonly Parent[]) => Promise<{ readonly message: string } | null>;
  readonly onDone?: () => void;
}

const MOST_PARENTS = 8;

const nameOf = (facts: HomeFacts, taxonId: string) => knownTaxon(facts, taxonId, knowledge)?.taxon.name ?? taxonId;

/** "60 % Hoya carnosa, 40 % Hoya bella". */
export const parentWords = (facts: HomeFacts, parents: readonly Parent[]) =>
  parents.map(({ taxonId, share }) => `${Math.round(share * 100)} % ${nameOf(facts, taxonId)}`).join(', ');

interface TypedParent {
  readonly taxonId: string;
  readonly share: string;
}

export function Parents({ facts, parents: kept, onParents, onDone }: Given) {
  const { danger } = useInk();
  const finder = useTaxonFinder();
  const [parents, setParents] = useState<readonly TypedParent[]>(() =>
    kept.map(({ taxonId, share }) => ({ taxonId, share: String(Math.round(share * 100)) })),
  );
  const [search, setSearch] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const add = ({ id }: Taxon) => {
    setSearch('');
    if (parents.some((parent) => parent.taxonId === id) || parents.length >= MOST_PARENTS) return;
    // Newcomers share evenly until the grower says otherwise.
    const even = String(Math.round(100 / (parents.length + 1)));
    setParents([...parents.map((parent) => ({ ...parent, share: even })), { taxonId: id, share: even }]);
  };
  const keep = async () => {
    const shares = parents.map(({ taxonId, share }) => ({ taxonId, share: typedNumber(share) / 100 }));
    if (shares.some(({ share }) => !(share >= 0.01 && share <= 1))) return setRefusal(WORDS.rangeOfShare);
    const refused = await onParents(shares);
    setRefusal(refused?.message ?? null);
    if (!refused) onDone?.();
  };
  const setShare = (taxonId: string, share: string) =>
    setParents(parents.map((parent) => (parent.taxonId === taxonId ? { ...parent, share } : parent)));
  return (
    <View style={{ gap: SPACE.s }}>
      {parents.map(({ taxonId, share }) => (
        <View key={taxonId} style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-end' }}>
          <View style={{ flex: 1 }}>
            <Field
              label={nameOf(facts, taxonId)}
              kind="number"
              unit="%"
              value={share}
              onValue={(value) => setShare(taxonId, value)}
            />
          </View>
          <Button onPress={() => setParents(parents.filter((parent) => parent.taxonId !== taxonId))}>
            {WORDS.leaveOut}
          </Button>
        </View>
      ))}
      <TaxonPicker
        label={parents.length === 0 ? WORDS.oneParent : WORDS.anotherParent}
        finder={finder}
        text={search}
        onText={setSearch}
        onTaxon={add}
      />
      <Small>{WORDS.howTheyAreMixed}</Small>
      {refusal ? <Small style={{ color: danger }}>✕ {refusal}</Small> : null}
      <Row>
        <Button kind="main" onPress={() => void keep()} disabled={parents.length === 1}>
          {parents.length === 0 ? WORDS.noParents : WORDS.keepTheseParents}
        </Button>
        {onDone ? <Button onPress={onDone}>{WORDS.leaveIt}</Button> : null}
      </Row>
    </View>
  );
}
