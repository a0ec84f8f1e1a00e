import type { Shown } from './shown.ts';

export const backupPartWords = {
  backup: 'Backup',
  oneZipOfTheExportedFiles:
    'One ZIP of the exported files with their sums. It opens here on any device; without this program it is plain JSON and JPEG.',
  whatGoesIntoIt: 'What goes into it',
  passphraseIfItIsToBeSealed: 'Passphrase, if it is to be sealed',
  none: 'none',
  overPlainHttpThisBrowserGives:
    'Over plain HTTP this browser gives no cryptography: a backup is not sealed here. docs/keeping.md says how the server speaks HTTPS.',
  atLeastSignsAShortOne: (shortest: Shown): string => `At least ${shortest} signs: a short one is guessed.`,
  withoutThePassphraseNobodyOpensIt: 'Without the passphrase nobody opens it again, you neither.',
  writeTheBackup: 'Write the backup',
  toTheFolder: (name: Shown): string => `To the folder “${name}”`,
  toAFolder: 'To a folder…',
  breakOff: 'Break off',
  inPutItWhereThisDevice: (count: Shown, where: Shown): string =>
    `${count} in ${where}. Put it where this device is not: another disk, another house.`,
};

export const keptPartWords = {
  whatIsKept: 'What is kept',
  whatIsKeptHere: 'What is kept here',
  inThisBrowserOfThatIt: (bytes: Shown, bytes2: Shown): string =>
    `${bytes} in this browser, of ${bytes2} that it would give.`,
  theBrowserPromisesNotToThrow: 'The browser promises not to throw it away when the disk is short.',
  theBrowserMayThrowItAway: 'The browser may throw it away when the disk is short.',
  theBrowserDidNotPromise: 'The browser may throw it away when the disk is short: it was asked and did not promise.',
  askItToKeepEverything: 'Ask it to keep everything',
  thisBrowserDoesNotSayWhether:
    'This browser does not say whether it keeps everything when the disk is short: keep backups.',
  whatTakesTheRoom: 'What takes the room',
  measuring: 'Measuring',
  aNewerVersionLiesReady: 'A newer version lies ready.',
  takeItNow: 'Take it now',
  programFilesOfFormat: (version: Shown, format: Shown): string => `Program ${version}, files of format ${format}.`,
  programOfTheWorkbench: (format: Shown): string => `Program of the workbench, files of format ${format}.`,
  notKeptForUseWithoutThe:
    'Not kept for use without the server: over plain HTTP from another device a browser does not do that, nor does it give camera, wake lock, serial ports or locks. docs/keeping.md says how the server speaks HTTPS.',
  beingFetchedForUseWithoutTheServer: 'Being fetched for use without the server …',
  worksWithoutTheServerEveryPart: 'Works without the server: every part is kept on this device.',
  couldNotBeKeptForUse: 'Could not be kept for use without the server.',
};

export const restorePartWords = {
  bringBack: 'Bring back',
  aBackupOfThisOrAnother:
    'A backup of this or another device: what it would change is shown first. What is newer here stays; what was changed on both sides is merged field by field.',
  openABackup: 'Open a backup…',
  aBackup: 'a backup',
  readingTheBackup: 'Reading the backup',
  itsPassphrase: 'Its passphrase',
  openIt: 'Open it',
  writtenOn: (moment: Shown, records: Shown): string => `Written on **${moment}**, ${records}.`,
  whatItWouldChange: 'What it would change',
  takeIn: (count: Shown): string => `Take in ${count}`,
  leaveIt: 'Leave it',
  everythingInItIsHereAlready: 'Everything in it is here already.',
  checks: 'Checks',
  thisFileIsDamagedNothingWas: 'This file is damaged: nothing was taken from it.',
  thisIsNotItsPassphrase: 'This is not its passphrase.',
  what: 'what',
  size: 'size',
  leftOutForTheyAreNone: (refused: Shown): string => `Left out, for they are none of this program: ${refused}.`,
  takenIn: (list: Shown): string => `Taken in: ${list}.`,
  nothingWasTakenIn: 'Nothing was taken in.',
};

export const safeScreenWords = {
  safeKeeping: 'Safe-keeping',
};

export const useWorkWords = {
  brokenOff: 'Broken off.',
};
