/** What the screens of the air say, file by file. */

export const ROOM_AIR_SCREEN = {
  title: 'Its air through the year',
  what: 'What is drawn',
  warmth: 'Warmth',
  moisture: 'Moisture',
  dryness: 'Dryness (VPD)',
  pictureOfYear: (home: string, room: string, what: string) => `${home}, ${room}: ${what} by hour and month`,
  aboutYear: (basis: string) => `A typical day of each month, midnight at the top. ${basis}`,
  dayIn: (month: string) => `A typical day in ${month}`,
  pictureOfDay: (home: string, room: string, month: string) =>
    `${home}, ${room}: warmth and moisture by hour in ${month}`,
  computed: 'Computed from the room and the outdoor air of the month.',
  corrected: 'Computed, and moved by what you measured in other months.',
  stated: 'As you measured it; its course through the day is computed.',
  between: 'Estimated between the months you measured: the outdoor climate is not known.',
  assumed: 'Assumed: neither the outdoor climate nor the room’s air is known.',
  sayMore: 'Say how it is heated and aired',
  nothingSaid: 'Nothing was said of how this room is heated and aired, so usual values are assumed.',
  remedies: 'Compare remedies for its air',
  onPlan: 'Where in the room',
  months: 'Month by month',
  night: 'Night',
  day: 'Day',
  humidity: 'Humidity',
  within: 'Within',
  month: 'Month',
  waterOfDay: 'Where its water comes from and goes',
  windowsOpened: 'Its windows are taken to be open by day: it would grow too warm otherwise.',
  edit: 'Change its heating, its airing and what stands in it',
};

export const AIR_YEAR_DRAWING = {
  told: (what: string) => `${what} by hour of the day and month`,
  from: (value: string) => `from ${value}`,
};

export const AIR_DAY_DRAWING = {
  told: 'Warmth and moisture of the room hour by hour, with the outdoors',
  room: 'Warmth in the room',
  outdoors: 'Outdoors',
  humidity: 'Humidity in the room',
  howSure: (kelvin: string, below: string, above: string) =>
    `The pale bands hold the truth in about four cases of five: ± ${kelvin}, and ${below} to ${above} %.`,
};

export const AIR_PLAN = {
  what: 'What is washed',
  cold: 'Cold nights',
  dry: 'Dry days',
  still: 'Still air',
  pictureOf: (home: string, room: string, what: string, month: string) => `${home}, ${room}: ${what} in ${month}`,
  coldFromTo: (from: string, to: string) =>
    `The darker, the colder by night: ${from} to ${to}, at the height of a table.`,
  dryFromTo: (from: string, to: string) =>
    `The darker, the drier by day: ${from} to ${to} %, at the height of a table.`,
  stillSteps: 'Dark: still. Pale: gentle. White: a fan or a draught reaches it.',
  evenly: 'It is the same all over the room.',
};

export const AIR_PLANTS = {
  title: 'Plants whose air is wrong here',
  none: 'Warmth, moisture and air movement suit every plant here.',
};

export const WATER_DAY = {
  sources: 'People, laundry, cooking and plants',
  evaporation: 'Open water and wet soil',
  humidifier: 'Humidifier',
  dehumidifier: 'Dehumidifier',
  condensation: 'Settles on cold glass',
  airing: 'With the air that is changed',
  links: 'With other rooms',
  grams: (grams: string) => `${grams} g`,
  aDay: 'Each day',
};

export const WET_HOURS = {
  pane: (hours: string) => `Water settles on its coldest pane for ${hours} of a typical day.`,
  mould:
    'A cold corner is moist enough for mould on a typical day. Mould harms health: air, heat and dry that corner, and ' +
    'ask a doctor when someone coughs or wheezes there.',
};

export const BENCH_SCREEN = {
  title: 'Remedies for its air',
  about: (room: string, month: string) =>
    `Each alone, in ${room} on a typical day in ${month}: what it brings and what it costs.`,
  target: 'Humidity you want',
  perCent: (rh: string) => `${rh} %`,
  asItIs: 'As it is',
  dayRh: 'By day',
  nightRh: 'By night',
  vpd: 'VPD by day',
  hours: 'Hours at the target',
  wetPane: 'Water on the coldest pane',
  mould: 'Cold corner moist enough for mould',
  hoursADay: (hours: string) => `${hours} h a day`,
  litres: 'Water',
  energy: 'Energy',
  cost: 'Cost',
  kPa: (value: string) => `${value} kPa`,
  litresADay: (value: string) => `${value} l a day`,
  kWhADay: (value: string) => `${value} kWh a day`,
  price: 'Price of a kWh, in your money',
  priceHelp: 'Empty: no cost is told.',
  priceRange: 'A number from 0 to 100.',
  aDay: (value: string) => `${value} a day`,
  humidifierHolds: (grams: string, litres: string, target: string) =>
    `To hold ${target} % by day a humidifier must give ${grams} g/h: ${litres} l a day to fill in.`,
  humidifierNone: (target: string) => `The room has ${target} % by day without a humidifier.`,
  humidifierNever: (grams: string, target: string) =>
    `${target} % would take ${grams} g/h all day: no sensible machine does that. ` +
    'Air less, cool it, or enclose the plants.',
  byDayByNight: (day: string, night: string) => `${day} h by day, ${night} h by night`,
  howMuch: (remedy: string) => `How much of it: ${remedy}`,
};

export const REMEDY = {
  mist: 'Mist the leaves',
  mistDose: (times: string) => `${times} times a day`,
  mistSide:
    'Wet leaves spot and rot where air stands still; hard water leaves marks. Never on felted leaves or crowns.',
  mistWet: (hours: string) => `A sprayed leaf is dry after ${hours}, to a factor of two.`,
  tray: 'Set a tray of water or wet pebbles',
  trayDose: (area: string) => `${area} m²`,
  traySide: 'Pots must not stand in the water. What it gives is known to a factor of two.',
  group: 'Move the pots together',
  groupDose: 'leaf to leaf',
  groupSide: 'Pests and mould pass from leaf to leaf: leave room to look. It moistens the air among the leaves alone.',
  humidifier: 'Run a humidifier',
  humidifierDose: (grams: string) => `${grams} g/h all day`,
  humidifierSide:
    'Clean it weekly; cold mist from hard water leaves dust. Keep its plug dry and above the spray; ' +
    'a residual-current breaker protects you.',
  cooler: 'Lower the heating',
  coolerDose: (kelvin: string) => `by ${kelvin}`,
  coolerSide: 'Cold corners grow wetter: see the hours of mould. Mind what your plants survive by night.',
  'less-airing': 'Air less',
  'less-airingDose': (share: string) => `${share} % of the airing is left`,
  'less-airingSide':
    'People need fresh air, fires and gas cookers more so: never shut vents for them. Mould grows sooner.',
};
