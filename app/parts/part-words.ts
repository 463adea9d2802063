/** What the parts that several screens share say, file by file. */

export const BRING_BACK = {
  takenOut: 'Taken out',
  bringBack: (home: string) => `Bring back ${home}`,
  takenOutOn: (date: string) => `Taken out on ${date}, with all its rooms and plants.`,
};

export const FIGURES_TABLE = {
  figuresOf: (name: string) => `Figures of ${name}`,
  yoursForTaxon: 'yours for the whole taxon',
  beforeIt: (whose: string, value: string) => `${whose}; before ${value}`,
  correctFigure: (label: string) => `Correct ${label}`,
  close: 'Close',
  correct: 'Correct',
  withdrewCorrectionOf: (name: string, label: string) => `Withdrew a correction of ${name}: ${label}`,
  withdrawCorrectionOf: (label: string) => `Withdraw the correction of ${label}`,
  withdraw: 'Withdraw',
  range: (from: number, to: number, unit: string) => `A number from ${from} to ${to} ${unit}.`,
  wouldCross: (other: string, value: string) =>
    `It would cross “${other}”, which stands at ${value}. Correct that one first.`,
  corrected: (name: string, label: string) => `Corrected ${name}: ${label}`,
  yourFigure: 'Your figure',
  why: 'Why',
  reasonHelp: 'What you saw or measured; it stands beside the figure.',
  keepThisFigure: 'Keep this figure',
  leaveIt: 'Leave it',
};

export const FIT_MARK = {
  fitNotKnown: 'Fit not known',
  allRight: 'All five factors right',
};

export const HAZARDS = {
  onSkin: (harm: string) => `on skin ${harm}`,
  inEyes: (harm: string) => `in eyes ${harm}`,
  noHarmKnown: 'No harm to people, cats, dogs, birds or small mammals is known of it; that does not make it food.',
  notAllKnown: (whom: string) => `No harm is known of it. For ${whom} nobody has said: keep it out of their reach.`,
  withCare: '⚠ With care',
  eaten: (harms: string) => `Eaten: ${harms}.`,
  sap: (harms: string) => `Sap: ${harms}. Wear gloves, and mind your eyes when you cut it.`,
  spines: 'Spines: keep it out of ways and reach, and move it with tongs or a folded cloth.',
  someSpines: 'Some spines or thorns: mind where it stands.',
  whomToAsk:
    'If someone has eaten it or got it in an eye, ask a doctor, a vet or a poison line at once, and take ' +
    'a piece of the plant along.',
};

export const KEY = {
  whatSignsMean: 'What the signs mean',
  fiveStrokesOfPlant: 'The five strokes of a plant',
  fromLeftToRight: (factors: string) => `From left to right: ${factors}. A dot is right.`,
  belowLineTooLittle: 'Below the line: too little.',
  aboveItTooMuch: 'Above it: too much.',
  longStroke: 'A long stroke: so far off that it harms the plant.',
  factors: 'Factors',
  molDay: 'Mol a day',
  allLightThatFalls: (lightWords: string) =>
    `All the light that falls on a leaf from morning to night, counted in photons: ${lightWords}, ` +
    'above that very bright. A sunny day outdoors in summer has 40 to 60. µmol/m²s is the same ' +
    'light at one moment.',
  onPlans: 'On plans',
  spotThatIsRight: 'A spot with a plant that is right',
  freeSpot: 'A free spot',
  ownLight: 'The ring round a spot: the light at its own leaves',
  windowInWall: 'A window in a wall',
  windowInRoof: 'A window in the roof',
  cabinet: 'A cabinet or tent that stands in the room',
  cupboard: 'A cupboard or another solid thing',
};

export const LAMP_HOURS = {
  hoursADay: (circuit: string, hours: string) => `${circuit}: ${hours} h a day`,
  summary: (circuit: string, on: string, off: string) => `${circuit}: ${on} to ${off}`,
  itDoesNotRun: (month: string) => `It does not run in ${month}.`,
  onAt: (time: string) => `On ${time}`,
  onEarlier: (circuit: string) => `${circuit} on earlier`,
  earlier: 'Earlier',
  onLater: (circuit: string) => `${circuit} on later`,
  later: 'Later',
  offAt: (time: string) => `Off ${time}`,
  offEarlier: (circuit: string) => `${circuit} off earlier`,
  offLater: (circuit: string) => `${circuit} off later`,
  followsPlan: 'It follows a programme month by month.',
  oneTime: 'Back to one time for all months',
  oneTimeFor: (circuit: string) => `${circuit}: one time for all months`,
};

export const LAMP_TOUCHED = {
  plantsThatStandInto: 'Plants that stand into lamps',
  standsIntoLamp: (heightCm: number | null, lamp: string) =>
    `With ${heightCm} cm it stands into the lamp “${lamp}”. Hang the lamp higher, or give the plant ` +
    'a taller place.',
  caution: 'Leaves that touch a lamp burn, and water in it can give a shock: switch it off before you move it.',
};

export const MENDS = {
  toward: 'toward',
  looking: 'Looking for what would help …',
  byFahrenheit: ' by about 5 °F',
  byCelsius: ' by about 3 °C',
  moveTo: (spot: string) => `Move to ${spot}`,
  changePlacesWith: (plant: string) => `Change places with ${plant}`,
  moveBoth: (own: string, otherOne: string, other: string) => `Move to ${own}, and ${otherOne} to ${other}`,
  awayFrom: 'away from',
  shiftIt: (distance: string, way: string) => `Shift it ${distance} ${way} the window`,
  circuitFromTo: (circuit: string, from: string, to: string) => `${circuit} from ${from} to ${to}`,
  dimmedTo: (lamp: string, percent: number) => `${lamp} at ${percent} %`,
  hangAt: (lamp: string, height: string) => `Hang ${lamp} ${height} over its board`,
  curtainHours: (from: string, to: string, months: string) => `${from} to ${to} ${months}`,
  hangCurtain: (curtain: string, window: string, hours: string) => `A ${curtain} at the ${window} from ${hours}`,
  openCurtain: (window: string, months: string) => `The curtain at the ${window} open ${months}`,
  doIt: 'Do it',
  tryIt: 'Try it',
  forPlant: (doOrTry: string, remedy: string, name: string) => `${doOrTry}: ${remedy}, for ${name}`,
  otherChanges: (plant: string, before: string, after: string) => `${plant} ${before} to ${after}`,
  effect: (verdict: string, after: string, now: string) => `${verdict}: ${after}, now ${now}`,
  also: (others: string) => `; also ${others}`,
  getUsedToIt: (times: string, weeks: number) =>
    `${times} times the light it has now: let it get used to it over ${weeks} weeks, twice the ` +
    'light each fortnight.',
  leftAlone: (remedy: string, plant: string, before: string, after: string) =>
    `Left alone: “${remedy}” would take ${plant} from ${before} to ${after}.`,
  nothingHelps: 'No free spot and no setting here helps enough.',
  itLacks: (mol: string, ppfd: string) => ` It lacks ${mol} mol a day: a lamp that gives ${ppfd}`,
  lampHours: (hours: number) => ` at its leaves for ${hours} hours would give that.`,
};

export const NOT_HERE = {
  notHere: 'Not here',
  notInThisHome: (what: string) => `This ${what} is not in this home, or not any more.`,
  goBack: 'Go back',
};

export const PENDING = {
  working: 'Working …',
  failed: (message: string) => `✕ This could not be worked out. ${message}`,
  tryAgain: 'Try again',
};

export const REFUSED = {
  marked: 'Some answers cannot be kept yet: they are marked above.',
};

export const RESERVE_CURVE = {
  usedUpAtEnd: 'used up at the end',
  atItsLeast: (percent: number) => `${percent} % at its least`,
  told: (months: number, percent: number, end: string) =>
    `Its reserve over the next ${months} months: ${percent} % now, ${end}`,
  howToRead: 'Its reserve from this month on: full at the upper edge, used up at the lower line.',
};

export const ROOM_PLAN = {
  planOf: (room: string) => `Plan of ${room}, wall A below`,
};

export const TAXON_PICKER = {
  anyName: 'Any name, spelt as you can: Latin, common, old, a cultivar.',
  onceCalled: (synonym: string) => `once ${synonym}`,
  nothingComesNear: (asked: string) => `Nothing comes near “${asked}”. Try another name or the nearest relative.`,
};

export const YEAR_BANDS = {
  light: 'Light',
  lightRange: (from: string, to: string, survives: string, scorches: string) =>
    `${from} to ${to} mol a day; tolerates ${survives} to ${scorches}`,
  dayLength: 'Day length',
  atLeastHours: (minH: number) => `at least ${minH} h`,
  hoursFromTo: (from: number, to: number) => `${from} to ${to} h`,
  days: 'Days',
  daysRange: (from: string, to: string, highest: string) => `${from} to ${to}; never above ${highest}`,
  nights: 'Nights',
  nightsRange: (from: string, to: string, lowest: string) => `${from} to ${to}; never below ${lowest}`,
  moisture: 'Moisture',
  moistureRange: (from: number, to: number, survives: number) => `${from} to ${to} %; tolerates ${survives} %`,
  howToRead: 'Filled: where it thrives. The thin line: what it tolerates.',
  petals: ' Five petals: it blooms.',
  stretchByStretch: 'Its year, stretch by stretch',
};

/** What is told of measured air that harms plants. */
type TellsAlarm = (logger: string, worst: string, limit: string, forHours: string, whom: string) => string;

export const ALARM_WORDS = {
  alarm: {
    cold: (logger, worst, limit, forHours, whom) =>
      `${logger}: as cold as ${worst} ${forHours}, below ${limit}. ${whom} cannot wait: warm it or move it now.`,
    heat: (logger, worst, limit, forHours, whom) =>
      `${logger}: as hot as ${worst} ${forHours}, above ${limit}. ${whom} cannot wait: shade it and let air in now.`,
    dry: (logger, worst, limit, forHours, whom) =>
      `${logger}: as dry as ${worst} ${forHours}, below ${limit}. ${whom} dries out: moisten its air or cover it.`,
    damp: (logger, worst, limit, forHours, whom) =>
      `${logger}: as damp as ${worst} ${forHours}, above ${limit}. ${whom} will rot: let air in or set a fan.`,
  } satisfies Record<'cold' | 'heat' | 'dry' | 'damp', TellsAlarm>,
  forHours: (hours: number) => (hours === 1 ? 'for an hour' : `for ${hours} hours`),
  andOthers: (first: string, others: number) => `${first} and ${others === 1 ? 'one other' : `${others} others`}`,
};

export const PLAN_STEPS = {
  aPlant: 'a plant',
  aTimer: 'a timer',
  aLamp: 'a lamp',
  carry: (plant: string, where: string) => `Carry ${plant} ${where}`,
  from: (place: string) => `from ${place}`,
  fromTable: 'from the table',
  to: (place: string) => `to ${place}`,
  toTable: 'to a table beside, for now',
  timer: (timer: string) => `Set ${timer}`,
  hang: (lamp: string) => `Hang ${lamp}`,
  above: (height: string) => `${height} above its board`,
  shade: (plant: string) => `Put a sheet of thin white paper before ${plant}`,
  unshade: (plant: string) => `Take the paper away from ${plant} for good`,
  aWindow: 'a window',
  curtain: (window: string) => `Curtains of ${window}`,
  leftOpen: 'left open',
  drawn: (curtain: string, from: string, to: string, months: string) =>
    `${curtain} drawn from ${from} to ${to}, ${months}`,
  aHumidifier: 'a humidifier',
  humidifier: (thing: string) => `Set ${thing}`,
  toRh: (rh: number) => `${rh} % humidity`,
};

export const TIMER_WORDS = {
  off: 'off',
  dimmed: (share: number) => `, dimmed to ${share} %`,
  fading: (minutes: number) => `; fading in and out over ${minutes} min`,
};

export const PLUG_WORDS = {
  silent: 'It does not answer: it may have no power, or another address.',
  nonsense: 'What it answers makes no sense, so nothing is sent to it.',
  refuses: (reason: string | null) => `It takes no programme${reason ? `. It says: “${reason}”` : '.'}`,
  clock: (minutes: number, way: 'ahead' | 'behind') =>
    `Its clock is ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} ${way}: ` +
    `its lamps come on and go off that much too ${way === 'ahead' ? 'early' : 'late'}.`,
  otherMonth: 'Its calendar stands in another month.',
  otherProgramme: 'It keeps another programme than its timer here, all year.',
  otherMonths: (when: string) => `It keeps another programme than its timer here ${when}.`,
  switched: (is: 'on' | 'off') =>
    `It is ${is} though its own programme says ${is === 'on' ? 'off' : 'on'}: switched by hand, or stuck.`,
  load: (watts: number, expectedW: number) =>
    `It is on, but only ${watts} W flow where its lamps draw about ${expectedW} W: a lamp may be dead or unplugged.`,
};
