/** Several ways to the light that is wanted over a tier, the cheapest to run first, with the lamp to buy. */
import { planSettingsOf, type HomeFacts, type LightWay, type LightWaysParams } from '@dulvan/core';
import { View } from 'react-native';
import { Pending } from '../../parts/pending';
import { hours, length, mol } from '../../parts/words';
import { shownValue, useLightWays } from '../../state/questions';
import { useUnits, type Units } from '../../state/settings';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small, Strong } from '../../ui/type';
import { LIGHT_WAYS as WORDS } from './light-words';

interface Given {
  readonly facts: HomeFacts;
  readonly wish: Omit<LightWaysParams, 'year'>;
}

export function LightWays({ facts, wish }: Given) {
  const asked = useLightWays(facts, wish);
  const ways = shownValue(asked);
  const lit = facts.lamps.some(({ tierId }) => tierId === wish.tierId) ? 'yes' : 'no';
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.heading}</Heading>
      <Pending asked={asked} />
      {ways?.length === 0 ? <Body>{WORDS.none}</Body> : null}
      {ways?.map((way) => (
        <OneWay key={way.what} facts={facts} way={way} lit={lit} />
      ))}
      {ways?.some(({ buy }) => buy !== null) ? <Small>{WORDS.caution}</Small> : null}
      {ways && ways.length > 0 ? <Small>{WORDS.method}</Small> : null}
    </View>
  );
}

interface WayGiven {
  readonly facts: HomeFacts;
  readonly way: LightWay;
  /** Whether lamps hang over the tier already. */
  readonly lit: 'yes' | 'no';
}

function OneWay({ facts, way, lit }: WayGiven) {
  const units = useUnits();
  const { what, least, uniformity, kWhYear, costYear, isEnough } = way;
  const { currency } = planSettingsOf(facts);
  const words = lit === 'yes' ? WORDS.ways : { ...WORDS.ways, ...WORDS.unlitWays };
  const cost = costYear === null ? '' : `, ${costYear.toFixed(0)} ${currency}`.trimEnd();
  return (
    <View style={{ gap: 2 }}>
      <Strong>{`${isEnough ? '✓' : '✕'} ${words[what]}`}</Strong>
      <Body>{howWords(way, units)}</Body>
      {lit === 'yes' && what === 'buy' ? <Small>{WORDS.othersRunOn}</Small> : null}
      <Small>
        {[
          WORDS.dimmest(mol(least)),
          ...(uniformity === null ? [] : [WORDS.even(uniformity.toFixed(2))]),
          WORDS.energy(Math.round(kWhYear), cost),
        ].join(' · ')}
      </Small>
      {isEnough ? null : <Small>{WORDS.notEnough}</Small>}
    </View>
  );
}

/** "2 bars of 60 µmol/s (25 W each, 90 cm long), 30 cm above the board, 14.0 h a day". */
function howWords({ buy, aboveM, hours: ofDay }: LightWay, units: Units): string {
  const parts = [
    ...(buy ? [WORDS.lamp(WORDS.forms[buy.form](buy.count), buy.ppf, buy.watts, length(buy.lengthM, units))] : []),
    ...(aboveM === null ? [] : [WORDS.above(length(aboveM, units))]),
    ...(aboveM === null ? [] : [ofDay < 0.05 ? WORDS.noHours : WORDS.hoursADay(hours(ofDay))]),
  ];
  return parts.length > 0 ? parts.join(', ') : WORDS.daylightAlone;
}
