/** What is said of the server and of changes, file by file. */

export const API = {
  otherVersion: 'The server and this page are of different versions. Reload the page.',
  unknownAnswer: 'The server answered in a way this app does not know.',
  notReached: 'The server cannot be reached. Nothing was stored; what you typed is still here.',
};

export const HOME = {
  noHome: 'There is no home to change yet.',
  nothingDiffered: 'Nothing differed from what is stored.',
  nothingLeft: 'Nothing was left to take back.',
  shownWithYours: (message: string) =>
    `${message} It is shown with yours on top: keep it again to put yours in its place, or put it back.`,
  oneHome: 'one home',
  imported: (homes: string) => `Imported ${homes}`,
  allHereAlready: 'Nothing differed: all of it was here already',
};

export const STORED_FILES = {
  fileNotLoaded: (message: string) => `A file that the light is worked out from could not be loaded. ${message}`,
};

export const LOGGERS = {
  notRead: 'The file could not be read.',
};
