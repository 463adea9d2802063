/** What a logger of light measured month by month beside what is computed, and the way to let it correct its spot. */
import {
  MOL_PER_UMOL_HOUR,
  LUX_PER_PPFD,
  correctsLight,
  lightReadingsFrom,
  type HomeFacts,
  type LoggedLight,
} from '@dulvan/core';
import { View } from 'react-native';
import { newId } from '../../parts/new-id';
import { Failed } from '../../parts/pending';
import { mol, spotPlace } from '../../parts/words';
import { useHome } from '../../state/home';
import { useLightMonths, type Logger } from '../../state/loggers';
import { useSpotAnswer } from '../../state/verdicts';
import { Button } from '../../ui/button';
import { monthName } from '../../ui/months';
import { Table } from '../../ui/table';
import { SPACE } from '../../ui/theme';
import { Body, Heading, Small } from '../../ui/type';
import { LIGHT_MONTHS as WORDS } from './loggers-words';

const HOURS_A_DAY = 24;

interface Given {
  readonly facts: HomeFacts;
  readonly logger: Logger;
}

export function LightMonths({ facts, logger }: Given) {
  const series = logger.series.ppfd ?? logger.series.illuminance;
  const asked = useLightMonths(facts.home, series);
  const computed = useSpotAnswer(logger.spotId ?? '')?.conditions;
  const change = useHome((state) => state.change);
  if (!series || asked.state === 'working') return null;
  if (asked.state === 'failed') return <Failed message={asked.message} onRetry={asked.retry} />;
  const unit = series.quantity === 'ppfd' ? 'ppfd' : 'lux';
  const dliOf = (mean: number) =>
    (unit === 'ppfd' ? mean : mean / LUX_PER_PPFD.daylight) * HOURS_A_DAY * MOL_PER_UMOL_HOUR;
  const months = asked.value;
  const { spotId } = logger;
  return (
    <View style={{ gap: SPACE.s }}>
      <Heading>{WORDS.title}</Heading>
      {months.length === 0 ? <Small>{WORDS.fewDays}</Small> : null}
      {months.length > 0 ? (
        <Table
          name={WORDS.title}
          lines="between"
          columns={[
            { name: WORDS.month },
            { name: WORDS.measured, align: 'right' },
            { name: WORDS.computed, align: 'right' },
          ]}
          rows={months.map(({ month, mean }) => ({
            key: String(month),
            cells: [monthName(month), mol(dliOf(mean)), computed ? mol(computed[month - 1]!.dli) : '…'],
          }))}
        />
      ) : null}
      {spotId === null ? <Small>{WORDS.hangAtSpot}</Small> : null}
      {spotId !== null && months.length > 0 ? (
        <Corrects
          isIn={correctsLight(facts, loggedOf(logger, spotId, unit), months) ? 'yes' : 'no'}
          place={spotPlace(facts, spotId)}
          onUse={() => {
            const logged = loggedOf(logger, spotId, unit);
            void change(WORDS.used(spotPlace(facts, spotId)), lightReadingsFrom(facts, logged, months, newId));
          }}
        />
      ) : null}
    </View>
  );
}

const loggedOf = ({ name }: Logger, spotId: string, unit: LoggedLight['unit']): LoggedLight => ({
  spotId,
  unit,
  note: WORDS.by(name),
});

interface CorrectsGiven {
  readonly isIn: 'yes' | 'no';
  readonly place: string;
  readonly onUse: () => void;
}

function Corrects({ isIn, place, onUse }: CorrectsGiven) {
  if (isIn === 'yes') return <Body>{WORDS.inUse(place)}</Body>;
  return (
    <>
      <Button kind="main" style={{ alignSelf: 'flex-start' }} onPress={onUse}>
        {WORDS.letItCorrect(place)}
      </Button>
      <Small>{WORDS.about}</Small>
    </>
  );
}
