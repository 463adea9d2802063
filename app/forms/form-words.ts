/** What every form says, but for its items, file by file. */

export const BLANK = {
  windowNumbered: (number: number) => `Window ${number}`,
  window: 'Window',
  table: 'Table',
  spotNumbered: (number: number) => `Spot ${number}`,
  timer: 'Timer',
  lampNumbered: (number: number) => `Lamp ${number}`,
  lamp: 'Lamp',
  tree: 'Tree',
  cupboard: 'Cupboard',
  radiator: 'Radiator',
};

export const FACT_FORM = {
  addThis: (noun: string) => `Add this ${noun}`,
  save: 'Save',
  startOver: 'Start over',
  andMore: (number: number) => `, and ${number} more`,
  moreExactly: 'More exactly',
  asItIsNow: (told: string, rest: string) => `As it is now: ${told}${rest}.`,
  canBeKept: (message: string) => `? ${message} It can be kept as it is.`,
  changedElsewhere: (now: string) => `! Changed elsewhere meanwhile: it is ${now} now. Yours is kept here.`,
  takeTheirsFor: (now: string, item: string) => `Take ${now} for ${item}`,
  takeTheirs: (now: string) => `Take ${now}`,
};

export const FORM_VALUES = {
  range: (from: string | undefined, to: string | undefined, unit: string) => `From ${from} to ${to} ${unit}.`,
};

export const ITEM_INPUT = {
  notGiven: 'not given',
};

export const SET_FOR_ALL = {
  itemOf: (item: string, howMany: string) => `${item} of ${howMany}`,
  setSummary: (summary: string) => `Set: ${summary}`,
  setFor: (howMany: string) => `Set for ${howMany}`,
  whatToSet: 'What to set',
  setItFor: (howMany: string) => `Set it for ${howMany}`,
  nothingWasSet: (name: string, reason: string) => `${name}: ${reason} Nothing was set.`,
  oneOfThem: 'One of them',
};
