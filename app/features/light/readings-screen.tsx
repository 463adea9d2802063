/**
 * Every reading taken: what it showed, what was computed, whether it stands out; any can be withdrawn or counted
 * again.
 */
import { patch, type ComparedReading, type HomeFacts, type Reading } from '@dulvan/core';
import { FlatList, View } from 'react-native';
import { useVerdicts } from '../../state/verdicts';
import { useFacts, useHome } from '../../state/home';
import { dateAt } from '../../state/year';
import { Button, TextLink } from '../../ui/button';
import { SPACE } from '../../ui/theme';
import { Body, Small, Strong, Title } from '../../ui/type';
import { useInk, useIsWide } from '../../ui/use-ink';
import { momentWords } from '../../parts/moments';
import { ageOf, count, spotPlace } from '../../parts/words';
import { READING_UNIT_WORD, SKY_WORD } from './reading-words';
import { READINGS_SCREEN as WORDS } from './light-words';

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
          <TextLink href="/place">{WORDS.place}</TextLink>
          <Title>{WORDS.readingsOfLightMeter}</Title>
          <Body>
            {WORDS.howTheyCount(
              count(readings.filter((reading) => reading.withdrawnOn === null).length, 'reading'),
              readings.length === 1 ? 'counts' : 'count',
            )}
          </Body>
        </View>
      }
      ListEmptyComponent={<Body>{WORDS.noneYet}</Body>}
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

/** What a reading was taken under: sky, lamps, curtains, and what the meter read outdoors. */
function circumstances({ sky, lamps, curtains, outdoorValue }: Reading): string {
  const inside = sky === 'dark' || sky === 'month' ? [] : [WORDS.lamps(lamps), WORDS.curtains(curtains)];
  const outside = outdoorValue === null ? [] : [WORDS.outdoors(outdoorValue)];
  return [SKY_WORD[sky].toLowerCase(), ...inside, ...outside].join(', ');
}

function ReadingRow({ facts, reading, compared, standsOut }: RowGiven) {
  const { line, danger } = useInk();
  const change = useHome((state) => state.change);
  const withdrawn = reading.withdrawnOn !== null;
  const when = momentWords(reading.atMs, facts.home);
  const what = `${reading.value} ${READING_UNIT_WORD[reading.unit]}`;
  const set = (withdrawnOn: string | null) =>
    void change(
      WORDS.summary(withdrawnOn ? WORDS.withdrew : WORDS.countsAgain, what, spotPlace(facts, reading.spotId)),
      [patch('readings', reading.id, { withdrawnOn })],
    );
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
        <Small>{`${when}, ${ageOf(reading.atMs)}; ${circumstances(reading)}`}</Small>
        {withdrawn ? (
          <Small>{WORDS.withdrawnOn(reading.withdrawnOn)}</Small>
        ) : compared ? (
          <Body>
            {WORDS.timesComputed(
              (compared.measuredPpfd / compared.computedPpfd).toFixed(2),
              compared.of === 'lamps' ? WORDS.lampLight : 'daylight',
            )}
          </Body>
        ) : (
          <Small>{WORDS.notUsedDark}</Small>
        )}
        {standsOut === 'yes' && !withdrawn ? <Small style={{ color: danger }}>{WORDS.standsOut}</Small> : null}
      </View>
      {withdrawn ? (
        <Button label={WORDS.countThisAgain(what)} onPress={() => set(null)}>
          {WORDS.countAgain}
        </Button>
      ) : (
        <Button label={WORDS.withdrawThis(what)} onPress={() => set(dateAt(facts, Date.now()))}>
          {WORDS.withdraw}
        </Button>
      )}
    </View>
  );
}
