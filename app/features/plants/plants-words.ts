/** What the screens of plants say, file by file. */

export const ADD_PLANT_SCREEN = {
  addPlant: 'Add a plant',
  whatIsItCalled: 'What is it called?',
  itHasNoLabel: 'It has no label',
  itIsInNoCatalogue: 'It is in no catalogue',
  withoutSpot: 'without a spot',
  toSpot: (spot: string) => `to ${spot}`,
  addedTo: (called: string, where: string) => `Added ${called} ${where}`,
  itIsAnotherPlant: 'It is another plant',
  itIsHybrid: 'It is a hybrid',
  hybridHelp: 'Of which parents, by share.',
  whereItWouldDoBest: 'Where it would do best',
  putItHere: 'Put it here',
  correctFirst: 'Correct what is marked above first.',
  addItWithoutSpot: 'Add it without a spot',
};

export const FIT_YEAR = {
  fitByMonth: 'Fit by month and factor',
  right: '● right',
  belowLineTooLittle: '▂ below the line: too little',
  aboveTooMuch: '▀ above: too much',
  tallInDanger: 'tall: in danger',
  rightAllYear: 'Right all year',
};

export const NEEDS = {
  fromTo: (from: string, to: string) => `${from} to ${to}`,
  nightFall: (kelvin: number) => `, a fall of about ${kelvin} K`,
  bloomsWhateverDay: 'blooms whatever the day',
  nightsDecide: (kind: string, nightH: number | null) => `${kind}-day: nights of ${nightH} h decide`,
  light: 'Light',
  thrivesAt: (from: string, to: string) => `thrives at ${from} to ${to} mol a day`,
  limitsOfLight: (survives: string, scorches: string, ppfd: string, sure: string) =>
    `survives from ${survives}, scorches above ${scorches}; tolerates ${ppfd} (${sure})`,
  dayLength: 'Day length',
  atLeastHours: (minH: number) => `at least ${minH} h`,
  hoursFromTo: (from: number, to: number) => `${from} to ${to} h`,
  warmth: 'Warmth',
  byDay: (range: string) => `${range} by day`,
  byNight: (range: string, fall: string, lowest: string, sure: string) =>
    `${range} by night${fall}; never below ${lowest} (${sure})`,
  moisture: 'Moisture',
  percentFromTo: (from: number, to: number) => `${from} to ${to} %`,
  limitsOfMoisture: (survives: number, tooMoistStill: number, sure: string) =>
    `survives ${survives} %; in still air not above ${tooMoistStill} % (${sure})`,
  air: 'Air',
  water: 'Water',
  feed: 'Feed',
  dryUntilItWakes: 'dry until it wakes',
  wateredAgainWhen: (percent: number, sure: string) =>
    `again when about ${percent} % of what the pot can give is left (${sure})`,
  feeding: (ppm: number, nth: string) => `about ${ppm} ppm nitrogen, every ${nth} watering`,
};

export const OUTCOMES = {
  isWell: (name: string) => `${name} is well where it stands`,
  diedThere: (name: string) => `${name} died where it stood`,
  withdrewOutcome: (name: string) => `${name}: withdrew what came of it`,
  whatCame: 'What came of it here',
  intro:
    'Your plant knows better than any figure: what you saw moves what it is taken to need, to half or ' +
    'twice at most.',
  standsHereAndIsWell: 'Has stood here and is well',
  diedHere: 'Died here',
  wasWell: 'Was well',
  died: 'Died',
  outcomeSince: (word: string, on: string, since: string) => `${word} on ${on}, there since ${since}`,
  withdrawOutcome: (word: string, on: string) => `Withdraw: ${word} on ${on}`,
  withdraw: 'Withdraw',
  howLongHasItStood: 'For how long has it stood here?',
  howLongHadItStood: 'For how long had it stood here? It is taken out of the plants then; “undo” brings it back.',
  since: (date: string) => `Since ${date}`,
};

export const PARENTS = {
  rangeOfShare: 'Each share is a number from 1 to 100 %.',
  leaveOut: 'Leave out',
  oneParent: 'One parent',
  anotherParent: 'Another parent',
  howTheyAreMixed: 'Its target is their weighted mix. From four fifths on, one parent decides its rest and season.',
  noParents: 'No parents: go by its name',
  keepTheseParents: 'Keep these parents',
  leaveIt: 'Leave it',
};

export const PLANT_JOURNAL = {
  watered: (way: string, amount: string) => `Watered ${way}${amount}`,
  journal: 'Journal',
  writeDownWhatYouSee: 'Write down what you see',
  writeItDown: 'Write it down',
  nothingYet: 'Nothing yet.',
  showEarlier: 'Show what was before',
  withdrawEntry: (entry: string) => `Withdraw: ${entry}`,
  withdraw: 'Withdraw',
};

export const PLANT_MAKEUP = {
  whatItIs: 'What it is',
  changeItsName: 'Change its name',
  hybridOf: 'A hybrid of …',
  named: (name: string) => `Named ${name}`,
  setParentsOf: (name: string) => `Set the parents of ${name}`,
  whatYouSee: 'What you see of it',
  notedWhatIsSeen: (name: string) => `Noted what is seen of ${name}`,
  itsName: 'Its name',
};

export const PLANT_PLACE = {
  yearAtItsSpot: 'The year at its spot',
};

export const PLANT_SCREEN = {
  notInCatalogue: 'Its name is not in the catalogue, so its needs are not known.',
  whatItWantsIn: (month: string) => `What it wants in ${month}`,
  whatItWants: 'What it wants through the year',
  whatItWantsHelp: 'Light, day length, warmth and moisture, month by month.',
  otherSpotsForIt: 'Other spots for it',
  otherSpotsHelp: 'Every spot of this home, the best first.',
  spotsForIt: 'Spots for it',
  whatCameOfIt: 'What came of it here',
  whatCameOfItHelp: 'You know better than any figure: say that it is well, or that it died.',
  whatItIs: 'What it is',
  whatItIsHelp: 'Its name, its parents, what you see of it.',
  edit: 'Edit',
  editHelp: 'Your name for it, what you want of it, stage, pot, height, dates.',
  movedTo: (name: string, spot: string) => `Moved ${name} to ${spot}`,
  moveHere: 'Move here',
  inCatalogue: (name: string) => `${name} in the catalogue`,
  hideItsFigures: 'Hide its figures',
  correctFigure: 'Correct a figure for this plant',
  tookOut: (name: string) => `Took out ${name}`,
  takeOut: (name: string) => `Take out ${name}`,
};

export const PLANT_VERDICT = {
  workingOut: 'Working out how it does here …',
  whyThisVerdict: 'Why this verdict',
  firstSign: (sign: string) => `First sign: ${sign}.`,
  whatYouWant: (goal: string) => `What you want of it: ${goal}.`,
  nothingIsWrong: 'Nothing is wrong for that, all year.',
};

export const PLANT_YEAR = {
  howToRead: 'In each month the sign of what limits the plant: above the line too much, below it too little.',
  itsYear: (name: string, months: string) => `${name}, its year: ${months}`,
  notWorkedOut: 'not worked out',
  too: (factor: string, way: string) => `${factor} too ${way}`,
  rightAllYear: 'right all year',
};

export const PLANTS_SCREEN = {
  noPlantYet: 'No plant yet. Add the first one.',
  noneFits: 'No plant fits what you search for.',
  plants: 'Plants',
  addPlant: 'Add a plant',
  search: 'Search',
  shownOf: (shown: number, of: number) => `${shown} of ${of}`,
  hideFilters: 'Hide filters',
  filterAndSort: 'Filter and sort',
  stopChoosing: 'Stop choosing',
  chooseSeveral: 'Choose several',
  chosenOf: 'plants',
  tickThem: 'Tick the plants below, then set one thing for all of them.',
  show: 'Show',
  sort: 'Sort',
};

export const SPOT_CHOICES = {
  takenBy: (occupants: string) => `Taken by ${occupants}`,
  hereNow: 'Here now',
  moreSpots: (more: number, of: number) => `Show ${more} more of ${of} spots`,
  allSpots: (number: number) => `All ${number} spots`,
  noSpotYet: 'There is no spot in this home yet.',
};

export const SPOT_TAKEN = {
  oneStandsThere: (name: string) => `${name} stands there.`,
  severalStandThere: (names: string) => `${names} stand there.`,
  and: ' and ',
  changePlacesWith: (names: string) => `Change places with ${names}`,
  putThere: (name: string, names: string) => `Put ${name} there; ${names} without a spot for now`,
  isTaken: (spot: string) => `${spot} is taken`,
  both: 'Both on this spot',
  aboutBoth: 'Plants on one spot share its width, and their leaves shade each other.',
  chooseAnotherSpot: 'Choose another spot',
};
