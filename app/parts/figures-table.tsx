/**
 * Every figure of a taxon or of one plant, with how sure it is; each can be corrected with a reason, and the
 * correction withdrawn.
 */
import { correctionSchema } from '@dulvan/contract';
import {
  FIGURES,
  FIGURE_KEYS,
  celsiusToFahrenheit,
  drop,
  fahrenheitToCelsius,
  figureOf,
  put,
  withFigure,
  wrongOrder,
  type Correction,
  type Figure,
  type Known,
  type Taxon,
} from '@dulvan/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useHome } from '../state/home';
import { useUnits, type Units } from '../state/settings';
import { useNow } from '../state/use-now';
import { dateAt } from '../state/year';
import { Button } from '../ui/button';
import { Row } from '../ui/page';
import { SPACE } from '../ui/theme';
import { Body, Small } from '../ui/type';
import { CM_PER_INCH, SURE_WORD } from './words';
import { newId } from './new-id';
import { FormField } from './form-field';
import { Refused } from './refused';
import { typedNumber } from './typed-number';
import { tellIssues, typedSchema } from './typed-schema';
import { useDraftForm } from './use-draft-form';
import { FIGURES_TABLE as WORDS } from './part-words';

/** How a figure is shown and typed in the grower's units: shares as per cent, warmth as they read it. */
function scaleOf(key: Figure, units: Units) {
  const { unit } = FIGURES[key];
  const fahrenheit = units.temperature === 'F';
  if (unit === 'share')
    return { unit: '%', show: (value: number) => value * 100, read: (shown: number) => shown / 100 };
  if (unit === '°C' && fahrenheit) return { unit: '°F', show: celsiusToFahrenheit, read: fahrenheitToCelsius };
  if (unit === 'K' && fahrenheit)
    return { unit: '°F', show: (value: number) => value * 1.8, read: (shown: number) => shown / 1.8 };
  if (unit === 'cm' && units.length === 'in')
    return { unit: 'in', show: (value: number) => value / CM_PER_INCH, read: (shown: number) => shown * CM_PER_INCH };
  return { unit, show: (value: number) => value, read: (shown: number) => shown };
}

const tidy = (value: number) => Number(value.toFixed(Math.abs(value) < 10 ? 1 : 0));

/** A figure with honest digits and its unit. */
export function figureWords(key: Figure, value: number, units: Units): string {
  const { unit, show } = scaleOf(key, units);
  return `${tidy(show(value))} ${unit}`;
}

function sureOf(taxon: Taxon, key: Figure): string {
  const [block] = key.split('.') as ['light' | 'day' | 'warmth' | 'moisture' | 'rest' | 'care'];
  return SURE_WORD[taxon[block].sure];
}

interface Given {
  readonly known: Known;
  /** What is corrected: one of the two. */
  readonly taxonId: string | null;
  readonly plantId: string | null;
  readonly name: string;
}

export function FiguresTable(given: Given) {
  const [open, setOpen] = useState<Figure | null>(null);
  return (
    <View role="table" aria-label={WORDS.figuresOf(given.name)}>
      {FIGURE_KEYS.map((key) => (
        <FigureRow key={key} {...given} figure={key} open={open === key ? 'yes' : 'no'} onOpen={setOpen} />
      ))}
    </View>
  );
}

interface RowGiven extends Given {
  readonly figure: Figure;
  readonly open: 'no' | 'yes';
  readonly onOpen: (figure: Figure | null) => void;
}

function FigureRow({ figure, open, onOpen, ...given }: RowGiven) {
  const units = useUnits();
  const { known, taxonId, plantId } = given;
  const ofFigure = known.corrections.filter((correction) => correction.figure === figure);
  const own = ofFigure.find((correction) => correction.taxonId === taxonId && correction.plantId === plantId);
  const inherited = ofFigure.find((correction) => correction.plantId !== plantId);
  const before = figureOf(known.before, figure);
  const whose = own ? 'yours' : inherited ? WORDS.yoursForTaxon : null;
  const { label } = FIGURES[figure];
  return (
    <View role="row" style={{ paddingVertical: SPACE.xs, gap: 2 }}>
      <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
        <View role="rowheader" style={{ flex: 1 }}>
          <Body>{label}</Body>
        </View>
        <View role="cell" style={{ alignItems: 'flex-end' }}>
          <Body style={{ fontVariant: ['tabular-nums'] }}>
            {figureWords(figure, own?.value ?? inherited?.value ?? before, units)}
          </Body>
          <Small>
            {whose ? WORDS.beforeIt(whose, figureWords(figure, before, units)) : sureOf(known.before, figure)}
          </Small>
        </View>
        <View role="cell">
          <Button label={WORDS.correctFigure(label)} onPress={() => onOpen(open === 'yes' ? null : figure)}>
            {open === 'yes' ? WORDS.close : WORDS.correct}
          </Button>
        </View>
      </View>
      {own ? <OwnFigure own={own} name={given.name} label={label} /> : null}
      {open === 'yes' ? (
        <CorrectionForm {...given} figure={figure} before={own ?? null} onDone={() => onOpen(null)} />
      ) : null}
    </View>
  );
}

interface OwnGiven {
  readonly own: Correction;
  readonly name: string;
  readonly label: string;
}

function OwnFigure({ own: { id, reason, on }, name, label }: OwnGiven) {
  const change = useHome((state) => state.change);
  const withdraw = () => void change(WORDS.withdrewCorrectionOf(name, label), [drop('corrections', id)]);
  return (
    <Row>
      <Small>{`“${reason}”, ${on}`}</Small>
      <Button label={WORDS.withdrawCorrectionOf(label)} onPress={withdraw}>
        {WORDS.withdraw}
      </Button>
    </Row>
  );
}

interface FormGiven extends Given {
  readonly figure: Figure;
  readonly before: Correction | null;
  readonly onDone: () => void;
}

/** What is typed of a correction, kept until it is stored; what is wrong stands beside its field. */
function useCorrection({ known, figure, before, taxonId, plantId, name, onDone }: FormGiven) {
  const facts = useHome((state) => state.facts);
  const attempt = useHome((state) => state.attempt);
  const now = useNow();
  const units = useUnits();
  const [id] = useState(() => before?.id ?? newId());
  const { unit, show, read } = scaleOf(figure, units);
  const { from, to, label } = FIGURES[figure];
  const range = WORDS.range(Number(show(from).toFixed(1)), Number(show(to).toFixed(1)), unit);
  const stored = {
    value: before ? String(Number(show(before.value).toFixed(2))) : '',
    reason: before?.reason ?? '',
  };
  const schema = typedSchema<Correction>(({ value = '', reason = '' }, tell) => {
    const about = { id, homeId: facts?.home.id, taxonId, plantId, figure };
    const given = { ...about, value: read(typedNumber(value)), reason, on: facts ? dateAt(facts, now) : '' };
    const parsed = correctionSchema.safeParse(given);
    if (!parsed.success)
      return tellIssues(parsed.error.issues, (field, message) => tell(field, field === 'value' ? range : message));
    const crossed = wrongOrder(withFigure(known.taxon, figure, parsed.data.value));
    if (!crossed) return parsed.data;
    const other = crossed.lower === figure ? crossed.upper : crossed.lower;
    const standsAt = figureWords(other, figureOf(known.taxon, other), units);
    tell('value', WORDS.wouldCross(FIGURES[other].label, standsAt));
    return null;
  });
  const form = useDraftForm({ draftKey: `correction/${plantId ?? taxonId}/${figure}`, stored, schema });
  const save = async () => {
    if (await form.submit((given) => attempt(WORDS.corrected(name, label), [put('corrections', given)]))) onDone();
  };
  const leave = () => {
    form.startOver();
    onDone();
  };
  return { unit, range, form, save, leave };
}

function CorrectionForm(given: FormGiven) {
  const { unit, range, form, save, leave } = useCorrection(given);
  return (
    <View style={{ gap: SPACE.s, paddingVertical: SPACE.s }}>
      <FormField form={form} name="value" label={WORDS.yourFigure} kind="number" unit={unit} help={range} />
      <FormField form={form} name="reason" label={WORDS.why} help={WORDS.reasonHelp} />
      <Refused form={form} />
      <Row>
        <Button kind="main" onPress={() => void save()}>
          {WORDS.keepThisFigure}
        </Button>
        <Button onPress={leave}>{WORDS.leaveIt}</Button>
      </Row>
    </View>
  );
}
