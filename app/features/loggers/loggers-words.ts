/** What the screens of loggers say, file by file. */

export const LOGGERS_SCREEN = {
  place: 'The place',
  title: 'Loggers',
  about:
    'A logger is a small device that writes down warmth and humidity all day. ' +
    'What it measured corrects what is computed of its room.',
  none: 'No logger has measured anything yet. Import the file yours gives you.',
  importFile: 'Import a logger’s file',
  working: 'Asking for the loggers',
  samples: (samples: string, from: string, to: string) => `${samples} samples, ${from} to ${to}`,
  samplesOn: (samples: string, day: string) => `${samples} samples, ${day}`,
  noSamples: 'no samples yet',
  nowhere: 'place not given',
};

export const IMPORT_SCREEN = {
  title: 'Import a logger’s file',
  about: 'A table as text: one line for each moment, with warmth, humidity or light in its columns.',
  choose: 'Choose a file',
  preview: 'As it will be read',
  column: (name: string) => `Column: ${name}`,
  columnNumbered: (number: string) => `column ${number}`,
  dateOrder: 'Order of dates',
  ymd: 'Year, month, day',
  dmy: 'Day, month, year',
  mdy: 'Month, day, year',
  unit: 'Warmth is in',
  celsius: '°C',
  fahrenheit: '°F',
  clock: 'Its clock shows',
  clockHere: (zone: string) => `the time here (${zone})`,
  clockUtc: 'world time (UTC)',
  where: 'Where it hangs',
  name: 'Name of the logger',
  nameNeeded: 'Give it a name.',
  importIt: 'Import it',
  stop: 'Stop',
  working: 'Importing the file',
  percent: (share: string) => `${share} %`,
  needsTime: 'Say which column holds the date and time.',
  needsMeasure: 'Say which column holds warmth, humidity or light.',
  refused: (line: string, message: string) => `Line ${line}: ${message} Nothing was imported.`,
  failed: (message: string) => `${message} What was sent before stays; import the file again to complete it.`,
  done: (lines: string, from: string, to: string) => `${lines} lines imported, from ${from} to ${to}.`,
  stopped: (lines: string) => `Stopped after ${lines} lines. Import the file again to complete it: nothing is doubled.`,
  missing: (values: string) => `Missing in it: ${values}.`,
  gaps: (what: string, gaps: string, hours: string) => `${what}: ${gaps}, the longest ${hours}.`,
  jumps: (what: string, jumps: string) => `${what}: ${jumps}. Did it fall, get wet, or lie in the sun?`,
  stuck: (what: string, times: string) =>
    `${what}: told the very same for a day or more, ${times}. The sensor may be stuck.`,
  twice: (what: string, times: string) => `${what}: ${times} told twice; the later value stands.`,
  toLoggers: 'See the loggers',
};

export const COLUMN_WORDS = {
  ignore: 'Leave out',
  time: 'Date and time',
  date: 'Date',
  clock: 'Time of day',
  temperature: 'Warmth',
  humidity: 'Humidity',
  ppfd: 'Light, PPFD',
  illuminance: 'Light, lux',
};

export const LOGGER_SCREEN = {
  loggers: 'Loggers',
  stretch: 'How long a stretch',
  day: 'A day',
  week: 'A week',
  year: 'A year',
  earlier: 'Earlier',
  later: 'Later',
  fromTo: (from: string, to: string) => `${from} to ${to}`,
  pictureOf: (name: string, what: string, stretch: string) => `${name}: ${what}, ${stretch}`,
  told: (what: string) => `${what} over time`,
  legend: 'Line: the mean. Pale: from the least to the most.',
  band: (plants: string) => `Grey: what suits ${plants}.`,
  onePlant: 'the plant that stands there',
  allPlants: (count: string) => `all ${count} plants that stand there`,
  least: 'Least',
  mean: 'Mean',
  most: 'Most',
  outOfBand: 'Out of the grey band',
  hours: (hours: string) => `${hours} h`,
  nothingThen: 'Nothing was measured then.',
  measuredMonths: 'Months it measured',
  month: 'Month',
  measured: 'Measured, day / night',
  guessed: 'Before',
  learnt: 'Learnt',
  fewDays: 'No month has seven days of warmth and humidity yet.',
  agree: (kelvin: string, points: string) =>
    `Without it, what is computed lies ${kelvin} and ${points} points of humidity from what was measured, in the mean.`,
  agreeNow: (kelvin: string, points: string) =>
    `With what it taught, ${kelvin} and ${points} points. The months themselves stand as measured.`,
  letItCorrectSpot: 'Let it correct its own spot',
  spotUsed: (place: string) => `Air of ${place} as its logger measured it`,
  spotInUse: (place: string) => `The air of ${place} is as it was measured there.`,
  spotForget: 'Let its spot follow the room again',
  spotForgotten: (place: string) => `Air of ${place} follows its room again`,
  twoDisagree: (other: string, kelvin: string, points: string) =>
    `It differs from ${other} in the same room by ${kelvin} and ${points} points of humidity, ` +
    'in the mean of the months both measured.',
  drifts: (early: string, late: string) =>
    `At first they differed by ${early} points, of late by ${late}: one of them drifts.`,
  saltTest:
    'To see which hygrometer is right, shut it in a bag with a cap of wet table salt for eight hours: ' +
    'it must show 75 %.',
};

export const ROOM_LESSON = {
  letItCorrect: (room: string) => `Let it correct the air of ${room}`,
  aboutUse:
    'Its months then stand for themselves, and what they teach of leaks, water and walls moves the others. ' +
    'It can be taken back.',
  learning: 'Working out what it teaches of its room',
  used: (room: string) => `Air of ${room} as its logger measured it`,
  inUse: (room: string) => `The air of ${room} is as it was measured.`,
  forget: 'Take this back',
  forgotten: (room: string) => `Air of ${room} as it was guessed`,
  taught: (days: string) => `What ${days} days of it taught, beside what was assumed:`,
  taughtTable: 'What it taught of the room',
  lesson: {
    airing: 'Air changed for outside air',
    water: 'Water given to the air',
    walls: 'Heat lost through walls and panes',
    sun: 'Heat of the sun',
    holds: 'Warmth that walls and things hold',
    dayK: 'Heating by day',
    nightK: 'Heating by night',
  },
  times: (factor: string, least: string, most: string) => `${factor} times (${least} to ${most})`,
  warmer: (by: string, give: string) => `${by} (give or take ${give})`,
};

export const LIGHT_MONTHS = {
  title: 'Light it measured, mol a day',
  month: 'Month',
  measured: 'Measured',
  computed: 'Computed',
  fewDays: 'No month has seven whole days of light yet.',
  hangAtSpot: 'It hangs in the room, at no spot: only a logger at a spot can correct its light.',
  letItCorrect: (place: string) => `Let it correct the light of ${place}`,
  about:
    'Each month then counts as a reading, good to an eighth, since no year is quite like another. ' +
    'Withdraw them under Readings.',
  used: (place: string) => `Light of ${place} by its logger`,
  inUse: (place: string) => `The light of ${place} is corrected by it.`,
  by: (logger: string) => `By ${logger}`,
};

export const LIVE_LOGGERS = {
  title: 'Loggers that send by themselves',
  letIn: 'Let a logger in',
  aboutLetIn: 'It sends what it measures over your network, with a key of its own.',
  name: 'What you call it',
  where: 'Where it hangs',
  makeToken: 'Make its key',
  tokenOnce: 'This is its key. It is shown once: put it into the logger now.',
  howToSend: (address: string) =>
    `It sends JSON by POST to ${address}, with the header “Authorization: Bearer” and its key.`,
  example:
    'For each moment: at (milliseconds since 1970), temperature in °C, humidity in %. ' + 'Battery in % beside them.',
  neverSeen: 'has sent nothing yet',
  seen: (ago: string) => `seen ${ago} ago`,
  battery: (percent: string) => `battery ${percent} %`,
  silent: 'It has been silent for hours. Look at its battery and at your network.',
  shutOut: 'Shut it out',
  shutOutOf: (name: string) => `Shut out ${name}`,
};
