/** What the first screen says, file by file. */

export const FACTOR_TALLY = {
  plantsByFactor: 'Plants by factor, this month',
  plantsWith: 'Plants with',
};

export const HOME_DRAWING = {
  needs: 'needs',
  need: 'need',
  needOf: (needy: string, plants: number, need: string) => `${needy} of ${plants} ${need} something`,
  fromAbove: (home: string, need: string) => `${home} from above: ${need}`,
};

export const OPEN_QUESTIONS = {
  whatIsIt: (name: string) => `What is ${name}? Its name is not in the catalogue, so it has no target.`,
  whatIsItCalled: (name: string) => `What is ${name} called? It is planned from its group until you know.`,
  whereDoesItStand: (name: string) => `Where does ${name} stand?`,
  hasItSettled: (name: string) => `Has ${name} settled? It is still treated as just arrived.`,
  atWhatStage: (name: string) => `At what stage is ${name} now? What you saw has passed, or has no date.`,
  stillAsSeen: (name: string) => `Does ${name} still grow or rest as you saw it? That was three months ago or more.`,
  isItHarmful: (name: string) => `Is ${name} harmful? Nobody has said, so it is treated as harmful.`,
  howWideIsItsPot: (name: string) => `How wide is the pot of ${name}?`,
  howTallIsIt: (name: string) => `How tall is ${name}?`,
  questionsForYou: 'Questions for you',
  whyWeAsk: 'Your answers make the advice more reliable.',
  theOthers: (number: number) => `The other ${number}`,
};

export const TODAY_CASES = {
  showOthersOf: (heading: string, more: number) => `${heading}: show the other ${more}`,
  showOthers: (more: number) => `Show the other ${more}`,
  hideMild: 'Hide what could be a little better',
  mild: (plants: string) => `${plants} could do a little better`,
  withoutPlaceYet: 'Without a place yet',
  findSpotFor: (plant: string) => `Find a spot for ${plant}`,
  byYourPlan: (steps: string) => `By your plan: ${steps}`,
  byThePlan: (place: string, fit: string) => `By the plan you made: carry it to ${place} (${fit} there)`,
  planLeavesIt: 'Your plan leaves it where it stands.',
};

export const TODAY_PLAN = {
  heading: 'Your plan',
  make: 'Make one plan for all of them',
  why: 'It finds where each plant should stand and how timers should run, for all of them together.',
  due: (steps: string) => `${steps} due`,
  none: (day: string) => `Nothing due; the next step is for ${day}.`,
  walk: 'Walk the plan',
  look: 'Look at the plan',
};

export const TODAY_SCREEN = {
  howToRead: 'Full disc: needs something. Ring: could do a little better. Dot: well. Tap one to open it.',
  workingOut: (share: string) => `Working out the light of every spot …${share}`,
  allPlacedDoWell: 'All plants that have a place do as you want of them.',
  allDoWell: 'All plants do as you want of them.',
  allHaveWhatTheyWant: 'All have the light, warmth and air they want.',
  thisWeek: (number: number) => `${number} this week`,
  thisSeason: (number: number) => `${number} this season`,
  whenItSuitsYou: (number: number) => `${number} when it suits you`,
  needSomething: (needs: string, well: number, plants: string) =>
    `Need something: ${needs}. ${well} of ${plants} do as you want.`,
  noRoomYet:
    'Your home has no room yet. Begin with the one your plants are in: its walls, its windows, what holds ' +
    'the plants.',
  addRoom: 'Add a room',
  noPlantYet: 'No plant is kept here yet. Add one: the spots are ranked for it at once.',
  addPlant: 'Add a plant',
  sunDoesNotSet: 'The sun does not set today',
  sunDoesNotRise: 'The sun does not rise today',
  sunUp: (time: string) => `Sun up ${time}`,
  sunDown: (time: string) => `down ${time}`,
  sunAndTwilight: (riseAndSet: string, sun: string, twilight: string) =>
    `${riseAndSet} · ${sun} of sun, ${twilight} with twilight`,
};

export const PLUG_ALARMS = {
  title: 'Timer plugs that are not as they should be',
  see: 'See the timer plugs',
};

export const AIR_ALARMS = {
  title: 'Air that harms plants now',
  whatItMeasured: (logger: string) => `What ${logger} measured`,
};
