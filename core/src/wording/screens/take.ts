import type { Shown } from './shown.ts';

export const takeScreenWords = {
  receiveACheck: 'Receive a check',
  theCheck: 'The check',
  itsPhotosStayedOnTheOtherDevice: 'Its photos stayed on the other device.',
  begun: (day: Shown, readings: Shown): string => `Begun ${day}, ${readings}.`,
  aCheckOfTheSameOrigin: 'A check of the same origin is here: this one is kept beside it.',
  keepIt: 'Keep it',
  leaveIt: 'Leave it',
  receive: 'Receive',
  onTheOtherDeviceOpenThe:
    'On the other device: open the check, then Share. Scan the pictures there, or open its link here. A file is taken with Import on the list of checks.',
  scan: 'Scan…',
  scanThePictures: 'Scan the pictures',
  thisHoldsNoCheckOrOnly: 'This holds no check, or only a part of one.',
  notOpened: (openFault: Shown): string => `Not opened. ${openFault}`,
  thatIsNoPictureOfACheck: 'That is no picture of a check.',
  aPictureWasReadWronglyScan: 'A picture was read wrongly: scan it once more.',
  of: (size: Shown, count: Shown): string => `${size} of ${count}`,
  holdItOnTheOtherScreen: 'Hold it on the other screen.',
};
