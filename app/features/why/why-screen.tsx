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
import { SPACE } from '../../ui/theme';
import { Body, Figure, Heading, Small, Title } from '../../ui/type';
import { mol, plantName, spotPlace } from '../../parts/words';
import { ReserveCurve } from '../../parts/reserve-curve';
import { monthName } from '../../ui/months';
import { NotHere } from '../../parts/not-here';
import { explainVerdict } from './explain-verdict';
import { explain, type Explanation, type Figure as FigureKey } from './explain';

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
        <Small>Working …</Small>
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
  if (!losses) return <Pending asked={asked} words="Working out what is lost on the way …" />;
  const { outside, glass, shade, curtain, arrives } = losses;
  const all = [outside, glass, shade, curtain, arrives].reduce((sum, part) => sum + part[month - 1]!, 0);
  const pair = (name: string, part: readonly number[]): readonly [string, string] => [
    name,
    `${mol(part[month - 1]!)} mol${all > 0 ? `, ${Math.round((part[month - 1]! / all) * 100)} %` : ''}`,
  ];
  return (
    <>
      <Pairs
        heading="Straight daylight, lost on the way"
        pairs={[
          pair('To houses, hills, trees and overhangs', outside),
          pair('To glass, frame, dirt, reveal and its cabinet’s shell', glass),
          pair('To boards, cupboards, cabinets and neighbours', shade),
          pair('To curtains, blinds and films', curtain),
          pair('Arrives straight', arrives),
        ]}
      />
      <Small>
        Worked out one after the other, from bare openings under an open sky; in another order the shares would differ a
        little. Readings are not counted here.
      </Small>
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
      {parts.length > 0 ? <Pairs heading="Made of" pairs={parts} /> : null}
      <Pairs heading="From these facts" pairs={inputs} />
      <Lines heading="How" lines={method} />
      <Lines heading="Assumed" lines={assumptions} />
      <Lines heading="How far it may be off" lines={[doubt]} />
    </>
  );
}

function Pairs({
  heading,
  pairs,
}: {
  readonly heading: string;
  readonly pairs: readonly (readonly [string, string])[];
}) {
  return (
    <View style={{ gap: 2 }}>
      <Heading>{heading}</Heading>
      <View role="table" aria-label={heading}>
        {pairs.map(([name, value]) => (
          <View role="row" key={name} style={{ flexDirection: 'row', gap: SPACE.s }}>
            <View role="rowheader" style={{ flex: 1 }}>
              <Body>{name}</Body>
            </View>
            <View role="cell" style={{ maxWidth: '62%' }}>
              <Figure style={{ textAlign: 'right' }}>{value}</Figure>
            </View>
          </View>
        ))}
      </View>
    </View>
  );
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
        <Small>Working …</Small>
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
        {`Daylight is turned to photons with ${PAR_SHARE_OF_BROADBAND} of its energy as PAR and `}
        {`${UMOL_PER_JOULE_PAR} µmol a joule; a leaf takes it for day above ${DAY_THRESHOLD_PPFD} µmol/m²s.`}
      </Small>
    </Page>
  );
}
