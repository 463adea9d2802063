/** Every figure of a taxon or of one plant, with how sure it is; each can be corrected with a reason, and the correction withdrawn. */
import { correctionSchema } from '@dulvan/contract';
import {
  FIGURES,
  FIGURE_KEYS,
  celsiusToFahrenheit,
  civilDateOf,
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
import { useDrafts } from '../state/drafts';
import { useHome } from '../state/home';
import { useUnits, type Units } from '../state/settings';
import { Button } from '../ui/button';
import { Field } from '../ui/field';
import { Row } from '../ui/page';
import { SPACE } from '../ui/theme';
import { Body, Small } from '../ui/type';
import { useInk } from '../ui/use-ink';
import { CM_PER_INCH, SURE_WORD } from './words';
import { newId } from './new-id';
import { typedNumber } from './typed-number';

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
    <View role="table" aria-label={`Figures of ${given.name}`}>
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
  const whose = own ? 'yours' : inherited ? 'yours for the whole taxon' : null;
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
            {whose ? `${whose}; before ${figureWords(figure, before, units)}` : sureOf(known.before, figure)}
          </Small>
        </View>
        <View role="cell">
          <Button label={`Correct ${label}`} onPress={() => onOpen(open === 'yes' ? null : figure)}>
            {open === 'yes' ? 'Close' : 'Correct'}
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
  const withdraw = () => void change(`Withdrew a correction of ${name}: ${label}`, [drop('corrections', id)]);
  return (
    <Row>
      <Small>{`“${reason}”, ${on}`}</Small>
      <Button label={`Withdraw the correction of ${label}`} onPress={withdraw}>
        Withdraw
      </Button>
    </Row>
  );
}

/** Today's date in the home's own calendar, YYYY-MM-DD. */
function todayAt(timeZone: string): string {
  const { year, month, day } = civilDateOf(Date.now(), timeZone);
  return `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}

interface FormGiven extends Given {
  readonly figure: Figure;
  readonly before: Correction | null;
  readonly onDone: () => void;
}

/** What is typed of a correction, kept until it is stored; what is wrong stands beside its field. */
function useCorrection({ known, figure, before, taxonId, plantId, name, onDone }: FormGiven) {
  const home = useHome((state) => state.facts?.home);
  const attempt = useHome((state) => state.attempt);
  const units = useUnits();
  const draftKey = `correction/${plantId ?? taxonId}/${figure}`;
  const draft = useDrafts((state) => state.drafts[draftKey]);
  const { put: keepDraft, drop: dropDraft } = useDrafts.getState();
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const { unit, show, read } = scaleOf(figure, units);
  const { from, to, label } = FIGURES[figure];
  const range = `A number from ${Number(show(from).toFixed(1))} to ${Number(show(to).toFixed(1))} ${unit}.`;
  const value = draft?.value ?? (before ? String(Number(show(before.value).toFixed(2))) : '');
  const reason = draft?.reason ?? before?.reason ?? '';
  const leave = () => {
    dropDraft(draftKey);
    onDone();
  };
  const save = async () => {
    if (!home) return;
    const about = { id: before?.id ?? newId(), homeId: home.id, taxonId, plantId, figure };
    const given = { ...about, value: read(typedNumber(value)), reason, on: todayAt(home.timeZone) };
    const parsed = correctionSchema.safeParse(given);
    if (!parsed.success) {
      const issues = parsed.error.issues.map(({ path: [field], message }) => [String(field), message] as const);
      return setErrors(Object.fromEntries(issues.map(([field, told]) => [field, field === 'value' ? range : told])));
    }
    const crossed = wrongOrder(withFigure(known.taxon, figure, parsed.data.value));
    if (crossed) {
      const other = crossed.lower === figure ? crossed.upper : crossed.lower;
      const standsAt = figureWords(other, figureOf(known.taxon, other), units);
      const told = `It would cross “${FIGURES[other].label}”, which stands at ${standsAt}. Correct that one first.`;
      return setErrors({ value: told });
    }
    const refusal = await attempt(`Corrected ${name}: ${label}`, [put('corrections', parsed.data)]);
    if (refusal) setErrors({ value: refusal.message });
    else leave();
  };
  const set = (field: 'value' | 'reason') => (text: string) => keepDraft(draftKey, { ...draft, [field]: text });
  return { unit, range, value, reason, set, errors, save, leave };
}

function CorrectionForm(given: FormGiven) {
  const { danger } = useInk();
  const { unit, range, value, reason, set, errors, save, leave } = useCorrection(given);
  return (
    <View style={{ gap: SPACE.s, paddingVertical: SPACE.s }}>
      <Field
        label="Your figure"
        kind="number"
        unit={unit}
        value={value}
        onValue={set('value')}
        error={errors.value}
        help={range}
      />
      <Field
        label="Why"
        value={reason}
        onValue={set('reason')}
        error={errors.reason}
        help="What you saw or measured; it stands beside the figure."
      />
      {errors.figure ? <Small style={{ color: danger }}>✕ {errors.figure}</Small> : null}
      <Row>
        <Button kind="main" onPress={() => void save()}>
          Keep this figure
        </Button>
        <Button onPress={leave}>Leave it</Button>
      </Row>
    </View>
  );
}
