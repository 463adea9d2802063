/** What the screens of rooms, stands and spots say, file by file. */

export const CURTAIN_CONTROL = {
  curtainShut: (window: string, curtain: string) => `${window}: ${curtain} shut`,
  curtainTakenAway: (window: string) => `${window}: curtain taken away`,
  curtainAt: (window: string) => `Curtain at the ${window}`,
  shut: (hours: string) => `Shut ${hours}`,
  behindIt: (curtain: string, hours: string) => `Behind it: ${curtain}, shut ${hours}`,
  inMonths: (number: number) => ` in ${number} months`,
  shutFromTo: (from: string, to: string, months: string) => `from ${from} to ${to}${months}`,
};

export const LIGHT_YEAR_CHART = {
  lightByMonth: 'Light by month, mol a day',
  hideTable: 'Hide the table',
  showAsTable: 'Show as a table',
  lightByMonthAndSource: 'Light by month and source, mol a day',
  month: 'Month',
  all: 'All',
};

export const ROOMS_SCREEN = {
  spotAndWho: (spot: string, who: string) => `${spot}, ${who}`,
  freeSpot: 'free',
  noRoomYet: 'No room yet',
  beginWith: 'Begin with the one your plants are in: its walls, its windows, what holds your plants.',
  addRoom: 'Add a room',
  room: 'Room',
  standsIn: (outer: string) => ` · stands in ${outer}`,
  sizeAndFacing: (width: string, depth: string, height: string, direction: string, outer: string) =>
    `${width} by ${depth}, ${height} high · the window wall faces ${direction}${outer}`,
  pictureOf: (home: string, room: string, month: string) => `${home}, ${room}: mean daily light in ${month}`,
  meanDailyLight: (month: string) => `${month}: mean daily light`,
  throughADay: 'Through a day, hour by hour',
  itsAir: 'Its air through the year and the day',
  nothingHereHoldsPlants: 'Nothing here holds plants yet.',
  sideViewOf: (stand: string) => `Side view of ${stand}`,
  sideView: 'Side view',
  free: 'Free',
  molDay: (mol: string) => `${mol} mol a day`,
  editThisRoom: 'Edit this room, its windows and stands',
};

export const SPOT_PLACE = {
  placeSummary: (spot: string, along: string, across: string, stand: string) =>
    `${spot} ${along} along, ${across} across ${stand}`,
  alongWallD: 'From its end toward wall D',
  acrossWallA: 'From its edge toward wall A',
  itsPlaceOnStand: 'Its place on the stand',
  inRoom: (room: string) => ` in the ${room}`,
  dragIt: (stand: string, inRoom: string) =>
    `Drag it along ${stand}${inRoom}: its light follows. Saved only when you press Keep.`,
  atOfMost: (name: string, at: string, most: string) => `${name}: ${at} of ${most}`,
};

export const SPOT_SCREEN = {
  drawing: 'Drawing …',
  working: 'Working …',
  standsHere: 'Stands here',
  noPlantHere: 'No plant here',
  light: 'Light',
  molInAWord: (mol: string, word: string) => `${mol} mol a day: ${word}`,
  dullAndBright: (dull: string, bright: string) => `dull day ${dull}, bright day ${bright}`,
  brightestHour: 'Brightest hour',
  onClearDay: 'on a clear day',
  directSun: 'Direct sun',
  ifEveryDayClear: (hours: string) => `${hours} if every day were clear`,
  dayLength: 'Day length',
  longestNight: (hours: string) => `longest night ${hours}`,
  warmth: 'Warmth',
  byDay: (warmth: string) => `${warmth} by day`,
  byNight: (warmth: string) => `${warmth} by night`,
  moisture: 'Moisture',
  moistureByDay: (percent: number) => `${percent} % by day`,
  vpdKpa: (kPa: string) => `VPD ${kPa} kPa`,
  figuresFor: (month: string) => `Figures for ${month}`,
  whyThisNumber: (name: string) => `Why this number: ${name}`,
  why: 'Why',
  thatDifferBy: (percent: number) => ` that differ by ${percent} %`,
  asMeasured: (part: string, times: string, percent: number) =>
    `${part} as measured: ${times} times the computed, within ${percent} %,`,
  fromReadings: (readings: string, differ: string, age: string) => `from ${readings}${differ}, the newest ${age}.`,
  daylight: 'Daylight',
  lampLight: 'Lamp light',
  withReadings: (month: string, computed: string, withReadings: string) =>
    `${month}: ${computed} mol a day as computed, ${withReadings} with readings.`,
  itsReadings: 'Its readings',
  itsLight: 'Its light',
  takeReading: 'Take a reading',
  everyDayAndHour: 'Every day and hour',
  compareWithOtherSpots: 'Compare with other spots',
};

export const STAND_ELEVATION = {
  free: 'Free',
  andMore: (number: number) => `and ${number} more`,
  fromTheSide: (stand: string) => `${stand} from the side`,
};

export const STAND_SCREEN = {
  spotAndWho: (spot: string, who: string) => `${spot}, ${who}`,
  freeSpot: 'free',
  pictureOf: (home: string, room: string, stand: string, month: string) => `${home}, ${room}: ${stand} in ${month}`,
  howToRead:
    'A plant’s light is judged at the solid line through its leaves for the day’s sum, and at the dashed ' +
    'line on its top for the brightest hour.',
  noLampHangsHere: 'No lamp hangs here.',
  editThisStand: 'Edit this stand, its tiers and lamps',
  inOpeningOf: (stand: string, window: string) => `${stand} in the opening of ${window}`,
  aboutOpening:
    'In the opening of its window a sill gets the light of the glass beside it; a shut curtain hangs behind it.',
  setIntoOpening: (window: string) => `Set it into the opening of ${window}`,
  tierAt: (height: string) => `Tier at ${height}`,
  lampsOverTierAt: (height: string) => `Lamps over the tier at ${height}`,
  underItsLamps: 'Under its lamps: spread, height, hours',
  whichLamp: 'Which lamp it would need',
  lampForTierAt: (height: string) => `Which lamp the tier at ${height} would need`,
  free: 'Free',
  molDay: (mol: string) => `${mol} mol a day`,
};

export const WASH_LEGEND = {
  howToRead: (heightCm: number, leastDli: number) =>
    `mol a day and more, ${heightCm} cm above the floor; below ${leastDli} nothing is drawn. The ring ` +
    'round a spot is shaded by what its own leaves get, on a sill or shelf at any height',
};

export const WOULD_DO_WELL = {
  wouldDoBestHere: 'Would do best here',
  ofYourPlants: 'Of your plants: better here than where they stand',
  noneWouldGain: 'None of your plants would gain by standing here.',
  withoutSpot: 'without a spot now',
  now: (share: string, spot: string) => `${share} now, ${spot}`,
  ofTheCatalogue: 'From the catalogue and your own taxa',
  howTheyAreJudged: 'Grown plants that fit under what is above, over the whole year.',
};
