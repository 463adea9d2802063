/** From a figure to what it was made from: inputs, method in words, assumptions, how far it may be off. */
import { knowledge } from '@dulvan/catalogue';
import { DAY_THRESHOLD_PPFD, PAR_SHARE_OF_BROADBAND, UMOL_PER_JOULE_PAR, type HomeFacts } from '@dulvan/core';
import { View } from 'react-native';
import { shownValue, useLosses } from '../../state/questions';
import { usePlantAnswer, useSpotAnswer } from '../../state/verdicts';
import { Pending } from '../../parts/pending';
import { useFacts } from '../../state/home';
import { useUnits, type Units } from '../../state/settings';
import { useWhen } from '../../state/year';
import { TextLink } from '../../ui/button';
import { Page } from '../../ui/page';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Title } from '../../ui/type';
import { mol, plantName, spotPlace } from '../../parts/words';
import { ReserveCurve } from '../../parts/reserve-curve';
import { monthName } from '../../ui/months';
import { NotHere } from '../../parts/not-here';
import { explainVerdict } from './explain-verdict';
import { explain, type Figure as FigureKey } from './explain';
import type { Explanation } from './explanation';
import { WHY_SCREEN as WORDS } from './why-words';

interface Given {
  readonly figure: string;
  readonly spot: string | null;
  readonly plant: string | null;
  readonly month: number;
}

export function WhyScreen({ figure, spot, plant, month }: Given) {
  const facts = useFacts();
  const units = useUnits();
  if (!facts || !(month >= 1 && month <= 12)) return <NotHere what="number" back="/" />;
  if (figure === 'fit' && plant) return <WhyFit facts={facts} plantId={plant} month={month} units={units} />;
  if (spot && FIGURES.has(figure))
    return <WhyFigure facts={facts} figure={figure as FigureKey} spotId={spot} month={month} units={units} />;
  return <NotHere what="number" back="/" />;
}

const FIGURES: ReadonlySet<string> = new Set(['dli', 'peak', 'sun', 'day', 'air', 'vpd']);

function WhyFigure({
  facts,
  figure,
  spotId,
  month,
  units,
}: {
  readonly facts: HomeFacts;
  readonly figure: FigureKey;
  readonly spotId: string;
  readonly month: number;
  readonly units: Units;
}) {
  const answer = useSpotAnswer(spotId);
  if (!facts.spots.some((candidate) => candidate.id === spotId)) return <NotHere what="spot" back="/rooms" />;
  if (!answer)
    return (
      <Page>
        <Small>{WORDS.working}</Small>
      </Page>
    );
  const explanation = explain(
    { facts, spotId, answer, month, units, climate: knowledge.climate(facts.home.climateId) },
    figure,
  );
  return (
    <Page>
      <TextLink href={{ pathname: '/spots/[spotId]', params: { spotId } }}>{spotPlace(facts, spotId)}</TextLink>
      <Explained explanation={explanation} month={month} />
      {figure === 'dli' ? <Lost facts={facts} spotId={spotId} month={month} /> : null}
    </Page>
  );
}

/** What straight daylight loses between open windows and the leaf. */
function Lost({
  facts,
  spotId,
  month,
}: {
  readonly facts: HomeFacts;
  readonly spotId: string;
  readonly month: number;
}) {
  const asked = useLosses(facts, spotId);
  const losses = shownValue(asked);
  if (!losses) return <Pending asked={asked} words={WORDS.workingOutLosses} />;
  const { outside, glass, shade, curtain, arrives } = losses;
  const all = [outside, glass, shade, curtain, arrives].reduce((sum, part) => sum + part[month - 1]!, 0);
  const pair = (name: string, part: readonly number[]): readonly [string, string] => [
    name,
    `${mol(part[month - 1]!)} mol${all > 0 ? `, ${Math.round((part[month - 1]! / all) * 100)} %` : ''}`,
  ];
  return (
    <>
      <NamesAndValues
        heading={WORDS.lostOnTheWay}
        pairs={[
          pair(WORDS.lostOutside, outside),
          pair(WORDS.lostInOpening, glass),
          pair(WORDS.lostInside, shade),
          pair(WORDS.lostToCurtains, curtain),
          pair(WORDS.arrivesStraight, arrives),
        ]}
      />
      <Small>{WORDS.aboutLosses}</Small>
    </>
  );
}

function Explained({ explanation, month }: { readonly explanation: Explanation; readonly month: number }) {
  const { title, value, parts, inputs, method, assumptions, doubt } = explanation;
  return (
    <>
      <View>
        <Small>{monthName(month)}</Small>
        <Title>{`${title}: ${value}`}</Title>
      </View>
      {parts.length > 0 ? <NamesAndValues heading={WORDS.madeOf} pairs={parts} /> : null}
      <NamesAndValues heading={WORDS.fromTheseFacts} pairs={inputs} />
      <Lines heading={WORDS.how} lines={method} />
      <Lines heading={WORDS.assumed} lines={assumptions} />
      <Lines heading={WORDS.howFarItMay} lines={[doubt]} />
    </>
  );
}

/** Names and their values. */
type Pairs = readonly (readonly [string, string])[];

function NamesAndValues({ heading, pairs }: { readonly heading: string; readonly pairs: Pairs }) {
  return (
    <View style={{ gap: 2 }}>
      <Heading>{heading}</Heading>
      <Table
        name={heading}
        columns={columnsFor(pairs)}
        rows={pairs.map(([name, value]) => ({ key: name, cells: [name, value] }))}
      />
    </View>
  );
}

/** No column is narrower than this part of the table. */
const LEAST_PART = 1 / 4;

/** Columns as wide as the longest text in each asks for. */
function columnsFor(pairs: Pairs) {
  const [names, values] = [0, 1].map((i) => Math.max(1, ...pairs.map((pair) => pair[i]!.length))) as [number, number];
  const least = (names + values) * LEAST_PART;
  return [{ share: Math.max(names, least) }, { share: Math.max(values, least), align: 'right' }] as const;
}

function Lines({ heading, lines }: { readonly heading: string; readonly lines: readonly string[] }) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Heading>{heading}</Heading>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
    </View>
  );
}

function WhyFit({
  facts,
  plantId,
  month,
  units,
}: {
  readonly facts: HomeFacts;
  readonly plantId: string;
  readonly month: number;
  readonly units: Units;
}) {
  const answer = usePlantAnswer(plantId);
  const plant = facts.plants.find((candidate) => candidate.id === plantId);
  const here = useSpotAnswer(plant?.spotId ?? null);
  const when = useWhen(facts);
  if (!plant) return <NotHere what="plant" back="/plants" />;
  const fit = answer?.fit;
  if (!fit)
    return (
      <Page>
        <Small>{WORDS.working}</Small>
      </Page>
    );
  return (
    <Page>
      <TextLink href={{ pathname: '/plants/[plantId]', params: { plantId } }}>{plantName(facts, plant)}</TextLink>
      <Explained
        month={month}
        explanation={explainVerdict({ facts, plant, answer, fit, month, units, here: here?.conditions ?? [] })}
      />
      {here ? (
        <ReserveCurve
          targets={answer.targets}
          conditions={here.conditions}
          month={when.month}
          left={answer.reserveLeft}
        />
      ) : null}
      <Small>
        {WORDS.parShare(PAR_SHARE_OF_BROADBAND)}
        {WORDS.molAJoule(UMOL_PER_JOULE_PAR, DAY_THRESHOLD_PPFD)}
      </Small>
    </Page>
  );
}
