/** What the interface’s own parts say, file by file. */

export const CHOICES = {
  none: 'None',
  allYear: 'All year',
  done: 'Done',
};

export const CHOSEN = {
  chosen: (number: number) => `${number} chosen`,
  chooseAll: (label: string) => `Choose all: ${label}`,
  allShown: 'All shown',
  chooseNone: (label: string) => `Choose none: ${label}`,
  none: 'None',
};

export const DRAWING = {
  noPicture: (message: string) => `No picture could be made: ${message}`,
  savePictureOf: (name: string) => `Save as a picture: ${name}`,
  saveAsPicture: 'Save as a picture',
};

export const LABELLED = {
  about: (label: string) => `About “${label}”`,
};

export const MONTH_SLIDER = {
  month: 'Month',
};

export const PICK_DATE = {
  notGiven: 'Not given',
  clearDate: (label: string) => `Clear: ${label}`,
  clear: 'Clear',
};

export const OPTION_LIST = {
  search: (label: string) => `Search: ${label}`,
  andMore: (number: number) => `and ${number} more: type a part of the name`,
  nothingOfThatName: 'Nothing of that name.',
};

export const PICK_MANY = {
  none: 'None',
  done: 'Done',
};

export const PICK_ONE = {
  choose: 'Choose',
};

export const PICK_TIME = {
  notGiven: 'Not given',
};

export const PICKERS = {
  leaveIt: 'Leave it',
  takeThisDate: 'Take this date',
  typeIt: 'Type it',
  useClock: 'Use the clock',
  takeThisTime: 'Take this time',
};

export const PICTURE = {
  noPictures: 'This browser draws no pictures.',
  emptyPicture: 'The picture came out empty.',
};

export const SEARCH = {
  toField: (label: string) => `To the field: ${label}`,
  clear: (label: string) => `Clear: ${label}`,
};

export const SHEET = {
  close: 'Close',
};

export const CHOOSE_FILE = {
  fileOf: (button: string) => `${button}, file`,
};
