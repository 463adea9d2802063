/** Taxa chosen by what they need: each need one choice. */
import { groups } from '@dulvan/catalogue';
import { EATERS } from '@dulvan/core';
import { View } from 'react-native';
import { EATER_WORD } from '../../parts/hazards';
import { Choices, ManyChoices, type ChoicesGiven } from '../../ui/choices';
import { Labelled } from '../../ui/labelled';
import { SPACE } from '../../ui/theme';
import { Strong } from '../../ui/type';
import { HEIGHT_OFFERS, HUMIDITY_OFFERS, LIGHT_OFFERS, NIGHT_OFFERS } from './need-filter';
import { NEEDS_FILTER as WORDS } from './catalogue-words';
import type { Needs } from './use-search';

const GROUPS = [{ value: 'any', word: 'All groups' }, ...groups.map(({ id, name }) => ({ value: id, word: name }))];

export function NeedsFilter({ needs: { draft, filter, set } }: { readonly needs: Needs }) {
  const need = (label: string, field: string, choices: ChoicesGiven['choices']) => (
    <Labelled label={label}>
      <Choices label={label} choices={choices} value={draft[field] ?? 'any'} onValue={(value) => set(field, value)} />
    </Labelled>
  );
  return (
    <View style={{ gap: SPACE.s }}>
      <Strong>{WORDS.thrivesWhereItGets}</Strong>
      {need(WORDS.lightOnOffer, 'light', LIGHT_OFFERS)}
      {need(WORDS.humidityOnOffer, 'humidity', HUMIDITY_OFFERS)}
      {need(WORDS.coldestNight, 'night', NIGHT_OFFERS)}
      {need(WORDS.fullGrownHeight, 'height', HEIGHT_OFFERS)}
      <Strong>{WORDS.noHarmKnownTo}</Strong>
      <ManyChoices
        label={WORDS.noHarmKnownTo}
        choices={EATERS.map((eater) => ({ value: eater, word: EATER_WORD[eater] }))}
        chosen={filter.harmless}
        onChosen={(chosen) => set('harmless', chosen.join(','))}
      />
      {need(WORDS.group, 'group', GROUPS)}
    </View>
  );
}
