/** What stands around every screen says, file by file. */

export const FOUND_HOME = {
  whereDoYourPlants: 'Where do your plants live?',
  intro:
    'Light follows from the place. Give it a name and say where it is, to about a degree; rooms, windows ' +
    'and plants come next.',
  haveSavedFile: 'Have a saved file from another Dulvan?',
  openItUnderSettings: 'Open it under Settings',
};

export const SHELL = {
  main: 'Main',
  dulvan: 'Dulvan',
  workingOutLight: 'Working out light and verdicts',
  opening: 'Opening …',
  tryAgain: 'Try again',
  notKeptYet: 'Not kept yet',
  tryingNotKeptYet: 'Trying, not kept yet',
  putBack: 'Put back',
  keep: 'Keep',
  closeThisMessage: 'Close this message',
  undo: 'Undo',
  airHarms: 'Air that harms plants',
};

export const SHORTCUTS = {
  keys: 'Keys',
};

export const TRIAL_EFFECT = {
  workingOut: 'Working out what it changes …',
  noEffect: 'No plant does better or worse by it.',
  changeOfFit: (plant: string, sign: string, was: string, is: string) => `${plant} ${sign} ${was} to ${is}`,
  andMore: (number: number) => `; and ${number} more`,
};
