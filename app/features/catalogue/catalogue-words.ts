/** What the catalogue’s screens say, file by file. */

export const CATALOGUE_LAYOUT = {
  chooseTaxon: 'Choose a taxon from the list: its year, its dangers and every figure are shown here.',
  chooseByNeed: 'Choose by need',
};

export const CATALOGUE_SCREEN = {
  noTaxonNeedsThis: 'No taxon needs just this. Widen one of the needs.',
  withTheseNeeds: ' with these needs',
  nothingComesNear: (asked: string, withNeeds: string) => `Nothing comes near “${asked}”${withNeeds}.`,
  tryAnotherName: (nothing: string) => `${nothing} Try another name, or go by what you see: “It has no label”.`,
  catalogue: 'Catalogue',
  anyName: 'Any name',
  speltAsYouCan: 'Latin, common or old, spelt as you can.',
  itHasNoLabel: 'It has no label',
  myOwnKnowledge: 'My own knowledge',
  nearestNamesFirst: 'The nearest names first.',
  order: 'Order',
  taxaOf: (shown: number, of: number) => `${shown} of ${of} taxa`,
  clearNeeds: 'Clear the needs',
  hideNeeds: 'Hide needs',
  chooseByNeed: 'Choose by need',
  harmNotAllKnown: 'harm not all known',
  thrivesOnMol: (thrivesFrom: string, thrivesTo: string) => `${thrivesFrom} to ${thrivesTo} mol a day`,
  fromHumidity: (thrivesFrom: number) => `from ${thrivesFrom} % humidity`,
};

export const COMPARE_SCREEN = {
  sideBySide: 'Side by side',
  besideWhichOther: (first: string) => `${first}, beside which other?`,
  other: 'The other',
  whatTellsThemApart: 'What tells them apart',
  inCare: (care: string) => `In care: ${care}`,
  firstAndSecond: (first: string, second: string) => `${first} and ${second}`,
  differsEnoughToMatter: '◆ differs enough to matter',
  anotherOneBesideIt: 'Another one beside it',
};

export const HABITS = {
  lastAfterAnd: (first: string, last: string) => `${first} and ${last}`,
  itDislikes: (minds: string) => `; it dislikes ${minds}`,
  atMostDissolved: (mostDissolvedPpm: number, minding: string) =>
    `At most ${mostDissolvedPpm} ppm dissolved in its water${minding}.`,
  wateredAgainWhen: (percent: number) => `Watered again when ${percent} % of the water in its pot is left.`,
  itDriesPot: (pace: string) => `It dries a pot ${pace}.`,
  itIsNotKept: 'It is not kept for its flowers.',
  hereItBlooms: (months: string) => `Here it blooms ${months}.`,
  bloomsInNoFixedMonth: 'It blooms when it is ready, in no fixed month.',
  itsBudsAreSet: (setters: string) => `Its buds are set by ${setters}.`,
  fromBudToFlower: (daysFromBud: number) => `From a bud to the flower it takes about ${daysFromBud} days.`,
  increasedBy: (ways: string) => `By ${ways}.`,
  rootsHoldAfter: (daysToRoot: number) => `Roots hold after about ${daysToRoot} days in warmth.`,
  itGrowsTo: (pace: string, heightCm: number, widthCm: number) =>
    `It grows ${pace}, to about ${heightCm} cm tall and ${widthCm} cm wide.`,
  againstPestsNotWith: (treatments: string) => `Against pests not with ${treatments}.`,
  readTheLabel: 'Read the label of whatever you use.',
  water: 'Water',
  bloom: 'Bloom',
  propagation: 'Propagation',
  handling: 'Handling',
  itForgives: (mistakes: string) => `It forgives ${mistakes}.`,
  itDoesNotForgive: (mistakes: string) => `It does not forgive ${mistakes}.`,
};

export const KNOWLEDGE_SCREEN = {
  myOwnKnowledge: 'My own knowledge',
  intro:
    'Taxa of your own, and figures you know better than the catalogue, each with its reason. The ' +
    'catalogue itself stays as it is; what you withdraw falls back to it.',
  addPlant: 'Add a plant of my own',
  nothingYet: 'Nothing yet. Open any taxon or plant and correct a figure, or add a taxon of your own.',
  ofYourOwn: (taxa: string, corrections: string) => `${taxa} of your own, ${corrections}`,
  no: 'No',
  basedOn: (base: string) => `based on ${base}`,
  basedOnUnknown: (basedOn: string) => `based on ${basedOn}, which the catalogue does not hold: it has no target`,
  taxonNotHere: 'A taxon that is not here',
  withdrawFigureOf: (figure: string, whose: string) => `Withdraw ${figure} of ${whose}`,
  withdrewCorrectionOf: (whose: string, figure: string) => `Withdrew a correction of ${whose}: ${figure}`,
  withdraw: 'Withdraw',
  saveAsCsv: 'Save as CSV',
  saveAsJson: 'Save as JSON',
  openFile: 'Open a file',
  fileOfOwnKnowledge: 'File of own knowledge',
  fileIsLarger: (megabytes: number) => `The file is larger than ${megabytes} MB.`,
  nothingWasAdded: 'Nothing was added.',
  added: (lines: string) => `Added ${lines}`,
  leftOut: (lines: string) => `; left out ${lines}`,
  ofOwnKnowledge: (took: string) => `${took} of own knowledge`,
  nothingWasAddedSince: (reason: string) => `Nothing was added. ${reason}`,
  lineRefused: (line: number, reason: string) => `✕ Line ${line}: ${reason}`,
  andMore: (moreLines: string) => `and ${moreLines}`,
};

export const LIGHT_HERE = {
  itsLight: 'Its light',
  survivesFrom: (survives: string) => `Survives from ${survives} mol a day, `,
  keepsItsFormFrom: (keepsForm: string) => `keeps its form from ${keepsForm}, `,
  thrivesFromTo: (thrivesFrom: string, thrivesTo: string) => `thrives from ${thrivesFrom} to ${thrivesTo}, `,
  scorchesAbove: (scorches: string) => `scorches above ${scorches}.`,
  noSpotYet: 'Where that is in your home can be said once a room has a spot.',
  lightFailed: 'The light of your home could not be worked out.',
  lightWorking: 'The light of your home is being worked out.',
  onNone: 'on none',
  onOne: 'on one',
  onSome: (spots: number) => `on ${spots}`,
  whereItWouldDoBest: 'Where it would do best in your home',
  growsWellOn: (spots: number, growing: string) => `Of your ${spots} spots it would grow well ${growing}. The best:`,
};

export const NO_LABEL_SCREEN = {
  itHasNoLabel: 'It has no label',
  markWhatYouSee: 'Mark what you can see. Three or four marks are often enough; leave out what you are not sure of.',
  leaves: 'Its leaves',
  shape: 'Its shape',
  stem: 'Its stem',
  roots: 'Bulbs and roots',
  startOver: 'Start over',
  nothingMarkedYet: 'What it may be is shown here as soon as you have marked something.',
  plantWithoutName: 'Plant without a name',
  likelyOneOfThese: 'It is likely one of these',
  howItIsWeighed:
    'Each mark is weighed by how often a group shows it, all groups alike beforehand; what you left out ' +
    'is not counted against any.',
  keepItForNow: 'Keep it under this for now',
  plannedUntilNamed: 'It is planned from these groups in these shares until you name it.',
  safeTarget: 'A target that is safe meanwhile',
};

export const OWN_TAXON = {
  plantOfMyOwn: 'A plant of my own',
  intro:
    'It begins with the figures of what it is nearest to. Correct them one by one as you learn; each ' +
    'correction keeps its reason.',
  chooseTaxonOrGroup: 'Choose the taxon or group it is nearest to.',
  changed: 'Changed',
  added: 'Added',
  savedInCatalogue: (done: string, name: string) => `${done} ${name} in the catalogue`,
  itsName: 'Its name',
  nameHelp: 'Latin, cultivar, grex or your own number.',
  basedOn: 'Based on',
  chooseAnother: 'Choose another',
  commonNames: 'Common names',
  withCommas: 'With commas between; may stay empty.',
  otherNames: 'Other names',
  whatDecidesSuccess: 'What decides success with it',
  harmNotKnown: 'What harm it can do is taken as not known, and so as harm.',
  save: 'Save',
  addItToCatalogue: 'Add it to the catalogue',
  taxonItIsLike: 'A taxon it is like',
  wholeGroup: 'A whole group',
  whichIsItLike: 'Which is it like?',
  whichGroup: 'Which group?',
  tookOutTaxon: (name: string) => `Took out the taxon ${name}`,
  changeItsNames: 'Change its names',
  onePlantIs: 'a plant is',
  plantsAre: (plants: number) => `${plants} plants are`,
  inUse: (plantsAre: string) => `It cannot be taken out while ${plantsAre} named by it.`,
  takeOut: 'Take out',
};

export const TAXON_SCREEN = {
  whatDecidesSuccess: 'What decides success',
  addThisPlant: 'Add this plant',
  compareWithAnother: 'Compare with another',
  youKeep: (number: string | number) => `You keep ${number} of it.`,
  taxonNoLongerKnown: 'a taxon no longer known',
  yourOwnBasedOn: (base: string) => `your own, based on ${base}`,
  itsYear: 'Its year, full grown, in this home',
  howItIsRested: 'How it is rested',
  why: (reason: string) => `Why: ${reason}`,
  diesWithoutRest: '⚠ It dies when it is kept from its rest, so its year is drawn with ',
  allTheSame: (school: string) => `${school} all the same.`,
  shownOnly: 'Shown only: set it for the home under Place, or for one plant in its form.',
  setForThisHome: 'So it is set for this home.',
  usualForThisTaxon: 'Usual for this taxon.',
  everyFigure: 'Every figure',
  hide: 'Hide',
  showAndCorrect: 'Show, and correct',
  inOtherLanguages: (names: string) => `In other languages ${names}`,
  alsoCalled: (names: string) => `Also ${names}`,
  onceOrInTrade: (synonyms: string) => `Once, or in trade, ${synonyms}`,
  cultivars: (cultivars: string) => `Cultivars: ${cultivars}`,
  ofParents: (parents: string) => `Of ${parents}`,
  northOfEquatorIn: (months: string) => `north of the equator in ${months}`,
  aboutWeeks: (weeks: number | null) => `about ${weeks} weeks`,
  dayLength: 'Day length',
  setsBudsAfter: (weeks: string, nightH: number | null, when: string) =>
    `Sets buds after ${weeks} of nights of at least ${nightH} h (${when}).`,
  bloomsWhenNights: (nightH: number | null, weeks: string, when: string) =>
    `Blooms when nights are shorter than ${nightH} h for ${weeks} (${when}).`,
  whatBreaksIt:
    'What breaks it: any lamp, a room light in the evening, even a street lamp through the pane. The ' +
    'weeks then start again.',
  oftenMistakenFor: 'Often mistaken for',
  inCare: (care: string) => `In care: ${care}`,
};

export const NEEDS_FILTER = {
  thrivesWhereItGets: 'Thrives where it gets',
  lightOnOffer: 'Light on offer',
  humidityOnOffer: 'Humidity on offer',
  coldestNight: 'Coldest night',
  fullGrownHeight: 'Full-grown height',
  noHarmKnownTo: 'No harm known to',
  group: 'Group',
};
