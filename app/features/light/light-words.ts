/** What the screens of light and lamps say, file by file. */

export const BESIDE_SCREEN = {
  compareWithOtherSpots: 'Compare with other spots',
  howToRead: (month: string) => `${month}: mean light, all sources. The thin line runs from a poor to a good year.`,
  nearerToWindow: (distance: string) => `${distance} nearer to the window`,
  fartherFromIt: (distance: string) => `${distance} farther from it`,
  hereWithoutCurtains: 'Here without curtains',
  hereBehindSheer: 'Here behind a sheer curtain all day',
  ofItByLamps: (mol: string) => `${mol} of it by lamps. `,
  lightPlaceByPlace: (month: string) => `Light in ${month}, place by place`,
  molPoorToGood: (mol: string, poor: string, good: string) => `${mol} mol a day, ${poor} to ${good}`,
  brightestHour: (byLamps: string, ppfd: string) => `${byLamps}Brightest hour ${ppfd}`,
  byDayByNight: (day: string, night: string) => `${day} by day, ${night} by night`,
  dayWarmthHumidity: (dayLength: string, warmth: string, percent: number) =>
    `Day ${dayLength}; ${warmth}; ${percent} % humidity`,
  upTo: (most: number) => `Up to ${most}.`,
  otherSpots: 'Other spots',
};

export const FILES_SCREEN = {
  readingFile: 'Reading the file …',
  lineRefused: (line: number, reason: string) => `Line ${line}: ${reason} Nothing was changed.`,
  weatherFrom: (station: string) => `Weather from ${station}`,
  place: 'The place',
  weatherAndLamps: 'Weather and lamps from files',
  weather: 'Weather',
  weatherNow: (weather: string) => `Now: ${weather}.`,
  aboutWeather:
    'A year of hourly weather in the EPW format, of the station nearest to you, tells cloud and sun ' +
    'better than a climate family.',
  chooseEpwFile: 'Choose an EPW file',
  tookOutWeatherOf: (name: string) => `Took out the weather of ${name}`,
  takeFileOut: 'Take the file out',
  stationPlace: (latitude: number, longitude: number, elevationM: number, clock: string, awayKm: number) =>
    `${latitude}°, ${longitude}°, ${elevationM} m; clock ${clock}; about ${awayKm} km from here.`,
  thatIsFar: '! That is far: clouds may differ.',
  sunAndSkyByMonth: (months: string) => `Sun and sky on level ground, kWh/m² a day, January first: ${months}.`,
  monthsBeingRead: 'Its months are being read …',
  withinEachHour:
    'Within each hour beam and diffuse light follow a clear sky’s course, so that the sun can be traced ' +
    'every quarter of an hour.',
  lampFileOf: (lamp: string) => `Lamp file ${lamp}`,
  lamps: 'Lamps',
  aboutLampFiles: (most: string) =>
    `How a lamp spreads its light, as measured: LM-63 (.ies) or EULUMDAT (.ldt), up to ${most} ` +
    'intensities. Choose it then in the lamp’s form.',
  chooseLampFile: 'Choose a lamp file',
  tookOutLampFile: (name: string) => `Took out the lamp file ${name}`,
  planesOfAngles: (planes: string, angles: number) => `${planes} of ${angles} angles`,
  intensitiesBeingRead: 'its intensities are being read …',
  noLampUsesIt: 'no lamp uses it',
  usedBy: (lamps: string) => `used by ${lamps}`,
  saveLampAsLm63: (name: string) => `Save ${name} as LM-63`,
  saveAsLm63: 'Save as LM-63',
  saveLampAsEulumdat: (name: string) => `Save ${name} as EULUMDAT`,
  saveAsEulumdat: 'Save as EULUMDAT',
  takeOutLampFile: (name: string) => `Take out ${name}`,
  takeOut: 'Take out',
  fileIsLarger: (megabytes: number) => `The file is larger than ${megabytes} MB; no such file is. Nothing was read.`,
};

export const LAMP_WISHES = {
  rangeOfMol: 'From 0.1 to 60 mol a day.',
  rangeOfPpfd: 'From 5 to 2000 µmol/m²s.',
  heightAndHours: 'Height and hours for a wanted light',
  wantedOverIt: 'What light is wanted over it',
  filledInFrom: (names: string, month: string) => `Filled in from what ${names} want in ${month}.`,
  wantedLight: 'Wanted light',
  molDay: 'mol a day',
  neverBrighterThan: 'Never brighter than',
  bringThatLightTo: 'Bring that light to',
  molAtSpot: (spot: string, mol: string) => `${spot}: ${mol} mol a day`,
  plantsStandIntoLamps:
    'The plants stand into the lamps at every height: give the lamps more room, or move the tallest plant.',
  tooBrightAtEveryHeight: 'At every height they are brighter than these plants tolerate: dim them.',
  noHeightWillDo: 'No height will do: where it is dim enough, they would have to run longer than 16 h.',
  addLampOrDim: 'Add a lamp, or dim the ones there and hang them lower.',
  daylightIsEnough: (height: string) => `Daylight is enough: no lamp hours are needed at ${height}.`,
  hangThemAndRun: (height: string, hours: string) => `Hang them ${height} above the board and run them ${hours} a day.`,
  tryHeightAndHours: 'Try that height and those hours',
  howItIsJudged:
    'Least and mean PPFD at the middle of the plants’ leaves, most at their tops, µmol/m²s; a spot ' +
    'without a plant is judged 12 cm above the board',
  heightsSideBySide: 'Heights side by side',
  height: 'Height',
  least: 'Least',
  mean: 'Mean',
  most: 'Most',
  even: 'Even',
  hours: 'Hours',
};

export const LIGHT_YEAR_SCREEN = {
  everyDayAndHour: 'Every day and hour',
  howToRead: (weather: string) => `Days across, hours down, the mean sky of each time. Weather: ${weather}.`,
  pictureOfDays: (home: string, spot: string) => `${home}, ${spot}: what shines, day by day`,
  eachDaysSum: 'Each day’s sum, mol a day',
  pictureOfSums: (home: string, spot: string) => `${home}, ${spot}: each day’s sum of light, mol a day`,
  noPlantWithNeeds: 'No plant with known needs stands here.',
  greyBand: (plant: string) => `The grey band is what ${plant} thrives on.`,
  whatShinesTold: 'What shines on this spot by day of the year and hour of the day; the table below tells it by month',
  steps: (strengths: string) =>
    `The stronger the darker, in steps from ${strengths} µmol/m²s. ` + 'Blank: night to a leaf.',
  sumTold: 'Sum of light by day; the table below tells it by month',
  lightByMonth: 'Light by month',
  month: 'Month',
  molDay: 'mol a day',
  hoursLit: 'Hours lit',
  wantsMol: 'Wants, mol',
  wantedFromTo: (from: string, to: string) => `${from} to ${to}`,
};

export const READINGS_SCREEN = {
  place: 'The place',
  readingsOfLightMeter: 'Readings of a light meter',
  howTheyCount: (readings: string, count: string) =>
    `${readings} ${count}. Readings of a spot are averaged with what is computed, surer ones count ` +
    'more; neighbours on the same stand count less. None is ever left out unless you withdraw it.',
  noneYet: 'None yet. Open a spot and take one: it takes twenty seconds, and beats any model.',
  lamps: (lamps: string) => `lamps ${lamps}`,
  curtains: (curtains: string) => `curtains ${curtains}`,
  outdoors: (value: number) => `outdoors ${value}`,
  withdrew: 'Withdrew',
  countsAgain: 'Counts again',
  summary: (done: string, what: string, spot: string) => `${done}: ${what} at ${spot}`,
  withdrawnOn: (date: string) => `Withdrawn on ${date}: it corrects nothing.`,
  lampLight: 'lamp light',
  timesComputed: (times: string, part: string) => `${times} times the computed ${part}`,
  notUsedDark: 'Not used: it was dark then by our reckoning. Check the time.',
  standsOut: '! It stands out from the others and from the model. Was it shaded, or the sky other than said?',
  countThisAgain: (what: string) => `Count ${what} again`,
  countAgain: 'Count again',
  withdrawThis: (what: string) => `Withdraw ${what}`,
  withdraw: 'Withdraw',
};

export const ROOM_DAY_SCREEN = {
  sky: 'Sky',
  monthAndDay: 'Month and day',
  day: 'Day',
  atSpots: 'At the spots',
  howToRead:
    'Curtains and lamps as scheduled for that time. The light is drawn at one height; each spot’s figure ' +
    'is at its own leaves.',
  timeOfDay: 'Time of day',
  stop: 'Stop',
  playDay: 'Play the day',
  hourEarlier: 'An hour earlier',
  hourLater: 'An hour later',
  sunInHigh: (direction: string, elevation: number) => `Sun in the ${direction}, ${elevation}° high`,
  sunIsDown: 'The sun is down',
  patchOutlined: 'Its patch on the floor is outlined.',
  noPatchOnFloor: 'No patch of it on the floor.',
  pictureOf: (home: string, room: string, time: string, date: string, sky: string) =>
    `${home}, ${room}: ${time} on ${date}, ${sky}`,
  ppfdAtHeight: (height: string) => `PPFD at ${height} above the floor, µmol/m²s`,
  lightAtEachSpot: 'Light at each spot',
};

export const TAKE_READING = {
  hoursAgo: (hours: number) => `${hours} h ago`,
  now: 'Now',
  minAgo: (minutes: number) => `${minutes} min ago`,
  rangeOfReading: (most: number, unit: string) => `A number. From 0 to ${most} ${unit}.`,
  rangeOutdoors: (least: number, most: number, unit: string) => `From ${least} to ${most} ${unit}, or nothing.`,
  pickDayAndTime: 'Pick a day and a time.',
  stillToCome: 'That is still to come.',
  takeReading: 'Take a reading',
  holdTheMeter: 'Hold the meter level where the leaves are, facing up, and stand out of the light.',
  meterShows: 'The meter shows',
  inUnit: 'In',
  sky: 'The sky',
  lampsAlone: 'Night, or every curtain tight, lamps on: this corrects the lamps alone.',
  when: 'When',
  moreExactly: 'More exactly',
  keepReading: 'Keep the reading',
  nothingMeasuredOutdoors: 'nothing measured outdoors',
  asItIsNow: (curtains: string | undefined, lamps: string | undefined, outdoors: string) =>
    `As it is now: curtains ${curtains}, lamps ${lamps}, ${outdoors}.`,
  day: 'Day',
  time: 'Time',
  readSummary: (what: string, spot: string) => `Read ${what} at ${spot}`,
  curtains: 'Curtains',
  lamps: 'Lamps',
  sameMeterOutdoors: 'The same meter outdoors, if you can',
  outdoorsHelp: 'On open level ground within a minute. Then cloud no longer matters: the surest reading there is.',
  molBeforeIt: (month: string, mol: string) => `; before it ${month} has ${mol} mol a day here`,
  whatItCorrects: (before: string) => `It corrects this spot, and less its neighbours on the same stand${before}.`,
  againstWhatIsComputed: 'Against what is computed',
  farFromExpected:
    '! That is far from what is expected here. Check the unit, the time, the sky and whether lamps were on.',
  goodForAbout: (percent: number, corrects: string) =>
    `A reading like this one is right to within about ${percent} %. ${corrects}`,
  notUsedDark:
    '! Not used: by our reckoning it was dark then. Check the time and the sky; it can be kept all the same.',
  luxAndLamps: 'A lux meter hardly sees red and blue lamps: such a reading may be off by half or more.',
  measuredAgainstComputed: (measured: string, computed: string, times: string) =>
    `Measured ${measured}, computed ${computed} µmol/m²s: ${times} times.`,
};

export const TIER_SCREEN = {
  theTier: 'tier',
  unlitTier: (heightCm: number) => `Tier at ${heightCm} cm, without a lamp`,
  tierUnderItsLamps: (heightCm: number) => `Tier at ${heightCm} cm, under its lamps`,
  pictureOf: (home: string, stand: string, heightCm: number) =>
    `${home}, ${stand}: under the lamps of the tier at ${heightCm} cm`,
  howToRead: 'PPFD 12 cm above the board by all lamps that reach it, µmol/m²s; rings are the spots',
  caution:
    'Hang nothing over people or pots without a second hold, keep cables in a drip loop and away from ' +
    'splashes, and load no socket beyond its rating: follow the labels and your local code, and ask a ' +
    'licensed electrician.',
  whatEachLampGives: 'What each lamp gives',
  lampsAtHeight: (stand: string, height: string, aDay: string) => `Lamps over ${stand} at ${height}${aDay}`,
  lampsHangAt: (height: string) => `Lamps hang ${height} above the board`,
  heightOfLamps: 'Height of the lamps',
  lowerLampsBy: (step: string) => `Lower the lamps by ${step}`,
  lower: 'Lower',
  raiseLampsBy: (step: string) => `Raise the lamps by ${step}`,
  raise: 'Raise',
  firstInEnclosure: ', here first in the enclosure',
  powerAndHeat: 'Power and heat',
  powerAndEnergy: (watts: number, kWhADay: string, month: string) =>
    `${watts} W while they are on, ${kWhADay} kWh a day in ${month}. `,
  endsAsWarmth: (enclosed: string) => `All of it ends as warmth in the room${enclosed}.`,
  ratedWithin: (ratedBy: string, doubt: string) => `${ratedBy}, within ${doubt}`,
  leftOfFirstLight: (percent: string) => `${percent} left of its first light`,
  dimmedTo: (percent: string) => `dimmed to ${percent}`,
  spreadByFile: 'spread by its measured file',
};

export const TIER_SPREAD = {
  least: 'Least',
  mean: 'Mean',
  most: 'Most',
  evenness: 'Evenness, least over mean',
  reflected: 'Reflected by walls and boards',
  meanDaylight: (month: string) => `Daylight in ${month}, mean`,
  molDay: (mol: string) => `${mol} mol a day`,
  ppfdOverTier: 'PPFD over the tier, lamps alone',
  ppfdFromTo: (least: number, most: number) => `PPFD over the tier from ${least} to ${most}`,
};

export const LIGHT_WAYS = {
  heading: 'Ways to that light',
  none: 'None was found: no lamp fits over it without being too bright for its plants.',
  ways: {
    longer: 'Run its lamps longer',
    hang: 'Hang its lamps at another height',
    curtains: 'Leave the curtains open, and run its lamps',
    paint: 'Paint the walls white, and run its lamps',
    buy: 'Add a lamp',
  },
  unlitWays: {
    curtains: 'Leave the curtains open',
    paint: 'Paint the walls white',
    buy: 'Hang a lamp',
  },
  othersRunOn: 'Beside the lamps there, which run on as they do.',
  forms: {
    bar: (count: number) => (count === 1 ? '1 bar of' : `${count} bars side by side, each of`),
    panel: (count: number) => (count === 1 ? '1 panel of' : `${count} panels in a row, each of`),
  },
  lamp: (what: string, ppf: number, watts: number, long: string) =>
    `${what} ${ppf} µmol/s (about ${watts} W as LED, ${long} long)`,
  above: (height: string) => `${height} above the board`,
  hoursADay: (hours: string) => `${hours} a day`,
  noHours: 'no lamp hours needed',
  daylightAlone: 'daylight alone',
  dimmest: (mol: string) => `the dimmest spot gets ${mol} mol a day`,
  even: (share: string) => `evenness ${share}`,
  energy: (kWh: number, cost: string) => `${kWh} kWh a year${cost}`,
  notEnough: 'Not enough by itself.',
  method:
    'Hours are those of the month above; electricity is added up over the year, each month with the hours it needs. ' +
    'A lamp to buy is sized for 14 h, by 2.4 µmol a joule, as white LEDs have; take the next larger one.',
  caution:
    'Before you add a lamp: the rating of timer, socket and circuit, a drip loop in its cable, no splashes, a ' +
    'fixing that bears it. Local codes and a licensed electrician come first.',
};
