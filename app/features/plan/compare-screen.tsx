/** Ways the home could be, side by side: figures first, then the plants that fare differently. */
import { planSettingsOf, type HomeFacts } from '@dulvan/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useFacts } from '../../state/home';
import { Button } from '../../ui/button';
import { Page, Row } from '../../ui/page';
import { PickOne } from '../../ui/pick-one';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Figure, Heading, Small, Title } from '../../ui/type';
import { useIsWide } from '../../ui/use-ink';
import { kWhWords, money, percent } from './figures';
import { SUMMARY } from './plan-words';
import { COMPARE as WORDS } from './what-if-words';
import { differingPlants, forget, standingIn, useVariants, type Variant, type VariantPlant } from './variants';

export function CompareScreen() {
  const facts = useFacts();
  const all = useVariants(({ variants }) => variants);
  const wide = useIsWide();
  if (!facts) return null;
  const variants = all.filter(({ homeId }) => homeId === facts.home.id);
  return (
    <Page>
      <Title>{WORDS.title}</Title>
      <Body>{WORDS.intro}</Body>
      {variants.length < 2 ? <Body>{WORDS.none}</Body> : null}
      {variants.length >= 2 && wide ? <Beside facts={facts} variants={variants} /> : null}
      {variants.length >= 2 && !wide ? <TwoOf facts={facts} variants={variants} /> : null}
      <Row>
        <Button kind={variants.length < 2 ? 'main' : 'plain'} onPress={() => router.push('/plan')}>
          {WORDS.toPlan}
        </Button>
        <Button onPress={() => router.push('/plan/what-if')}>{WORDS.whatIf}</Button>
      </Row>
    </Page>
  );
}

interface Given {
  readonly facts: HomeFacts;
  readonly variants: readonly Variant[];
}

/** On a phone two at a time. */
function TwoOf({ facts, variants }: Given) {
  const [names, setNames] = useState<readonly [string, string]>([variants[0]!.name, variants.at(-1)!.name]);
  const [first, second] = names.map((name) => variants.find((one) => one.name === name)) as (Variant | undefined)[];
  const choices = variants.map(({ name }) => ({ value: name, word: name }));
  return (
    <>
      <View style={{ gap: SPACE.xs }}>
        <PickOne label={WORDS.first} choices={choices} value={names[0]} onValue={(one) => setNames([one, names[1]])} />
        <PickOne label={WORDS.second} choices={choices} value={names[1]} onValue={(one) => setNames([names[0], one])} />
      </View>
      {first && second && first !== second ? <Beside facts={facts} variants={[first, second]} /> : null}
    </>
  );
}

function Beside({ facts, variants }: Given) {
  return (
    <>
      <Figures facts={facts} variants={variants} />
      <Plants variants={variants} />
      <View style={{ gap: SPACE.xs }}>
        {variants.map((variant) => (
          <Button key={variant.name} kind="quiet" style={{ alignSelf: 'flex-start' }} onPress={() => forget(variant)}>
            {WORDS.forget(variant.name)}
          </Button>
        ))}
      </View>
    </>
  );
}

const columnsOf = (variants: readonly Variant[]) => [
  { share: 2 },
  ...variants.map(({ name }) => ({ name, align: 'right' as const, share: 1.5 })),
];

function Figures({ facts, variants }: Given) {
  const { currency } = planSettingsOf(facts);
  const standing = variants.map(standingIn);
  const hasCosts = variants.every(({ cost }) => cost !== null);
  const row = (key: string, name: string, cells: readonly string[]) => ({ key, cells: [name, ...cells] });
  return (
    <>
      <Heading>{WORDS.figures}</Heading>
      <Table
        name={WORDS.figures}
        lines="between"
        columns={columnsOf(variants)}
        rows={[
          row(
            'dying',
            SUMMARY.dying,
            standing.map(({ dying }) => String(dying)),
          ),
          row(
            'lives',
            SUMMARY.livesOn,
            standing.map(({ livesOn }) => String(livesOn)),
          ),
          row(
            'grows',
            SUMMARY.growing,
            standing.map(({ growing }) => String(growing)),
          ),
          row(
            'kwh',
            SUMMARY.kWh,
            variants.map(({ kWh }) => kWhWords(kWh)),
          ),
          ...(hasCosts
            ? [
                row(
                  'cost',
                  SUMMARY.cost,
                  variants.map(({ cost }) => money(cost!, currency)),
                ),
              ]
            : []),
          row(
            'carries',
            SUMMARY.carries,
            variants.map(({ carries }) => String(carries)),
          ),
        ]}
      />
    </>
  );
}

function Plants({ variants }: Pick<Given, 'variants'>) {
  const rows = differingPlants(variants);
  return (
    <>
      <Heading>{WORDS.plants}</Heading>
      {rows.length === 0 ? <Body>{WORDS.alike}</Body> : <Small>{WORDS.plantsNote}</Small>}
      {rows.length === 0 ? null : (
        <Table
          name={WORDS.plants}
          lines="between"
          columns={columnsOf(variants)}
          rows={rows.map(({ id, name, of }) => ({
            key: id,
            cells: [name, ...of.map((plant, i) => <There key={i} plant={plant} />)],
          }))}
        />
      )}
    </>
  );
}

function There({ plant }: { readonly plant: VariantPlant | null }) {
  if (!plant) return <Small>{WORDS.notThere}</Small>;
  return (
    <View style={{ alignItems: 'flex-end' }}>
      <Figure>{plant.score === null ? WORDS.noVerdict : percent(plant.score)}</Figure>
      <Small style={{ textAlign: 'right' }}>{plant.place ?? WORDS.nowhere}</Small>
    </View>
  );
}
