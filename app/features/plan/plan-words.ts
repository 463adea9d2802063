/** What the plan's screens say, file by file. */

const HANG_CAUTION =
  'Switch off and let it cool before you move a lamp. Use fixings that bear it, and keep its cable from any water.';

export const PLAN_SCREEN = {
  title: 'A plan for the whole home',
  intro:
    'Where each plant should stand and how each timer should run, worked out for all of them together: no two are ' +
    'told to use one spot, and what helps one is not taken from another without being told.',
  steps: ['What may change', 'What matters', 'The plan', 'Walk it'],
  next: 'Next',
  back: 'Back',
  make: 'Make the plan',
  makeAnew: 'Make it again',
  changedSince: 'The home has changed since this plan was made. Make it again before you accept it.',
  nothingToPlan: 'There is nothing to plan yet: it takes a plant whose kind is known, and a spot.',
  walkIt: 'Walk the plan',
  board: 'Plants against spots',
  compare: 'Side by side',
  whatIf: 'What if …',
};

export const MAY_CHANGE = {
  howOften: 'How often may plants be carried in a year?',
  arrangements: { '1': 'One arrangement', '2': 'Summer and winter', '4': 'Each season' },
  howReadily: 'How readily?',
  moves: { few: 'Few moves', 'as-it-pays': 'Where it pays', many: 'Gladly' },
  movesNote: 'A plant of a metre or more counts for one and a half in any case.',
  whatTimers: 'What may be changed of each timer?',
  freedoms: {
    nothing: 'Nothing',
    hours: 'Its hours',
    'hours-and-level': 'Hours, and dimming',
    'hours-level-and-height': 'Hours, dimming, and how high its lamps hang',
  },
  howFast: 'How fast may plants get used to more light?',
  hardening: { gentle: 'Gently', usual: 'As usual', brisk: 'Briskly' },
  hardeningNote: 'Three weeks, two, or one for each doubling of the light; twice as long for new or weak plants.',
  noTimers: 'There is no timer yet.',
  mayDraw: 'May curtains be drawn otherwise?',
  mayDrawNote: 'What is drawn over midnight is left alone.',
  mayMoisten: 'May humidifiers be set otherwise?',
  maySet: { leave: 'Leave them', 'may-change': 'They may' },
  changed: (what: string) => `Plan: ${what}`,
};

export const MATTERS = {
  whichYears: 'Which years should it be safe in?',
  years: { usual: 'Usual years', poor: 'Poor years too' },
  yearsNote: 'A poor year is as dull as one in ten.',
  whoLives: 'Who could eat of a plant?',
  household: {
    children: 'Children',
    cats: 'Cats',
    dogs: 'Dogs',
    birds: 'Birds out of a cage',
    'small-mammals': 'Rabbits, rodents',
  },
  householdNote:
    'What is toxic, or may be, is then kept where they do not get at it: children up to 1.5 m, dogs up to 1 m, cats ' +
    'nearly everywhere but in a closed cabinet. That is no safeguard by itself: ask a vet, a doctor or a poison line.',
  wishes: 'What should it keep to?',
  noWishes: 'Nothing yet: every plant may stand anywhere it fits.',
  addWish: 'Add a wish',
  takeOut: 'Take out',
  takenOut: 'Wish taken out',
  price: 'What does electricity cost?',
  noPrice: 'No price said: electricity is told in kWh.',
  prices: (number: string, currency: string) => `${number}${currency ? `, in ${currency}` : ''}`,
  editPrices: 'Set prices',
};

export const WISHES = {
  kinds: {
    stays: 'A plant stays where it is',
    'keep-off': 'A plant is kept off a stand',
    together: 'Plants stand together',
    apart: 'A plant stands apart from all others',
    'leave-out': 'A stand is left as it is',
    matters: 'How much a plant matters',
  },
  whichWish: 'Which wish?',
  whichPlant: 'Which plant?',
  whichStand: 'Which stand?',
  groupName: 'Name of the group',
  groupHelp: 'Plants of the same name are kept on one stand.',
  howMuch: 'How much does it matter?',
  cares: { little: 'Little', usual: 'As usual', much: 'Much' },
  add: 'Add it',
  added: 'Wish added',
  standsNowhere: 'It stands nowhere yet.',
  stays: (plant: string, place: string) => `${plant} stays at ${place}`,
  keepOff: (plant: string, stand: string) => `${plant} not on ${stand}`,
  together: (plant: string, group: string) => `${plant} with the others of “${group}”`,
  apart: (plant: string) => `${plant} apart from all others`,
  leaveOut: (stand: string) => `${stand} is left as it is`,
  matters: (plant: string, how: string) => `${plant} matters ${how}`,
};

export const MAKING = {
  working: 'Working out what each plant is worth on each spot …',
  lookingFor: 'A plan is found; looking for better ones …',
  soFar: (well: number, plants: number) => `Best so far: ${well} of ${plants} live on or grow.`,
  proven: (gap: string) => `No plan is more than ${gap} better than this one.`,
  notProvenYet: 'What the best could be is not known yet.',
  finishing: 'Working out what it comes to …',
  stop: 'Wait for no better one',
  stopNow: 'Stop',
  failed: (why: string) => `The plan could not be made: ${why}`,
  tryAgain: 'Try again',
};

export const SUMMARY = {
  heading: 'What it comes to',
  asItIs: 'As it is',
  byThePlan: 'By the plan',
  dying: 'Plants that decline',
  livesOn: 'Live on, without much growth',
  growing: 'Grow or thrive',
  kWh: 'Electricity a year',
  cost: 'Its cost a year',
  carries: 'Carries',
  proof: (gap: string) =>
    `No other choice of spots, timers and curtains from this menu is more than ${gap} better, counted in verdicts ` +
    'less moves and electricity; that is proven.',
  unproven: 'How near to the best it is was not worked out: it was stopped early.',
  took: (seconds: string) => `Worked out in ${seconds} s.`,
  light: (rounds: string) =>
    `The light was worked out ${rounds} with the plants where the plan has them, since they shade one another.`,
  assumed: (plants: string) => `Pot or height was not said of ${plants}: 12 cm and 20 cm are taken.`,
  unknown: (plants: string) => `Left out, since their kind is not known: ${plants}.`,
  inReach: (plant: string, who: string) =>
    `No spot keeps ${plant} out of reach of ${who}. It may harm them: consider giving it away.`,
  load: (name: string, load: string, limit: string, state: string) => `${name}: ${load} of ${limit} W, ${state}.`,
  over: 'over what it may carry. Take lamps off it before you switch it on',
  near: 'near what it may carry. Lamps draw many times that for an instant when they come on',
  loadCaution:
    'Ratings on timers, sockets and breakers come first, and your local electrical code; ask a licensed electrician ' +
    'before you add a load. Leave a loop in each cable below its plug, keep plugs out of splashes and off the floor.',
};

export const MOVES = {
  heading: 'What to carry',
  none: 'Every plant stays where it is.',
  stays: (plants: string) => `${plants} stay where they are`,
  from: (place: string) => `from ${place}`,
  firstPlace: 'has no place yet',
  to: (place: string) => `to ${place}`,
  then: (place: string, months: string) => `then ${place} ${months}`,
  fits: (before: string, after: string) => `${before} → ${after}`,
  why: 'Why?',
  take: (plant: string) => `Carry ${plant}`,
  blocked: 'Cannot go there unless the plant that stands there is carried too.',
  tall: 'It is tall and heavy: carry it by the pot, with someone, and mind what it may fall on.',
  settling: (times: string, weeks: number) =>
    `It gets ${times} times the light it is used to: keep a sheet of thin white paper before it, less each day, for ` +
    `${weeks} weeks. Pale or bleached patches: put the paper back and go slower.`,
};

export const REASONS = {
  now: (sentence: string) => `Where it stands: ${sentence}.`,
  nowhere: 'It stands nowhere yet.',
  there: (sentence: string) => `There: ${sentence}.`,
  still: (sentence: string) => `Still wrong there: ${sentence}`,
  nightBroken: (lights: string) => `No buds there: its nights are too short while ${lights} are on.`,
  roomLight: (room: string) => `the evening lamps of ${room}`,
  timerLight: (timer: string) => `lamps on ${timer}`,
  next: (place: string, fit: string) => `Next best spot: ${place} (${fit}).`,
  taken: (place: string, fit: string, other: string) =>
    `${place} would suit it better (${fit}); the plan gives it to ${other}, who gains more by it.`,
  better: (place: string, fit: string) =>
    `${place} would suit it better (${fit}), by less than carrying it there costs.`,
  stayBest: 'No other spot suits it better.',
  here: (timer: string, how: string, fit: string) =>
    `Where it stands now, ${timer} at ${how} would bring it to ${fit} at most.`,
  freer: (timer: string, what: string, how: string, fit: string) =>
    `If a plan might change ${what} of ${timer}: ${how} would bring it to ${fit}, if only this plant counted.`,
  freedoms: {
    nothing: 'nothing',
    hours: 'the hours',
    'hours-and-level': 'the dimming',
    'hours-level-and-height': 'the height of the lamps',
  },
  hoursADay: (hours: string) => `${hours} a day`,
  dimmed: (share: string) => `dimmed to ${share}`,
  lower: (by: string) => `with its lamps ${by} lower`,
  higher: (by: string) => `with its lamps ${by} higher`,
  workingOut: 'Working out the home as the plan has it …',
};

export const TIMERS = {
  heading: 'How timers run',
  legend: 'Filled: by the plan. Lines: as it is. Midnight at the top and at the bottom of each month.',
  none: 'No timer need be changed.',
  take: (timer: string) => `Set ${timer}`,
  stays: (timer: string) => `${timer} stays as it is`,
  energy: (before: string, after: string) => `${before} → ${after} kWh a year`,
  hang: (lamp: string, now: string, then: string) => `${lamp}: hang it ${then} above its board (now ${now})`,
  from: (when: string, what: string) => `${when}: ${what}`,
  hangCaution: HANG_CAUTION,
  yearOf: (timer: string) => `Hours of ${timer} by month`,
};

export const OTHERS = {
  heading: 'Curtains and humidifiers',
  take: (what: string) => `Take this: ${what}`,
  now: (how: string) => `Now: ${how}`,
  rh: (rh: number) => `${rh} % humidity`,
  gains: (plants: string) => `What it alone does: ${plants}.`,
  gain: (plant: string, points: string) => `${plant} ${points}`,
  order: 'Curtains are chosen together with plants and timers; humidifiers once those are settled.',
  curtainCaution: 'Cold glass and strangers’ eyes are for you to weigh: a plan knows of light and warmth alone.',
  humidityCaution:
    'More moisture means more water to fill and can grow mould on cold walls: air the room, wipe wet panes, and ' +
    'clean the humidifier as its label says. Keep it and its cable clear of plugs.',
};

export const STILL = {
  heading: 'Still wrong by the plan',
  nothing: 'Every plant lives on or grows by this plan.',
  lamp: (dli: string, ppfd: string, hours: string) =>
    `It lacks ${dli} mol a day: a lamp of ${ppfd} at its leaves for ${hours} a day.`,
  forLamp: (watts: number, kWh: number, cost: string) =>
    `For one spot of 30 cm that is about ${watts} W of LED: ${kWh} kWh a year${cost}.`,
  noLamp: 'More light alone would not mend it.',
  mends: {
    heat: 'It needs a cooler place in those months: another room, or outdoors in the shade.',
    cold: 'It needs a warmer place at night.',
    burn: 'It needs less of that light: more distance, dimming, or a net.',
    rot: 'It needs drier air at night, or air that moves.',
    drying: 'It needs moister air: a cabinet, or a humidifier near it.',
    winter: 'It needs a cold rest in winter: an unheated room without frost.',
  },
  giveAway: 'Or give it to someone with a better place for it.',
};

export const ACCEPT = {
  firstKeep: 'Something is being tried: keep it or put it back first.',
  acceptAll: 'Accept the plan',
  acceptSome: (steps: string) => `Accept ${steps}`,
  summary: (steps: string) => `Plan accepted: ${steps}`,
  nothing: 'Nothing is chosen.',
  note: 'Nothing moves by itself: what you accept becomes steps with dates, on Today and here.',
};

export const IMPOSSIBLE = {
  heading: 'Not all of it can be kept',
  clash: (number: string) => `These ${number} cannot be kept together. Take one of them out:`,
  one: 'This cannot be kept. Take it out:',
  rules: 'There is no room for all plants: some fit on no spot that is left. Add a spot, or widen one.',
  undecided:
    'No arrangement was found in the time, and nothing shows that there is none. Take a wish out, or try again.',
};

export const WALK = {
  title: 'Walk the plan',
  none: 'No step is open. Make a plan, and what you accept of it stands here.',
  makeOne: 'Make a plan',
  onDay: (day: string) => `On ${day}`,
  today: 'Today',
  overdue: (day: string) => `Since ${day}`,
  done: 'Done',
  doneLabel: (step: string) => `Done: ${step}`,
  shadeHow: 'Less of it each day. Pale or bleached patches on its leaves: put it back and go slower.',
  dropAll: 'Give the rest up',
  gaveUp: 'The rest of the plan given up',
  history: 'What was promised, and what is',
  promised: 'Promised',
  isNow: 'Now',
  plant: 'Plant',
  accepted: (day: string, before: string, after: string) =>
    `Accepted on ${day}; electricity ${before} → ${after} kWh a year.`,
  hangCaution: HANG_CAUTION,
  timerCaution:
    'Switch the timer off at the wall before you plug lamps over. Its rating, your local code and a licensed ' +
    'electrician come first.',
};

export const PRICES = {
  title: 'What electricity costs',
  intro:
    'One price for every hour, or several by hour and weekday. Together they must leave no hour out, and none twice.',
  currency: 'Currency',
  currencyHelp: 'As you write it after a price: kr, €, £ …',
  addPrice: 'Another price',
  removeLast: 'Take the last one out',
  save: 'Save',
  saved: 'Prices of electricity set',
  removeAll: 'Forget all prices',
  removed: 'Prices of electricity forgotten',
  priceNumbered: (number: number) => `Price ${number}`,
  onDays: 'On',
  from: 'From',
  to: 'To',
  price: 'Price of a kWh',
  shortDays: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
};

export const BOARD = {
  title: 'Plants against spots',
  how:
    'Each figure is how well a plant would do there, of 100. Solid frame: it stands there. Dashed: the plan has it ' +
    'there. Drag along a row to try a spot; with keys: left, right, Enter, Escape.',
  makeFirst: 'The board shows what a plan was made from. Make one first.',
  toPlan: 'To the plan',
  whichTimers: 'Timers',
  kinds: { now: 'Timers as they are', planned: 'Timers by the plan' },
  choose: 'Choose a plant, and hold it over a spot.',
  grid: 'Verdicts by plant and spot',
  rowOf: (plant: string) => `${plant}: left and right hold it over a spot, Enter tries it`,
  tried: (plant: string) => `${plant} tried elsewhere`,
  held: 'held over it',
  stands: 'stands here',
  planned: 'by the plan',
  refusals: {
    'left-out': 'that stand is left as it is',
    'kept-off': 'it is kept off that stand',
    'too-tall': 'it is too tall there',
    'too-wide': 'its pot is too wide there',
    'too-heavy': 'it is too heavy there',
    'in-reach': 'it would be within reach',
    'brushed-past': 'it is brittle, and people brush past there',
    'marks-wall': 'it climbs, and would mark the wall there',
  },
  cannot: (plant: string, place: string, why: string) => `${plant} at ${place}: not possible, ${why}.`,
  would: (plant: string, place: string, after: string, before: string) =>
    `${plant} at ${place}: ${after}, where it stands ${before}.`,
  otherWould: (own: string, other: string, after: string, before: string) =>
    `${own} ${other} stands there and would take its place: ${after}, now ${before}.`,
  otherCannot: (own: string, other: string, why: string) =>
    `${own} ${other} stands there and cannot change places: ${why}.`,
  months: (plant: string) => `${plant} where it stands, month by month`,
  noMonths: 'It stands nowhere yet.',
};

export const KEEP = {
  heading: 'Take it along',
  calendar: 'As a calendar',
  steps: 'Steps as a table',
  timers: 'Timers as a table',
  paper: 'On paper',
};

export const PAPER = {
  title: (home: string) => `The plan of ${home}`,
  spot: 'Spot',
  now: 'Stands there now',
  then: 'By the plan',
  nobody: '–',
  steps: 'To do here',
  timers: 'Its timers, once that is done',
  nothing: 'There is no stand with a plant on it.',
  caution:
    'Gloves for what has sap or spines; a helper for what is heavy or high. Ratings of timers, sockets and circuits ' +
    'come first, and your local electrical code: ask a licensed electrician before you add a load. Leave a loop in ' +
    'each cable below its plug.',
  footer: (day: string, page: number, pages: number) => `As of ${day} · page ${page} of ${pages}`,
};
