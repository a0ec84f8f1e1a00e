import type { Shown } from './shown.ts';

export const backupPartWords = {
  backup: 'Backup',
  oneZipOfTheExportedFiles:
    'One ZIP file with all data and checksums. It opens here on any device. Inside are plain JSON and JPEG files.',
  whatGoesIntoIt: 'What to include',
  passphraseIfItIsToBeSealed: 'Passphrase, to encrypt it',
  none: 'none',
  overPlainHttpThisBrowserGives: 'Over plain HTTP the browser cannot encrypt a backup. See docs/keeping.md for HTTPS.',
  atLeastSignsAShortOne: (shortest: Shown): string =>
    `Use at least ${shortest} characters. A short one is easy to guess.`,
  withoutThePassphraseNobodyOpensIt: 'Nobody can open it without the passphrase, not even you.',
  writeTheBackup: 'Save the backup',
  toTheFolder: (name: Shown): string => `Save to the folder “${name}”`,
  toAFolder: 'Save to a folder…',
  breakOff: 'Cancel',
  inPutItWhereThisDevice: (count: Shown, where: Shown): string =>
    `${count} in ${where}. Keep it away from this device: on another disk, in another house.`,
};

export const keptPartWords = {
  whatIsKept: 'What is stored',
  whatIsKeptHere: 'What is stored here',
  inThisBrowserOfThatIt: (bytes: Shown, bytes2: Shown): string => `${bytes} in this browser, of ${bytes2} available.`,
  theBrowserPromisesNotToThrow: 'The browser keeps it even when the disk is nearly full.',
  theBrowserMayThrowItAway: 'The browser may delete it when the disk is nearly full.',
  theBrowserDidNotPromise: 'The browser may delete it when the disk is nearly full. It refused to protect it.',
  askItToKeepEverything: 'Ask the browser to keep everything',
  thisBrowserDoesNotSayWhether:
    'This browser does not say whether it keeps everything when the disk is nearly full. Keep backups.',
  whatTakesTheRoom: 'What takes space',
  measuring: 'Measuring',
  aNewerVersionLiesReady: 'An update is ready.',
  takeItNow: 'Update now',
  programFilesOfFormat: (version: Shown, format: Shown): string => `Program ${version}, files of format ${format}.`,
  programOfTheWorkbench: (format: Shown): string => `Program of the workbench, files of format ${format}.`,
  notKeptForUseWithoutThe:
    'Does not work without the server over plain HTTP. Camera, wake lock and serial ports need HTTPS too. See docs/keeping.md for HTTPS.',
  beingFetchedForUseWithoutTheServer: 'Downloading for use without the server …',
  worksWithoutTheServerEveryPart: 'Works without the server: every part is on this device.',
  notFetchedToSaveData: 'Not downloaded for use without the server, because this browser saves data.',
  fetchItNow: 'Download it now',
  picturesAreReadOffline: 'Pictures of tables are read without the server too.',
  picturesAreReadOfflineAfterFirstUse: 'Pictures of tables are read without the server after the first one.',
  fetchingTheReader: 'Downloading the reader of pictures …',
  theReaderDidNotCome: 'The reader of pictures could not be stored. Check the connection to the server.',
  makePicturesWorkOfflineToo: 'Make pictures work offline too (4 MB)',
  couldNotBeKeptForUse: 'Could not be stored for use without the server.',
};

export const restorePartWords = {
  bringBack: 'Restore',
  aBackupOfThisOrAnother:
    'Open a backup of this or another device. You see first what it would change. Newer data here stays. Changes on both sides are merged field by field.',
  openABackup: 'Open a backup…',
  aBackup: 'a backup',
  readingTheBackup: 'Reading the backup',
  itsPassphrase: 'Its passphrase',
  openIt: 'Open it',
  writtenOn: (moment: Shown, records: Shown): string => `Written on **${moment}**, ${records}.`,
  whatItWouldChange: 'What it would change',
  takeIn: (count: Shown): string => `Restore ${count}`,
  leaveIt: 'Cancel',
  everythingInItIsHereAlready: 'Everything in it is already here.',
  checks: 'Checks',
  thisFileIsDamagedNothingWas: 'This file is damaged. Nothing was restored.',
  thisIsNotItsPassphrase: 'Wrong passphrase. Try again.',
  what: 'what',
  size: 'size',
  leftOutForTheyAreNone: (refused: Shown): string =>
    `Not restored, because these are not files of this program: ${refused}.`,
  takenIn: (list: Shown): string => `Restored: ${list}.`,
  nothingWasTakenIn: 'Nothing was restored.',
};

export const useWorkWords = {
  brokenOff: 'Cancelled.',
};
