/** What the screens of the place and its parts say, file by file. */

export const CIRCUIT_PARTS = {
  itsProgramme: 'Its programme',
  setProgramme: 'Set it month by month',
  itsPlug: 'A plug on your network that follows it',
  itsLamps: 'Lamps on this circuit',
  noLampYet: 'No lamp hangs on it yet: hang lamps over the tier of a stand.',
  watts: (powerW: number) => `${powerW} W`,
};

export const EDIT_SCREEN = {
  newOne: (noun: string) => `New ${noun}`,
  editThis: (noun: string) => `Edit this ${noun}`,
  whatIsEdited: 'Its name, place, size and more; or take it out.',
  place: 'The place',
  tierAtCm: (heightCm: number) => `Tier at ${heightCm} cm`,
  airIn: (month: string) => `Air in ${month}`,
  back: 'Back',
  heatingAndAiring: 'Heating and airing',
};

export const HISTORY = {
  place: 'The place',
  whatWasChanged: 'What was changed',
  undone: 'Undone',
  undoChange: (summary: string) => `Undo: ${summary}`,
  undo: 'Undo',
  nothingYet: 'Nothing yet.',
  showEarlierChanges: 'Show earlier changes',
};

export const PART_LIST = {
  addOne: (noun: string) => `Add a ${noun}`,
};

export const PLACE_SCREEN = {
  noWeatherFile: 'no weather file',
  lightMeasuredAndImported: 'Measured and imported',
  loggers: 'Loggers of warmth and humidity',
  plugs: 'Timer plugs on your network',
  lightMeter: (readings: string) => `Light meter: ${readings}`,
  files: (weather: string, lampFiles: string) => `Weather file and lamp files: ${weather}, ${lampFiles}`,
  whatWasChanged: 'What was changed',
  everyChange: 'Every change, and undoing an older one',
  where: (latitude: number, north: string, longitude: number, east: string, elevationM: number, timeZone: string) =>
    `${latitude}° ${north}, ${longitude}° ${east}, ${elevationM} m above the sea · ${timeZone}`,
  weather: (weather: string) => `Weather: ${weather}`,
  editWhereItIs: 'Edit where it is',
  rooms: 'Rooms',
  size: (width: string, depth: string, height: string) => `${width} by ${depth}, ${height} high`,
  addRoom: 'Add a room',
  lampCircuits: 'Lamp circuits',
  addCircuit: 'Add a circuit',
  addSupply: 'Add an electrical circuit',
  supplyAllows: (watts: number) => `Electrical circuit, ${watts} W`,
};

export const PLACE_SUN = {
  theSunThere: 'The sun at this place',
  aboutTheSun:
    'On the 15th of each month, by your clock, over open ground; its height above the horizon at noon. ' +
    'If it looks wrong, check latitude, longitude and time zone.',
  month: 'Month',
  rises: 'Rises',
  sets: 'Sets',
  noon: 'At noon',
  upAllDay: 'up all day',
  staysDown: 'stays down',
};

export const ROOM_PARTS = {
  noAirStated:
    'Nothing measured yet: its air is computed from its heating, airing and windows. A month you have measured ' +
    'corrects it.',
  windows: 'Windows',
  wall: (side: string) => `wall ${side}`,
  stands: 'Stands',
  seenFromItsWindows: 'Seen from its windows',
  houseHillOrTree: 'house, hill or tree',
  bearingsAndHeight: (from: number, to: number, high: number) => `${from}° to ${to}°, ${high}° high`,
  solidThingsInside: 'Solid things inside',
  cupboardOrWall: 'cupboard or wall',
  cmHigh: (heightCm: number) => `${heightCm} cm high`,
  heatingAndAiring: 'Heating and airing',
  heatingNoun: 'heating and airing',
  heated: (day: number, night: number) => `${day} / ${night} °C`,
  notHeated: 'not heated',
  airThings: 'What warms, wets or moves its air',
  airThingNoun: 'radiator, fan or humidifier',
  doorways: 'Doorways to other rooms',
  doorwayNoun: 'doorway',
  doorwayTo: (room: string) => `To ${room}`,
  airAsYouKnow: 'Air, as you measured it',
  monthOfAir: 'month of air',
  addedSillUnder: (window: string) => `Added a sill under ${window}`,
  addSillUnder: (window: string) => `Add a sill under ${window}`,
};

export const STAND_PARTS = {
  taken: 'taken',
  free: 'free',
  tiers: 'Tiers',
  cmAboveFloor: (heightCm: number) => `${heightCm} cm above the floor`,
  spotsAtCm: (heightCm: number) => `Spots at ${heightCm} cm`,
  lampsOverCm: (heightCm: number) => `Lamps over ${heightCm} cm`,
  aboutCircuits: 'A lamp hangs on a circuit: the timer it shares with others.',
  addCircuit: 'Add a circuit',
  nameAndHeight: (name: string, heightCm: number) => `${name}, ${heightCm} cm up`,
  setOneThing: 'Set one thing for several',
  setOneThingHelp: 'Choose spots or lamps of this stand, and set one thing for all of them.',
  spotsOrLamps: 'Spots or lamps',
  spots: 'Spots',
  lamps: 'Lamps',
};

export const TAKE_OUT = {
  tookOut: (name: string) => `Took out ${name}`,
  takeOut: (name: string) => `Take out ${name}`,
  yesTakeOut: (name: string) => `Yes, take out ${name}`,
  leaveIt: 'Leave it',
  nowhereForNow: 'Nowhere for now',
  goesWithIt: (others: number) => `With it go ${others} things that hang on it. It can be undone.`,
  itCanBeUndone: 'It can be undone.',
  whereItsPlantsGo: 'Where do its plants go?',
  whereOneGoes: (plant: string) => `Where ${plant} goes`,
};

export const PROGRAMME = {
  title: (timer: string) => `${timer}, month by month`,
  intro:
    'For each part of the year: when its lamps are on, and how far dimmed. It rules instead of one time for all ' +
    'months. In months that no part names they are off.',
  theTimer: 'the timer',
  part: (number: number) => `Part ${number}`,
  months: 'Months',
  times: 'On',
  timesHelp: 'As 6:00–9:00, 17:00–21:30. Left empty: off.',
  timesAs: 'Times as 6:00–9:00, 17:00–21:30, each between 0:00 and 24:00.',
  oneMonth: 'One month at least.',
  level: 'Dimmed to',
  addPart: 'Another part of the year',
  removeLast: 'Take the last one out',
  save: 'Save',
  saved: (timer: string) => `${timer} set month by month`,
  caution:
    'Set the timer itself to the same times. Its rating, the socket’s and the circuit’s come first; ask a ' +
    'licensed electrician before you add a load.',
};

export const SUN_FILL = {
  title: 'Follow the sun',
  note: 'The twelve months filled in from sunrise and sunset here',
  when: 'When lamps burn',
  ways: { 'all-day': 'All day', 'ends-of-day': 'Only before sunrise and after sunset' },
  least: 'A day of at least',
  most: 'A day of at most',
  range: 'From 0 to 24 h.',
  crossed: 'No shorter than the shortest day.',
  fill: 'Fill in the months',
  about:
    'By the fifteenth of each month and the clock here. Nothing is saved before you save the programme; what it ' +
    'held is replaced.',
};
