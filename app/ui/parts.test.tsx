import type { Direction, Factor, MonthFit, Severity } from '@dulvan/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { Text } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { Choices, ManyChoices, PickMonths } from './choices';
import { ChosenLine, turned } from './chosen';
import { Drawing } from './drawing';
import { PickDate, dateWords } from './pick-date';
import { FitMark } from '../parts/fit-mark';
import { fileNameOf, savePicture } from './picture';
import { lightTheme } from './theme';
import { ariaOf } from './web-states';

jest.mock('./picture', () => ({
  ...jest.requireActual<object>('./picture'),
  savePicture: jest.fn(() => Promise.resolve()),
}));

const reading = (factor: Factor, direction: Direction, severity: Severity) =>
  ({
    factor,
    aspect: 'dli',
    score: 1,
    direction,
    severity,
    gets: 0,
    wantsFrom: 0,
    wantsTo: 0,
    distance: 0,
    hoursBeyond: null,
    depends: 'no',
  }) as const;

const fit: MonthFit = {
  month: 1,
  growth: 0.3,
  limiting: 'light',
  factors: [
    reading('light', 'too-little', 'danger'),
    reading('day-length', 'right', 'fine'),
    reading('warmth', 'too-much', 'short'),
    reading('moisture', 'right', 'fine'),
    reading('air', 'right', 'fine'),
  ],
};

const show = (part: React.ReactElement) => render(<PaperProvider theme={lightTheme}>{part}</PaperProvider>);

describe('the mark of fit', () => {
  it('says in words what it shows', () => {
    show(<FitMark fit={fit} />);
    expect(screen.getByLabelText('Light too little, Warmth too much')).toBeTruthy();
  });

  it('says when nothing is wrong and when nothing is known', () => {
    show(<FitMark fit={{ ...fit, factors: fit.factors.map((each) => ({ ...each, severity: 'fine' })) }} />);
    expect(screen.getByLabelText('All five factors right')).toBeTruthy();
    show(<FitMark fit={null} />);
    expect(screen.getByLabelText('Fit not known')).toBeTruthy();
  });
});

describe('several of many', () => {
  it('are turned one by one, the set before being left as it was', () => {
    const before = new Set(['a']);
    expect([...turned(before, 'b')]).toEqual(['a', 'b']);
    expect([...turned(before, 'a')]).toEqual([]);
    expect([...before]).toEqual(['a']);
  });

  it('are counted, chosen all that are shown, and none', () => {
    const chosen = jest.fn();
    show(<ChosenLine label="plants" ids={['a', 'b']} chosen={new Set(['x'])} onChosen={chosen} />);
    expect(screen.getByText('1 chosen')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Choose all: plants'));
    fireEvent.press(screen.getByLabelText('Choose none: plants'));
    expect(chosen.mock.calls.map(([set]) => [...(set as Set<string>)])).toEqual([['a', 'b'], []]);
  });
});

describe('a date', () => {
  it('is told as one says it; what is no date stays as it was typed', () => {
    expect(dateWords('2026-03-14')).toBe('14 March 2026');
    expect(dateWords('2026-02-30')).toBe('2026-02-30');
    expect(dateWords('soon')).toBe('soon');
  });

  it('can be taken away again, and is none then', () => {
    const value = jest.fn();
    show(<PickDate label="Arrived on" value="2026-03-14" onValue={value} />);
    fireEvent.press(screen.getByLabelText('Clear: Arrived on'));
    expect(value).toHaveBeenCalledWith('');
    show(<PickDate label="Arrived on" value="" onValue={value} />);
    expect(screen.getByText('Not given')).toBeTruthy();
    expect(screen.queryByLabelText('Clear: Arrived on')).toBeNull();
  });
});

describe('choices', () => {
  it('tell what is chosen and hand on what is pressed', () => {
    const chosen = jest.fn();
    show(
      <Choices
        label="Board"
        value="solid"
        onValue={chosen}
        choices={[
          { value: 'solid', word: 'Solid' },
          { value: 'open', word: 'Open' },
        ]}
      />,
    );
    fireEvent.press(screen.getByLabelText('Open'));
    expect(chosen).toHaveBeenCalledWith('open');
  });

  it('of more than five are a list that opens, and shuts once one is chosen', () => {
    const chosen = jest.fn();
    const choices = ['Clear', 'Tinted', 'Coated', 'Frosted', 'Leaded', 'Wired'].map((word) => ({ value: word, word }));
    show(<Choices label="Pane" value="Clear" onValue={chosen} choices={choices} />);
    expect(screen.queryByRole('radio')).toBeNull();
    fireEvent.press(screen.getByLabelText('Pane: Clear'));
    fireEvent.press(screen.getByRole('radio', { name: 'Leaded' }));
    expect(chosen).toHaveBeenCalledWith('Leaded');
    expect(screen.queryByRole('radio')).toBeNull();
  });

  it('of which any number is chosen become a list that opens, ticked ones told where it stands', () => {
    const chosen = jest.fn();
    const six = ['a', 'b', 'c', 'd', 'e', 'f'].map((value) => ({
      value,
      word: value.toUpperCase(),
      disabled: value === 'e',
    }));
    show(<ManyChoices label="Marks" choices={six} chosen={['d', 'b']} onChosen={chosen} />);
    fireEvent.press(screen.getByLabelText('Marks: B, D'));
    fireEvent.press(screen.getByLabelText('A'));
    fireEvent.press(screen.getByLabelText('D'));
    fireEvent.press(screen.getByLabelText('E'));
    fireEvent.press(screen.getByLabelText('None'));
    expect(chosen.mock.calls.map(([values]) => values as string[])).toEqual([['a', 'b', 'd'], ['b'], []]);
    fireEvent.press(screen.getByLabelText('Done'));
    expect(screen.queryByLabelText('A')).toBeNull();
  });

  it('of up to five any number of which is chosen stay in sight', () => {
    const chosen = jest.fn();
    show(<ManyChoices label="Marks" choices={[{ value: 'a', word: 'A' }]} chosen={[]} onChosen={chosen} />);
    fireEvent.press(screen.getByLabelText('A'));
    expect(chosen).toHaveBeenCalledWith(['a']);
  });

  it('put months in and take them out, in order', () => {
    const chosen = jest.fn();
    show(<PickMonths label="Months" words="February, November" months={[2, 11]} onMonths={chosen} />);
    fireEvent.press(screen.getByLabelText('Months: February, November'));
    fireEvent.press(screen.getByLabelText('January'));
    expect(chosen).toHaveBeenLastCalledWith([1, 2, 11]);
    fireEvent.press(screen.getByLabelText('February'));
    expect(chosen).toHaveBeenLastCalledWith([11]);
    fireEvent.press(screen.getByText('All year'));
    expect(chosen).toHaveBeenLastCalledWith([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
  });
});

describe('states that Paper tells in the older way', () => {
  it.each([
    ['radio', { checked: true }, { 'aria-checked': true }],
    ['checkbox', { selected: false, disabled: false }, { 'aria-checked': false }],
    ['tab', { selected: true }, { 'aria-selected': true }],
    ['button', { expanded: true }, { 'aria-expanded': true }],
    ['button', { disabled: true }, {}],
  ])('reach the page as ARIA: %s %j', (role, accessibilityState, aria) => {
    expect(ariaOf({ accessibilityRole: role, accessibilityState })).toEqual(aria);
  });
});

describe('a drawing', () => {
  const drawn = () =>
    show(
      <Drawing name="Plan in June" minHeight={100} legend={<Text>Steps of light</Text>}>
        {(width) => <Text>{`${width} px wide`}</Text>}
      </Drawing>,
    );

  it('waits for its width, then fills it', () => {
    drawn();
    expect(screen.queryByText(/px wide/)).toBeNull();
    fireEvent(screen.getByText('Steps of light').parent!, 'layout', {
      nativeEvent: { layout: { width: 320, height: 100 } },
    });
    expect(screen.getByText('320 px wide')).toBeTruthy();
  });

  it('is kept under its name, and says when that fails', async () => {
    drawn();
    fireEvent.press(screen.getByRole('button', { name: 'Save as a picture: Plan in June' }));
    expect(jest.mocked(savePicture).mock.calls[0]![1]).toBe('Plan in June');
    jest.mocked(savePicture).mockRejectedValueOnce(new Error('no room on the disk'));
    fireEvent.press(screen.getByRole('button', { name: 'Save as a picture: Plan in June' }));
    await waitFor(() => expect(screen.getByText('No picture could be made: no room on the disk')).toBeTruthy());
  });

  it.each([
    ['The Sail Loft, Café: 12:00 on 21 June', 'the-sail-loft-cafe-12-00-on-21-june.png'],
    ['../../etc', 'etc.png'],
    ['帆', 'drawing.png'],
  ])('names its file in plain letters: %s', (title, name) => {
    expect(fileNameOf(title)).toBe(name);
  });
});
