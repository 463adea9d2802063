import type { Direction, Factor, MonthFit, Severity } from '@dulvan/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { Text } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { Choices, MonthBoxes } from './choices';
import { Drawing } from './drawing';
import { FitMark } from '../parts/fit-mark';
import { fileNameOf, savePicture } from './picture';
import { lightTheme } from './theme';

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

  it('put months in and take them out, in order', () => {
    const chosen = jest.fn();
    show(<MonthBoxes label="Months" months={[2, 11]} onMonths={chosen} />);
    fireEvent.press(screen.getByLabelText('January'));
    expect(chosen).toHaveBeenLastCalledWith([1, 2, 11]);
    fireEvent.press(screen.getByLabelText('February'));
    expect(chosen).toHaveBeenLastCalledWith([11]);
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
    fireEvent.press(screen.getByRole('button', { name: 'Keep as a picture: Plan in June' }));
    expect(jest.mocked(savePicture).mock.calls[0]![1]).toBe('Plan in June');
    jest.mocked(savePicture).mockRejectedValueOnce(new Error('no room on the disk'));
    fireEvent.press(screen.getByRole('button', { name: 'Keep as a picture: Plan in June' }));
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
