import type { Direction, Factor, MonthFit, Severity } from '@dulvan/core';
import { fireEvent, render, screen } from '@testing-library/react-native';
import { PaperProvider } from 'react-native-paper';
import { Choices, MonthBoxes } from './choices';
import { FitMark } from './fit-mark';
import { lightTheme } from './theme';

const reading = (factor: Factor, direction: Direction, severity: Severity) =>
  ({ factor, aspect: 'dli', score: 1, direction, severity, gets: 0, wantsFrom: 0, wantsTo: 0, distance: 0, depends: 'no' }) as const;

const fit: MonthFit = {
  month: 1,
  whole: 0.3,
  limiting: 'light',
  factors: [
    reading('light', 'too-little', 'danger'), reading('day-length', 'right', 'fine'), reading('warmth', 'too-much', 'short'),
    reading('moisture', 'right', 'fine'), reading('air', 'right', 'fine'),
  ],
};

const show = (part: React.ReactElement) => render(<PaperProvider theme={lightTheme}>{part}</PaperProvider>);

describe('the mark of fit', () => {
  it('says in words what it shows', () => {
    show(<FitMark fit={fit} />);
    expect(screen.getByLabelText('Light too little, Warmth too much')).toBeTruthy();
  });

  it('says when nothing is wrong and when nothing is known', () => {
    show(<FitMark fit={{ ...fit, factors: fit.factors.map((each) => ({ ...each, direction: 'right' })) }} />);
    expect(screen.getByLabelText('All five factors right')).toBeTruthy();
    show(<FitMark fit={null} />);
    expect(screen.getByLabelText('Fit not known')).toBeTruthy();
  });
});

describe('choices', () => {
  it('tell what is chosen and hand on what is pressed', () => {
    const chosen = jest.fn();
    show(<Choices label="Board" value="solid" onValue={chosen} choices={[{ value: 'solid', word: 'Solid' }, { value: 'open', word: 'Open' }]} />);
    fireEvent.press(screen.getByLabelText('Open'));
    expect(chosen).toHaveBeenCalledWith('open');
  });

  it('put months in and take them out, in order', () => {
    const chosen = jest.fn();
    show(<MonthBoxes label="Months" months={[2, 11]} onMonths={chosen} />);
    fireEvent.press(screen.getByLabelText('January'));
    expect(chosen).toHaveBeenLastCalledWith([1, 2, 11]);
    fireEvent.press(screen.getByLabelText('February'));
    expect(chosen).toHaveBeenLastCalledWith([11]);
  });
});
