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
  enclosure: 'Try a cabinet, dome or bag',
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
  stillSteps: 'The darker, the stiller: still, gentle, moving, and white where a fan blows straight.',
  evenly: 'It is the same all over the room.',
};

export const AIR_PLANTS = {
  helps: (remedy: string) => `. What helps most for its effort: ${remedy}`,
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
    'A cold corner is moist enough for mould on a typical day. Mould harms health: air, heat and dry that corner, ' +
    'and ask a doctor when someone coughs or wheezes there.',
};

export const ENCLOSURE_SCREEN = {
  title: 'Try a cabinet, dome or bag',
  about: 'Put one where a plant stands, and see its air before you buy it or shut it.',
  noSpots: 'This room has no place for plants yet, so there is nowhere to put one.',
  addSpot: 'Say what plants can stand on here',
  where: 'Where it stands',
  shell: 'What it is made of',
  shells: {
    glass: 'Glass',
    'double-glass': 'Double glass',
    acrylic: 'Acrylic',
    polycarbonate: 'Twin-wall sheet',
    film: 'Thin film, a bag',
    fabric: 'Fabric',
  },
  aired: 'How it is aired',
  airings: { shut: 'Shut tight', gap: 'Small gaps', vents: 'Vents or a door ajar', fan: 'A small fan' },
  wet: 'Wet moss, soil or trays in it',
  wets: { none: 'None', half: 'Half its floor', all: 'All its floor' },
  sliders: {
    width: 'Width',
    depth: 'Depth',
    height: 'Height',
    lamp: 'Lamps inside it',
    lampHours: 'They burn for',
    highest: 'The most its plants survive',
  },
  watts: (watts: string) => `${watts} W`,
  dayIn: (month: string) => `Its air on a typical day in ${month}`,
  pictureOf: (room: string) => `An enclosure in ${room}: its warmth and moisture by hour`,
  legend: 'Warmth above, dashed that of the room; humidity below.',
  warmth: 'Warmth, day / night',
  moisture: 'Humidity, day / night',
  vpd: 'Dryness (VPD) by day',
  kPa: (value: string) => `${value} kPa`,
  settles: 'Warms or cools by two thirds in',
  shellWet: 'Water runs down its shell for',
  clearHigh: 'Warmest on a clear day',
  minutes: (minutes: string) => `${minutes} min`,
  overheats: (after: string, highest: string) =>
    `On a clear day the strongest light takes it past ${highest} within ${after}: shade it or open it before.`,
  staysCool: (highest: string) => `Even the strongest light of a clear day does not take it past ${highest}.`,
  howSure: 'Right to about 2 °C and 10 points of humidity; how fast it overheats, to a third.',
  caution:
    'Never leave a shut case in the sun unwatched. Lamps in moist air must be rated for it, hang clear of leaves and ' +
    'film, and be fed through a residual-current breaker; ask an electrician.',
  noOutdoors: 'The climate of this home is not known, so its air cannot be computed. Choose one in Settings.',
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
