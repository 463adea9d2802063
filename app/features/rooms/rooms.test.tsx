/** Rooms from above, along a stand, and one spot's year. */
import { fireEvent, render, screen, within } from '@testing-library/react-native';
import { PaperProvider } from 'react-native-paper';
import { Circle, Text as SvgText } from 'react-native-svg';
import { useHome } from '../../state/home';
import { went } from '../../testing/router.mock';
import { open, settled, shadePlant, showHome, shownHome, sunPlant } from '../../testing/shown-home';
import { lightTheme } from '../../ui/theme';
import { RoomPlan } from '../../parts/room-plan';
import { RoomsScreen } from './rooms-screen';
import { SpotScreen } from './spot-screen';
import { StandElevation } from './stand-elevation';
import { StandScreen } from './stand-screen';
import { WASH_STEPS, washOpacity } from '../../parts/wash';

beforeEach(() => {
  showHome();
  went.length = 0;
});

describe('a room', () => {
  it('opens the largest first and lists each spot with its light and who stands there', async () => {
    await open(<RoomsScreen roomId={null} />);
    expect(screen.getByText(/^4 m by 4 m, 2.5 m high/)).toBeTruthy();
    expect(screen.getByLabelText('Dim, Shade plant')).toBeTruthy();
    expect(screen.getByLabelText('Bright, free')).toBeTruthy();
    expect(screen.getAllByText(/^[\d.]+ mol a day$/).length).toBe(3);
  });

  it('leads to another room by its name', async () => {
    await open(<RoomsScreen roomId="r" />);
    fireEvent.press(screen.getByLabelText('Box'));
    expect(went).toEqual([{ pathname: '/rooms/[roomId]', params: { roomId: 'box' } }]);
  });

  it('tries a curtain out before it is kept', async () => {
    await open(<RoomsScreen roomId="r" />);
    fireEvent.press(screen.getByLabelText(/^Curtain at the window: No curtain/));
    fireEvent.press(screen.getByLabelText('Sheer white curtain'));
    await settled();
    const { trial } = useHome.getState();
    expect(trial?.changes[0]).toMatchObject({
      list: 'windows',
      id: 'w',
      fields: { curtains: [{ curtainId: 'sheer' }] },
    });
    expect(useHome.getState().facts!.windows[0]!.curtains).toEqual([]);
  });

  it('teaches the first step when there is none', async () => {
    showHome({
      ...shownHome,
      rooms: [],
      windows: [],
      stands: [],
      tiers: [],
      spots: [],
      lamps: [],
      air: [],
      plants: [],
    });
    await open(<RoomsScreen roomId={null} />);
    expect(screen.getByText('Add a room')).toBeTruthy();
  });
});

describe('a spot', () => {
  it('shows six figures, each with a way into its arithmetic', async () => {
    await open(<SpotScreen spotId="dim" />);
    expect(screen.getAllByLabelText(/^Why this number: /)).toHaveLength(6);
    expect(screen.getByTestId('figure-dli')).toHaveTextContent(/^[\d.]+ mol a day: (very )?(dim|medium|bright)$/);
    expect(screen.getByLabelText(shadePlant.name)).toBeTruthy();
    expect(screen.getByText('Would do best here')).toBeTruthy();
  });
});

describe('a plan', () => {
  const ringsOf = (dliAt: ReadonlyMap<string, number>) => {
    const room = shownHome.rooms.find(({ id }) => id === 'r')!;
    const drawn = render(
      <PaperProvider theme={lightTheme}>
        <RoomPlan facts={shownHome} room={room} month={6} wash={null} width={360} dliAt={dliAt} />
      </PaperProvider>,
    );
    return drawn.root
      .findAllByType(Circle)
      .flatMap(({ props }) => (props.opacity === undefined ? [] : [props.opacity]));
  };

  it('rings each spot with the light at its own leaves, where that is known', () => {
    const known = new Map([
      ['dim', 1],
      ['bright', 9],
    ]);
    expect(ringsOf(known).sort()).toEqual([washOpacity(1), washOpacity(9)]);
    expect(ringsOf(new Map())).toEqual([]);
  });
});

describe('who would do best on a spot', () => {
  it('names own plants that would gain by it, with what they have now', async () => {
    await open(<SpotScreen spotId="bright" />);
    const row = within(screen.getByTestId('own-plants')).getByText(new RegExp(`^${sunPlant.name}$`));
    expect(row).toBeTruthy();
    expect(within(screen.getByTestId('own-plants')).getByText(/\d+ % now, /)).toBeTruthy();
  });

  it('says so where none would', async () => {
    showHome({ ...shownHome, plants: [{ ...sunPlant, spotId: 'bright' }] });
    await open(<SpotScreen spotId="dim" />);
    expect(screen.getByText('None of your plants would gain by standing here.')).toBeTruthy();
  });
});

describe('a spot’s place', () => {
  it('is drawn along its stand, and tried before it is kept', async () => {
    await open(<SpotScreen spotId="dim" />);
    fireEvent(screen.getByLabelText('From its end toward wall D'), 'layout', {
      nativeEvent: { layout: { width: 200 } },
    });
    fireEvent(screen.getByLabelText('From its end toward wall D'), 'responderMove', { nativeEvent: { locationX: 60 } });
    await settled();
    expect(useHome.getState().trial?.changes[0]).toMatchObject({
      list: 'spots',
      id: 'dim',
      fields: { alongM: 0.3 },
    });
    expect(screen.getByText('From its end toward wall D: 30 cm of 1 m')).toBeTruthy();
  });
});

describe('what would do best at a spot', () => {
  it('counts the grower’s own taxa and corrections in', async () => {
    const ofOwn = (
      figure:
        | 'light.thrivesFrom'
        | 'light.survives'
        | 'light.thrivesTo'
        | 'light.scorches'
        | 'warmth.nightFrom'
        | 'warmth.lowest'
        | 'warmth.highest'
        | 'warmth.dayTo'
        | 'moisture.vpdTo',
      value: number,
    ) => ({
      id: figure,
      homeId: 'h',
      taxonId: 'own-1',
      plantId: null,
      figure,
      value,
      reason: 'It lives anywhere',
      on: '2026-01-01',
    });
    showHome({
      ...shownHome,
      spots: shownHome.spots.map((spot) => ({ ...spot, freeHeightM: 1 })),
      ownTaxa: [
        {
          id: 'own-1',
          homeId: 'h',
          name: 'Aaa the undemanding',
          common: [],
          synonyms: [],
          basedOn: 'aspidistra-elatior',
          key: '',
        },
      ],
      corrections: [
        ofOwn('light.survives', 0.1),
        ofOwn('light.thrivesFrom', 0.2),
        ofOwn('light.thrivesTo', 40),
        ofOwn('light.scorches', 60),
        // The sill is cold by night, and warm and dry by day.
        ofOwn('warmth.nightFrom', 5),
        ofOwn('warmth.lowest', 0),
        ofOwn('warmth.highest', 50),
        ofOwn('warmth.dayTo', 40),
        ofOwn('moisture.vpdTo', 3),
        { ...ofOwn('light.scorches', 2000), id: 'peak', figure: 'light.peakPpfd' as const },
      ],
    });
    await open(<SpotScreen spotId="bright" />);
    expect(screen.getAllByText('Aaa the undemanding').length).toBeGreaterThan(0);
  });
});

describe('a stand along its length', () => {
  it('shows its tiers with what each spot gets', async () => {
    await open(<StandScreen standId="shelf" />);
    expect(screen.getByTestId('dli-dim')).toHaveTextContent(/mol a day$/);
    expect(screen.getByTestId('dli-top')).toHaveTextContent(/mol a day$/);
  });

  const lettered = (spots: number) => {
    const stand = shownHome.stands.find(({ id }) => id === 'shelf')!;
    const [spot] = shownHome.spots.filter(
      ({ tierId }) => tierId === shownHome.tiers.find((tier) => tier.standId === 'shelf')!.id,
    );
    const more = Array.from({ length: spots }, (_, i) => ({
      ...spot!,
      id: `more-${i}`,
      alongM: spot!.alongM + 0.01 * (i + 1),
    }));
    render(
      <PaperProvider theme={lightTheme}>
        <StandElevation
          facts={{ ...shownHome, spots: [...shownHome.spots, ...more] }}
          stand={stand}
          roomHeightM={2.5}
          width={800}
          month={6}
        />
      </PaperProvider>,
    );
    return screen.UNSAFE_getAllByType(SvgText).map(({ props }) => String((props as { children: unknown }).children));
  };

  it('letters who stands on a tier beside it, and counts those there is no room for', () => {
    expect(lettered(0)).toEqual(['60 cm', 'Shade plant', '120 cm', 'Sun plant']);
    expect(lettered(1)).toEqual(['60 cm', 'Shade plant', 'Free', '120 cm', 'Sun plant']);
    const crowded = lettered(40);
    expect(crowded.some((text) => /^and \d+ more$/.test(text))).toBe(true);
    expect(crowded.length).toBeLessThan(40);
  });
});

describe('the wash', () => {
  it('never grows fainter with more light, and is absent in the dark', () => {
    expect(washOpacity(0)).toBe(0);
    const steps = [0.1, ...WASH_STEPS, 100].map(washOpacity);
    expect([...steps].sort((p, q) => p - q)).toEqual(steps);
    expect(washOpacity(100)).toBeLessThan(1);
  });
});
