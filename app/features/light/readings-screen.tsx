/** Every reading taken: what it showed, what was computed, whether it stands out; any can be withdrawn or counted again. */
import { patch, type ComparedReading, type HomeFacts, type Reading } from '@dulvan/core';
import { FlatList, View } from 'react-native';
import { useVerdicts } from '../../state/verdicts';
import { useFacts, useHome } from '../../state/home';
import { Button, TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useInk, useIsWide } from '../../ui/use-ink';
import { ageOf, count, spotPlace } from '../../parts/words';
import { READING_UNIT_WORD, SKY_WORD } from './reading-words';

export function ReadingsScreen() {
  const facts = useFacts();
  const wide = useIsWide();
  const { answers } = useVerdicts();
  if (!facts) return null;
  const readings = [...facts.readings].sort((p, q) => q.atMs - p.atMs);
  const compared = new Map(answers?.readings.map((entry) => [entry.reading.id, entry]));
  const outliers = new Set(
    answers?.spots.flatMap(({ calibration }) =>
      [calibration?.daylight, calibration?.lamps].flatMap(
        (one) =>
          one?.readings
            .filter((entry) => entry.outlier === 'yes' && entry.nearness === 1)
            .map((entry) => entry.readingId) ?? [],
      ),
    ),
  );
  return (
    <FlatList
      data={readings}
      keyExtractor={(reading) => reading.id}
      contentContainerStyle={{
        padding: wide ? SPACE.l : SPACE.m,
        paddingBottom: SPACE.xl * 2,
        gap: SPACE.s,
        maxWidth: 860,
        width: '100%',
      }}
      ListHeaderComponent={
        <View style={{ gap: SPACE.s }}>
          <TextLink href="/place">The place</TextLink>
          <Title>Readings of a light meter</Title>
          <Body>{`${count(readings.filter((reading) => reading.withdrawnOn === null).length, 'reading')} ${readings.length === 1 ? 'counts' : 'count'}. Readings of a spot are combined by least squares with their doubts, the model counting as one more; neighbours on the same stand count less. None is ever left out unless you withdraw it.`}</Body>
        </View>
      }
      ListEmptyComponent={
        <Body>None yet. Open a spot and take one: it takes twenty seconds, and beats any model.</Body>
      }
      renderItem={({ item }) => (
        <ReadingRow
          facts={facts}
          reading={item}
          compared={compared.get(item.id) ?? null}
          standsOut={outliers.has(item.id) ? 'yes' : 'no'}
        />
      )}
    />
  );
}

interface RowGiven {
  readonly facts: HomeFacts;
  readonly reading: Reading;
  readonly compared: ComparedReading | null;
  readonly standsOut: 'yes' | 'no';
}

function ReadingRow({ facts, reading, compared, standsOut }: RowGiven) {
  const { line, danger } = useInk();
  const change = useHome((state) => state.change);
  const withdrawn = reading.withdrawnOn !== null;
  const when = new Intl.DateTimeFormat('en-GB', {
    timeZone: facts.home.timeZone,
    dateStyle: 'medium',
    timeStyle: 'short',
  }).format(reading.atMs);
  const what = `${reading.value} ${READING_UNIT_WORD[reading.unit]}`;
  const set = (withdrawnOn: string | null) =>
    void change(`${withdrawnOn ? 'Withdrew' : 'Counts again'}: ${what} at ${spotPlace(facts, reading.spotId)}`, [
      patch('readings', reading.id, { withdrawnOn }),
    ]);
  return (
    <View
      style={{
        borderTopWidth: 1,
        borderColor: line,
        paddingVertical: SPACE.s,
        flexDirection: 'row',
        gap: SPACE.s,
        alignItems: 'center',
      }}
    >
      <View style={{ flex: 1, opacity: withdrawn ? 0.65 : 1 }}>
        <Strong>{`${what} · ${spotPlace(facts, reading.spotId)}`}</Strong>
        <Small>{`${when}, ${ageOf(reading.atMs)}; ${SKY_WORD[reading.sky].toLowerCase()}${reading.sky === 'dark' ? '' : `, lamps ${reading.lamps}, curtains ${reading.curtains}`}${reading.outdoorValue === null ? '' : `, outdoors ${reading.outdoorValue}`}`}</Small>
        {withdrawn ? (
          <Small>{`Withdrawn on ${reading.withdrawnOn}: it corrects nothing.`}</Small>
        ) : compared ? (
          <Body>{`${(compared.measuredPpfd / compared.computedPpfd).toFixed(2)} times the computed ${compared.of === 'lamps' ? 'lamp light' : 'daylight'}`}</Body>
        ) : (
          <Small>Corrects nothing: no such light is computed there.</Small>
        )}
        {standsOut === 'yes' && !withdrawn ? (
          <Small style={{ color: danger }}>
            ! It stands out from the others and from the model. Was it shaded, or the sky other than said?
          </Small>
        ) : null}
      </View>
      {withdrawn ? (
        <Button label={`Count ${what} again`} onPress={() => set(null)}>
          Count again
        </Button>
      ) : (
        <Button label={`Withdraw ${what}`} onPress={() => set(new Date().toISOString().slice(0, 10))}>
          Withdraw
        </Button>
      )}
    </View>
  );
}
