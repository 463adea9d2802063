/** Whom a plant can harm and how, with the usual caution: stands wherever a plant is chosen or placed. */
import { EATERS, type Eater, type Harm, type Hazard } from '@dulvan/core';
import { View } from 'react-native';
import { Small, Strong } from '../ui/type';

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
    hazard.sapOnSkin === 'none-known' ? null : `on skin ${HARM_WORD[hazard.sapOnSkin]}`,
    hazard.sapInEyes === 'none-known' ? null : `in eyes ${HARM_WORD[hazard.sapInEyes]}`,
  ].filter((words) => words !== null);
  if (!eaten && sap.length === 0 && hazard.spines === 'none') {
    return (
      <Small>No harm to people, cats, dogs, birds or small mammals is known of it; that is no leave to eat it.</Small>
    );
  }
  return (
    <View>
      <Strong>⚠ With care</Strong>
      {eaten ? <Small>{`Eaten: ${eaten}.`}</Small> : null}
      {sap.length > 0 ? (
        <Small>{`Sap: ${sap.join('; ')}. Wear gloves, and mind your eyes when you cut it.`}</Small>
      ) : null}
      {hazard.spines === 'none' ? null : (
        <Small>
          {hazard.spines === 'many'
            ? 'Spines: keep it out of ways and reach, and move it with tongs or a folded cloth.'
            : 'Some spines or thorns: mind where it stands.'}
        </Small>
      )}
      <Small>
        If someone has eaten it or got it in an eye, ask a doctor, a vet or a poison line at once, and take a piece of
        the plant along.
      </Small>
    </View>
  );
}
