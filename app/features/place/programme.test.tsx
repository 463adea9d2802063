/** A timer's programme by hand: what is typed is read, refused beside its part, and kept as a patch of the timer. */
import { ALL_MONTHS, type TimerMonths } from '@dulvan/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { useDrafts } from '../../state/drafts';
import { useHome } from '../../state/home';
import { caught, fieldsPatched, open, settled, showHome, shownHome } from '../../testing/shown-home';
import { MOST_PARTS, fieldsOf, programmeValues, typedProgramme, typedTimes } from './programme-form';
import { ProgrammeScreen } from './programme-screen';

const WINTER: TimerMonths = {
  months: [11, 12, 1, 2],
  spans: [
    { onMinute: 360, offMinute: 540 },
    { onMinute: 1020, offMinute: 1290 },
  ],
  level: 0.75,
};

/** What is told of each field. */
function told(values: Readonly<Record<string, string>>) {
  const messages: Record<string, string> = {};
  const programme = typedProgramme({ ...programmeValues([]), ...values }, (field, message) => {
    messages[field] ??= message;
  });
  return { programme, messages };
}

describe('times of a day', () => {
  it('are read however they are written', () => {
    for (const text of ['6:00–9:00, 17:00–21:30', '6-9;17-21.30', ' 6 to 9 , 17:00 — 21:30 '])
      expect(typedTimes(text)).toEqual([
        { onMinute: 360, offMinute: 540 },
        { onMinute: 1020, offMinute: 1290 },
      ]);
  });

  it('left empty are off, and what is no time is not guessed at', () => {
    expect(typedTimes('')).toEqual([]);
    for (const text of ['always', '6:00', '6-9-12', '6:75–9:00', '6–']) expect(typedTimes(text)).toBeNull();
  });
});

describe('the form', () => {
  it('reads back what it was filled with', () => {
    const programme = [
      { ...WINTER, months: [1, 2, 11, 12] },
      { months: [6], spans: [], level: 1 },
    ];
    expect(told(programmeValues(programme)).programme).toEqual(programme);
  });

  it('of a timer without a programme begins with the whole year', () => {
    expect(programmeValues([])).toMatchObject({ count: '1', months0: ALL_MONTHS.join(), times0: '', level0: '100' });
    expect(Object.keys(programmeValues([]))).toHaveLength(1 + 3 * MOST_PARTS);
  });

  it('refuses what cannot be, each beside its field', () => {
    const { months, times, level } = fieldsOf(0);
    expect(told({ [times]: 'noon' }).messages[times]).toMatch(/^Times as 6:00–9:00/);
    expect(told({ [times]: '9–6' }).messages[times]).toMatch(/must go off after they come on/);
    expect(told({ [times]: '6–9, 8–10' }).messages[times]).toMatch(/in order/);
    expect(told({ [times]: '20–25' }).messages[times]).toMatch(/^Times as 6:00–9:00/);
    expect(told({ [months]: '' }).messages[months]).toBe('One month at least.');
    for (const share of ['0', '120', 'half']) expect(told({ [level]: share }).messages[level]).toBeTruthy();
  });

  it('tells a month that two parts name, beside the second', () => {
    const second = fieldsOf(1);
    const { programme, messages } = told({ count: '2', months0: '1,2', [second.months]: '2,3' });
    expect(programme).toBeNull();
    expect(messages).toEqual({ [second.months]: 'Each month once.' });
  });
});

describe('the screen', () => {
  // What is typed outlives a screen.
  beforeEach(() => useDrafts.setState({ drafts: {} }));

  it('keeps a programme, and leaves the timer’s one time as it was', async () => {
    showHome();
    await open(<ProgrammeScreen circuitId="c" />);
    fireEvent.changeText(screen.getByLabelText('On'), '5:30–8, 16:00–20:00');
    fireEvent.changeText(screen.getByLabelText(/^Dimmed to/), '60');
    fireEvent.press(screen.getByText('Save'));
    await settled();
    expect(fieldsPatched<{ programme: TimerMonths[] }>().programme).toEqual([
      {
        months: [...ALL_MONTHS],
        spans: [
          { onMinute: 330, offMinute: 480 },
          { onMinute: 960, offMinute: 1200 },
        ],
        level: 0.6,
      },
    ]);
    expect(useHome.getState().facts!.circuits[0]).toMatchObject({ onMinute: 480, offMinute: 960 });
  });

  it('says what is wrong and stores nothing', async () => {
    showHome();
    await open(<ProgrammeScreen circuitId="c" />);
    fireEvent.changeText(screen.getByLabelText('On'), 'in the evening');
    fireEvent.press(screen.getByText('Save'));
    await settled();
    expect(screen.getByText(/^✕? ?Times as 6:00–9:00, 17:00–21:30/)).toBeTruthy();
    expect(caught).toEqual([]);
    expect(screen.getByLabelText('On').props.value).toBe('in the evening');
  });

  it('shows what a plan has set, part by part', async () => {
    const circuits = shownHome.circuits.map((circuit) => ({ ...circuit, programme: [WINTER] }));
    showHome({ ...shownHome, circuits });
    await open(<ProgrammeScreen circuitId="c" />);
    expect(screen.getByLabelText('On').props.value).toBe('6:00–9:00, 17:00–21:30');
    fireEvent.press(screen.getByText('Another part of the year'));
    await settled();
    expect(screen.getAllByLabelText('On')).toHaveLength(2);
    fireEvent.press(screen.getByText('Take the last one out'));
    await settled();
    expect(screen.getAllByLabelText('On')).toHaveLength(1);
  });

  it('of a timer that is not there says so', async () => {
    showHome();
    await open(<ProgrammeScreen circuitId="gone" />);
    expect(screen.getByText(/timer/)).toBeTruthy();
  });
});

describe('following the sun', () => {
  const begin = async () => {
    useDrafts.setState({ drafts: {} });
    showHome(shownHome);
    await open(<ProgrammeScreen circuitId="c" />);
    fireEvent.press(screen.getByText('Follow the sun'));
  };
  const type = (label: string, text: string) => fireEvent.changeText(screen.getByLabelText(`${label}, h`), text);

  it('fills the months in, longest in June, and saves nothing by itself', async () => {
    await begin();
    type('A day of at least', '9');
    type('A day of at most', '15');
    fireEvent.press(screen.getByText('Fill in the months'));
    await settled();
    const values = useDrafts.getState().drafts['programme/c']!;
    const { programme } = told(values);
    expect(programme!.flatMap(({ months }) => months).sort((p, q) => p - q)).toEqual([...ALL_MONTHS]);
    const hoursIn = (month: number) => {
      const [span] = programme!.find(({ months }) => months.includes(month))!.spans;
      return (span!.offMinute - span!.onMinute) / 60;
    };
    expect(hoursIn(6)).toBe(15);
    expect(hoursIn(12)).toBe(9);
    expect(useHome.getState().facts!.circuits[0]!.programme).toEqual([]);
  });

  it('says beside the field what cannot be', async () => {
    await begin();
    type('A day of at least', '14');
    type('A day of at most', '10');
    fireEvent.press(screen.getByText('Fill in the months'));
    await settled();
    expect(screen.getByText(/No shorter than the shortest day/)).toBeTruthy();
    type('A day of at most', '30');
    await settled();
    expect(screen.getByText(/From 0 to 24 h/)).toBeTruthy();
    expect(useDrafts.getState().drafts['programme/c']).toBeUndefined();
  });
});
