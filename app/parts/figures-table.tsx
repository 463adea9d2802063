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

export function FiguresTable({ known, taxonId, plantId, name }: Given) {
  const change = useHome((state) => state.change);
  const units = useUnits();
  const [open, setOpen] = useState<Figure | null>(null);
  const ownOf = (key: Figure) =>
    known.corrections.find(
      (correction) => correction.figure === key && correction.taxonId === taxonId && correction.plantId === plantId,
    );
  const inheritedOf = (key: Figure) =>
    known.corrections.find((correction) => correction.figure === key && correction.plantId !== plantId);
  return (
    <View role="table" aria-label={`Figures of ${name}`}>
      {FIGURE_KEYS.map((key) => {
        const own = ownOf(key);
        const inherited = inheritedOf(key);
        const shownNow = own?.value ?? inherited?.value ?? figureOf(known.before, key);
        const whose = own ? 'yours' : inherited ? 'yours for the whole taxon' : null;
        const { label } = FIGURES[key];
        return (
          <View key={key} role="row" style={{ paddingVertical: SPACE.xs, gap: 2 }}>
            <View style={{ flexDirection: 'row', gap: SPACE.s, alignItems: 'center' }}>
              <View role="rowheader" style={{ flex: 1 }}>
                <Body>{label}</Body>
              </View>
              <View role="cell" style={{ alignItems: 'flex-end' }}>
                <Body style={{ fontVariant: ['tabular-nums'] }}>{figureWords(key, shownNow, units)}</Body>
                <Small>
                  {whose
                    ? `${whose}; before ${figureWords(key, figureOf(known.before, key), units)}`
                    : sureOf(known.before, key)}
                </Small>
              </View>
              <View role="cell">
                <Button label={`Correct ${label}`} onPress={() => setOpen(open === key ? null : key)}>
                  {open === key ? 'Close' : 'Correct'}
                </Button>
              </View>
            </View>
            {own ? (
              <Row>
                <Small>{`“${own.reason}”, ${own.on}`}</Small>
                <Button
                  label={`Withdraw the correction of ${label}`}
                  onPress={() =>
                    void change(`Withdrew a correction of ${name}: ${label}`, [drop('corrections', own.id)])
                  }
                >
                  Withdraw
                </Button>
              </Row>
            ) : null}
            {open === key ? (
              <CorrectionForm
                known={known}
                figure={key}
                before={own ?? null}
                taxonId={taxonId}
                plantId={plantId}
                name={name}
                onDone={() => setOpen(null)}
              />
            ) : null}
          </View>
        );
      })}
    </View>
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

function CorrectionForm({ known, figure, before, taxonId, plantId, name, onDone }: FormGiven) {
  const { danger } = useInk();
  const home = useHome((state) => state.facts?.home);
  const attempt = useHome((state) => state.attempt);
  const draftKey = `correction/${plantId ?? taxonId}/${figure}`;
  const draft = useDrafts((state) => state.drafts[draftKey]) ?? {};
  const { put: keepDraft, drop: dropDraft } = useDrafts.getState();
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const units = useUnits();
  const { unit, show, read } = scaleOf(figure, units);
  const { from, to } = FIGURES[figure];
  const rangeWords = `A number from ${Number(show(from).toFixed(1))} to ${Number(show(to).toFixed(1))} ${unit}.`;
  const shownValue = draft.value ?? (before ? String(Number(show(before.value).toFixed(2))) : '');
  const reason = draft.reason ?? before?.reason ?? '';
  const save = async () => {
    if (!home) return;
    const on = todayAt(home.timeZone);
    const parsed = correctionSchema.safeParse({
      id: before?.id ?? newId(),
      homeId: home.id,
      taxonId,
      plantId,
      figure,
      value: read(typedNumber(shownValue)),
      reason,
      on,
    });
    if (!parsed.success) {
      setErrors(
        Object.fromEntries(
          parsed.error.issues.map((issue) => [
            String(issue.path[0]),
            issue.path[0] === 'value' ? rangeWords : issue.message,
          ]),
        ),
      );
      return;
    }
    const crossed = wrongOrder(withFigure(known.taxon, figure, parsed.data.value));
    if (crossed) {
      const other = crossed.lower === figure ? crossed.upper : crossed.lower;
      setErrors({
        value: `It would cross “${FIGURES[other].label}”, which stands at ${figureWords(other, figureOf(known.taxon, other), units)}. Correct that one first.`,
      });
      return;
    }
    const refusal = await attempt(`Corrected ${name}: ${FIGURES[figure].label}`, [put('corrections', parsed.data)]);
    if (refusal) {
      setErrors({ value: refusal.message });
      return;
    }
    dropDraft(draftKey);
    onDone();
  };
  return (
    <View style={{ gap: SPACE.s, paddingVertical: SPACE.s }}>
      <Field
        label="Your figure"
        kind="number"
        unit={unit}
        value={shownValue}
        onValue={(value) => keepDraft(draftKey, { ...draft, value })}
        error={errors.value}
        help={rangeWords}
      />
      <Field
        label="Why"
        value={reason}
        onValue={(text) => keepDraft(draftKey, { ...draft, reason: text })}
        error={errors.reason}
        help="What you saw or measured; it stands beside the figure."
      />
      {errors.figure ? <Small style={{ color: danger }}>✕ {errors.figure}</Small> : null}
      <Row>
        <Button kind="main" onPress={() => void save()}>
          Keep this figure
        </Button>
        <Button
          onPress={() => {
            dropDraft(draftKey);
            onDone();
          }}
        >
          Leave it
        </Button>
      </Row>
    </View>
  );
}
