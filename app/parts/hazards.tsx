/** Whom a plant can harm and how, with the usual caution: stands wherever a plant is chosen or placed. */
import { EATERS, type Eater, type Harm, type Hazard } from '@dulvan/core';
import { View } from 'react-native';
import { Small, Strong } from '../ui/type';
import { HAZARDS as WORDS } from './part-words';

export const EATER_WORD: Record<Eater, string> = {
  people: 'people',
  cats: 'cats',
  dogs: 'dogs',
  birds: 'birds',
  smallMammals: 'small mammals',
};
export const HARM_WORD: Record<Harm, string> = {
  'none-known': 'no harm known',
  irritant: 'irritates',
  toxic: 'toxic',
  unknown: 'not known, so treat it as harmful',
};

const HARMS: ReadonlySet<Harm> = new Set(['toxic', 'irritant']);

/** "people and cats: toxic; dogs: not known ..." */
function eatenWords(hazard: Hazard): string {
  return (['toxic', 'irritant', 'unknown'] as const)
    .map((harm) => ({ harm, whom: EATERS.filter((eater) => hazard[eater] === harm).map((eater) => EATER_WORD[eater]) }))
    .filter(({ whom }) => whom.length > 0)
    .map(({ harm, whom }) => `${whom.join(', ')}: ${HARM_WORD[harm]}`)
    .join('; ');
}

export function Hazards({ hazard }: { readonly hazard: Hazard }) {
  const eaten = eatenWords(hazard);
  const sap = [
    hazard.sapOnSkin === 'none-known' ? null : WORDS.onSkin(HARM_WORD[hazard.sapOnSkin]),
    hazard.sapInEyes === 'none-known' ? null : WORDS.inEyes(HARM_WORD[hazard.sapInEyes]),
  ].filter((words) => words !== null);
  if (!eaten && sap.length === 0 && hazard.spines === 'none') {
    return <Small>{WORDS.noHarmKnown}</Small>;
  }
  if (sap.length === 0 && hazard.spines === 'none' && !EATERS.some((eater) => HARMS.has(hazard[eater]))) {
    const unknown = EATERS.filter((eater) => hazard[eater] === 'unknown').map((eater) => EATER_WORD[eater]);
    return <Small>{WORDS.notAllKnown(unknown.join(', '))}</Small>;
  }
  return (
    <View>
      <Strong>{WORDS.withCare}</Strong>
      {eaten ? <Small>{WORDS.eaten(eaten)}</Small> : null}
      {sap.length > 0 ? <Small>{WORDS.sap(sap.join('; '))}</Small> : null}
      {hazard.spines === 'none' ? null : <Small>{hazard.spines === 'many' ? WORDS.spines : WORDS.someSpines}</Small>}
      <Small>{WORDS.whomToAsk}</Small>
    </View>
  );
}
