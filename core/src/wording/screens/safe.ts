import type { Shown } from './shown.ts';

export const backupPartWords = {
  backup: 'Backup',
  purpose:
    'One ZIP file with all data and checksums. It opens here on any device. Inside are plain JSON and JPEG files.',
  contents: 'What to include',
  passphrase: 'Passphrase, to encrypt it',
  none: 'none',
  noEncryption: 'Over plain HTTP the browser cannot encrypt a backup. See docs/howto/phone.md for HTTPS.',
  passphraseRule: (shortest: Shown): string => `Use at least ${shortest} characters. A short one is easy to guess.`,
  passphraseWarning: 'Nobody can open it without the passphrase, not even you.',
  writeTheBackup: 'Save the backup',
  toTheFolder: (name: Shown): string => `Save to the folder “${name}”`,
  toAFolder: 'Save to a folder…',
  breakOff: 'Cancel',
  written: (count: Shown, where: Shown): string =>
    `${count} in ${where}. Keep it away from this device: on another disk, in another building.`,
};

export const keptPartWords = {
  whatIsKept: 'What is stored',
  title: 'What is stored here',
  usage: (bytes: Shown, bytes2: Shown): string => `${bytes} in this browser, of ${bytes2} available.`,
  persistent: 'The browser keeps it even when the disk is nearly full.',
  notPersistent: 'The browser may delete it when the disk is nearly full.',
  persistRefused: 'The browser may delete it when the disk is nearly full. It refused to protect it.',
  askToPersist: 'Ask the browser to keep everything',
  persistUnknown: 'This browser does not say whether it keeps everything when the disk is nearly full. Keep backups.',
  sizesTitle: 'What takes space',
  measuring: 'Measuring',
  updateReady: 'An update is ready.',
  takeItNow: 'Update now',
  versionLine: (version: Shown, format: Shown): string => `Program ${version}, files of format ${format}.`,
  versionLineUnreleased: (format: Shown): string => `Unreleased build, files of format ${format}.`,
  offlineUnavailable:
    'Does not work without the server over plain HTTP. Camera, wake lock and serial ports need HTTPS too. See docs/howto/phone.md for HTTPS.',
  offlineLoading: 'Downloading for use without the server …',
  offlineReady: 'Works without the server: every part is on this device.',
  offlineSaver: 'Not downloaded for use without the server, because this browser saves data.',
  fetchItNow: 'Download it now',
  picturesOffline: 'Pictures of tables are read without the server too.',
  picturesAfterFirstUse: 'Pictures of tables are read without the server after the first one.',
  fetchingTheReader: 'Downloading the reader of pictures …',
  readerFailed: 'The reader of pictures could not be stored. Check the connection to the server.',
  fetchReader: 'Make pictures work offline too (4 MB)',
  offlineFailed: 'Could not be stored for use without the server.',
};

export const restorePartWords = {
  bringBack: 'Restore',
  purpose:
    'Open a backup of this or another device. You see first what it would change. Newer data here stays. Changes on both sides are merged field by field.',
  openABackup: 'Open a backup…',
  aBackup: 'a backup',
  readingTheBackup: 'Reading the backup',
  itsPassphrase: 'Its passphrase',
  openIt: 'Open it',
  writtenOn: (moment: Shown, records: Shown): string => `Written on **${moment}**, ${records}.`,
  changesTitle: 'What it would change',
  takeIn: (count: Shown): string => `Restore ${count}`,
  leaveIt: 'Cancel',
  nothingNew: 'Everything in it is already here.',
  checks: 'Checks',
  damaged: 'This file is damaged. Nothing was restored.',
  wrongPassphrase: 'Wrong passphrase. Try again.',
  what: 'what',
  size: 'size',
  refused: (refused: Shown): string => `Not restored, because these are not files of this program: ${refused}.`,
  takenIn: (list: Shown): string => `Restored: ${list}.`,
  nothingRestored: 'Nothing was restored.',
};

export const useWorkWords = {
  brokenOff: 'Cancelled.',
};
