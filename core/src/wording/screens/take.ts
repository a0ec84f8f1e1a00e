import type { Shown } from './shown.ts';

export const takeScreenWords = {
  receiveACheck: 'Receive a check',
  theCheck: 'The check',
  withoutPhotos: 'Its photos are still on the other device.',
  begun: (day: Shown, readings: Shown): string => `Started ${day}, ${readings}.`,
  sameOrigin: 'A check with the same origin is here. This one is added beside it.',
  keepIt: 'Keep it',
  leaveIt: 'Cancel',
  receive: 'Receive',
  howTo:
    'On the other device, open the check and tap Share. Scan the pictures there, or open its link here. To open a file, use Import on the list of checks.',
  scan: 'Scan…',
  scanThePictures: 'Scan the pictures',
  incompleteLink: 'This contains no complete check. Copy the whole link again.',
  notOpened: (openFault: Shown): string => `Not opened. ${openFault}`,
  foreignPicture: 'This is not a picture of a check.',
  misread: 'A picture was read wrongly. Scan it again.',
  of: (size: Shown, count: Shown): string => `${size} of ${count}`,
  aim: 'Point it at the other screen.',
};
