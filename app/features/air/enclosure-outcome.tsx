/** What an enclosure's air comes to, and how soon the sun overheats it. */
import type { EnclosureAnswer, Room } from '@dulvan/core';
import { View } from 'react-native';
import { degrees, hours } from '../../parts/words';
import { useUnits } from '../../state/settings';
import { Drawing } from '../../ui/drawing';
import { Table } from '../../ui/table';
import { Body, Small, Strong } from '../../ui/type';
import { AirDayDrawing, DAY_HEIGHT } from './air-day-drawing';
import { ENCLOSURE_SCREEN as WORDS } from './air-words';

interface OutcomeGiven {
  readonly answer: EnclosureAnswer;
  readonly room: Room;
  readonly highestC: number;
}

export function EnclosureOutcome({ answer, room, highestC }: OutcomeGiven) {
  const units = useUnits();
  const { dayC, nightC, dayRh, nightRh, vpdDay, settlesMin, clearHighC, overheatsMin, shellWetH } = answer;
  const day = { celsius: answer.celsius, rh: answer.rh, besideC: answer.roomC, spread: null };
  const tenth = (celsius: number) => degrees(Math.round(celsius * 10) / 10, units);
  const minutes = (value: number) => (value < 90 ? WORDS.minutes(`${Math.round(value)}`) : hours(value / 60));
  const rows = [
    [WORDS.warmth, `${tenth(dayC)} / ${tenth(nightC)}`],
    [WORDS.moisture, `${Math.round(dayRh)} / ${Math.round(nightRh)} %`],
    [WORDS.vpd, WORDS.kPa(vpdDay.toFixed(2))],
    [WORDS.settles, minutes(settlesMin)],
    [WORDS.shellWet, hours(shellWetH)],
    [WORDS.clearHigh, tenth(clearHighC)],
  ];
  return (
    <>
      <Drawing name={WORDS.pictureOf(room.name)} minHeight={DAY_HEIGHT} legend={<Small>{WORDS.legend}</Small>}>
        {(width) => <AirDayDrawing {...{ day, width, units }} told={WORDS.legend} />}
      </Drawing>
      {overheatsMin === null ? (
        <Body>{WORDS.staysCool(tenth(highestC))}</Body>
      ) : (
        <View role="alert">
          <Strong>{WORDS.overheats(minutes(overheatsMin), tenth(highestC))}</Strong>
        </View>
      )}
      <Table
        name={WORDS.title}
        columns={[{ share: 3 }, { share: 2, align: 'right' }]}
        rows={rows.map(([key, value]) => ({ key: key!, cells: [key, value] }))}
      />
      <Small>{WORDS.howSure}</Small>
      <Small>{WORDS.caution}</Small>
    </>
  );
}
