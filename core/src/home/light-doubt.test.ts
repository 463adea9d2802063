/** The doubt of a spot's light follows from the kind of place it is. */
import type { HomeFacts } from '../facts';
import { placedSpots } from '../room';
import { lightDoubt } from './light-doubt';
import { smallHome } from './small-home.fixture';

const bright = placedSpots(smallHome).find(({ spot }) => spot.id === 'bright')!;
const alone: HomeFacts = { ...smallHome, plants: [] };
const doubt = (facts = alone, reflected = 0) => lightDoubt(facts, bright, reflected);

describe('the doubt of a spot’s daylight', () => {
  it('is small in a plain room, and grows with what comes off its walls', () => {
    expect(doubt()).toEqual({ share: 0.045, method: 0.045, because: [], surfaces: 0 });
    expect(doubt(alone, 0.8).share).toBeCloseTo(Math.hypot(0.045, 0.2), 9);
  });

  it('is large behind a cabinet’s shell', () => {
    const boxed = placedSpots(smallHome).find(({ spot }) => spot.id === 'boxed')!;
    expect(lightDoubt(alone, boxed, 0)).toMatchObject({ method: 0.23, because: ['a cabinet’s shell'] });
  });

  it('grows under a balcony and beside plants, and says so', () => {
    const balcony = { ...alone, windows: [{ ...smallHome.windows[0]!, overhangM: 1 }] };
    expect(doubt(balcony)).toMatchObject({ method: 0.085, because: ['a balcony over a window'] });
    const neighbours = {
      ...smallHome,
      spots: [...smallHome.spots, { ...smallHome.spots[0]!, id: 'beside', alongM: 1.4 }],
      plants: [{ ...smallHome.plants[0]!, spotId: 'beside', heightCm: 40 }],
    };
    expect(doubt(neighbours).because).toEqual(['plants beside it']);
  });
});
