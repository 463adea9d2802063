/** A plan out as calendar and tables. */
import { ALL_MONTHS, PLAIN_TIMER, type Circuit } from '@dulvan/core';
import Papa from 'papaparse';
import { planCalendar, stepsTable, timersTable } from './plan-files';

const timer: Circuit = {
  ...PLAIN_TIMER,
  id: 'c',
  homeId: 'h',
  name: 'Rack, timer',
  onMinute: 450,
  offMinute: 1110,
  months: [10, 11, 12, 1, 2],
  fadeMinutes: 20,
};
const split: Circuit = {
  ...timer,
  id: 'd',
  programme: [
    {
      months: [5],
      spans: [
        { onMinute: 360, offMinute: 480 },
        { onMinute: 1080, offMinute: 1440 },
      ],
      level: 0.5,
    },
  ],
};
const given = { steps: [], circuits: [], on: '2026-11-30', name: 'Home' };
/** Long lines of a calendar go on in the next one after a blank. */
const unfolded = (calendar: string) => calendar.replace(/\r\n[ \t]/g, '');

it('a timer comes back every day of its months, in local time', () => {
  const calendar = unfolded(planCalendar({ ...given, circuits: [timer] }));
  expect(calendar).toMatch(/^BEGIN:VCALENDAR\r\n/);
  expect(calendar).toContain('DTSTART:20261130T073000\r\n');
  expect(calendar).toContain('RRULE:FREQ=DAILY;BYMONTH=1,2,10,11,12\r\n');
  expect(calendar).toContain('DURATION:PT11H\r\n');
  expect(calendar).toContain('SUMMARY:Rack\\, timer\r\n');
});

it('a split day is two events, from the next year where its months have passed', () => {
  const calendar = unfolded(planCalendar({ ...given, circuits: [split] }));
  expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(2);
  expect(calendar).toContain('DTSTART:20270501T060000');
  expect(calendar).toContain('DTSTART:20270501T180000');
  expect(calendar).toContain('(50 %)');
});

it('a step is a whole day, its words escaped', () => {
  const step = { id: 's', on: '2026-12-01', title: 'Carry A; to B,\nnow' };
  const calendar = unfolded(planCalendar({ ...given, steps: [step] }));
  expect(calendar).toContain('DTSTART;VALUE=DATE:20261201');
  expect(calendar).toContain('SUMMARY:Carry A\\; to B\\,\\nnow');
});

it('tables are read back as they were, and no cell is a formula', () => {
  const { data } = Papa.parse<Record<string, string>>(timersTable([timer, split]), {
    header: true,
    skipEmptyLines: true,
  });
  expect(data).toHaveLength(ALL_MONTHS.length + 13);
  expect(data[0]).toEqual({
    ...{ timer: 'Rack, timer', month: '1', on: '7:30', off: '18:30', fade_minutes: '20' },
    ...{ level_percent: '100', hours_a_day: '11' },
  });
  expect(stepsTable([{ id: 's', on: '2026-12-01', title: '=1+1' }])).not.toMatch(/,=1/);
});
