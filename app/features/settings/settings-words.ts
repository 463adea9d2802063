/** What the settings say, file by file. */

export const SETTINGS_SCREEN = {
  settings: 'Settings',
  temperature: 'Temperature',
  lengths: 'Lengths',
  centimetres: 'Centimetres',
  inches: 'Inches',
  lightAtMoment: 'Light at a moment',
  luxOfDaylight: 'Lux of daylight',
  lightOrDark: 'Light or dark',
  asDevice: 'As the device',
  lightTheme: 'Light',
  darkTheme: 'Dark',
  keysHint: 'On a keyboard, press ? for the list of keys.',
  whatWasChanged: 'What was changed in this home',
  homes: 'Homes',
  homeShown: 'Home shown',
  noHomeIsKept: 'No home is kept here.',
  noNewHome: 'No new home',
  addHome: 'Add a home',
  takeOut: (home: string) => `Take out ${home}`,
  roomsAndPlants: (rooms: string, plants: string) => `${rooms} and ${plants}`,
  goesWith: (home: string, goes: string) => `${home} goes with its ${goes}. You can bring it back from here.`,
  yesTakeOut: (home: string) => `Yes, take out ${home}`,
  leaveIt: 'Leave it',
  fileIsLarger: (gigabytes: number) => `The file is larger than ${gigabytes} GB: no file saved here is.`,
  inAndOut: 'Everything in and out',
  aboutInAndOut:
    'One zip of open formats holds all homes and plants, the journal, what you wrote down, samples and ' +
    'files. Opening one replaces the same homes; that can be undone.',
  saveEverything: 'Save everything',
  openSavedFile: 'Open a saved file',
  savedFile: 'Saved file',
  readingIt: 'Reading it …',
  browserIsSaving: 'Your browser is saving it: look among its downloads.',
};

export const NOTICES_SETTING = {
  label: 'Call when measured air harms plants',
  off: 'No',
  on: 'Yes, by this browser',
  about: 'While Dulvan is open here, once for each alarm. Today shows them in any case.',
  refused: 'This browser does not allow it. Allow notices for this address in its settings, then try again.',
  quietFrom: 'Quiet from',
  quietTo: 'Quiet until',
};
