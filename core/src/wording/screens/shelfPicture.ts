import type { Shown } from './shown.ts';

export const fromDiagramWords = {
  pointsNotSaved: (draftFault: Shown): string => `The points are not saved: the browser’s storage is ${draftFault}.`,
  pictureLabel: 'Picture of the diagram',
  axesTitle: '1 · Two known places on each axis',
  axesHelp:
    'Drag each cross to where its value is printed. It snaps to a printed line when you let go. The arrow keys move it exactly.',
  straightenThePhoto: 'Straighten the photo…',
  cornersHelp: 'Drag the four corners to the corners of the printed frame, then straighten.',
  straighten: 'Straighten',
  cancel: 'Cancel',
  straightenFailed: 'The photo could not be straightened',
  logTemperature: 'temperature axis is logarithmic',
  logResistance: 'resistance axis is logarithmic',
  pointsTitle: '2 · Points along the line',
  pointsHelp: 'Tap along the line, with more points where it bends. Zoom in for precision.',
  awaitingTap: 'Now tap the line',
  followByColour: 'Follow by colour',
  removeLast: 'Remove the last point',
  allAway: 'Remove all points',
  following: 'following …',
  pointsReadOff: 'Points read off',
  needsValues: 'Enter the four values to read the points.',
  useThesePoints: 'Use these points',
  knownTemperatureLeft: 'Known temperature, left',
  knownTemperatureRight: 'Known temperature, right',
  knownResistanceLow: 'Known resistance, low',
  knownResistanceHigh: 'Known resistance, high',
  point: (number: Shown): string => `Point ${number}`,
  followFailed: 'The line could not be followed',
  uncertainty: 'uncertainty',
  noLine: 'No line with its own colour was found there. Tap the points one by one.',
};

export const fromPictureWords = {
  figuresNotSaved: (draftFault: Shown): string => `The figures are not saved: the browser’s storage is ${draftFault}.`,
  cornersHelp: 'Drag the four corners around the table, then read it.',
  pictureLabel: 'Picture of the table',
  readItAgain: 'Read it again',
  readTheTable: 'Read the table',
  readingTheTable: 'Reading the table',
  fetchingTheReader: 'fetching the reader …',
  reading: (share: Shown): string => `reading, ${share} %`,
  cancel: 'Cancel',
  cornersCross: 'The corners must go round the table without crossing.',
  figuresLabel: 'Figures as they were read',
  rowsLabel: 'Rows of the table',
  column: (number: Shown): string => `column ${number}`,
  row: (number: Shown, c: Shown): string => `Row ${number}, ${c}`,
  matchesPicture: (text: Shown, number: Shown): string => `${text} in row ${number} matches the picture`,
  skipRow: (number: Shown): string => `Skip row ${number}`,
  skip: 'Skip',
  headings: 'Headings',
  confirmHeadings: 'Check each heading against the picture, and confirm its unit.',
  headingRead: (number: Shown, words: Shown): string => `Column ${number}, heading read as “${words}”`,
  headingMissing: (number: Shown): string => `Column ${number}, no heading read`,
  unitOf: (number: Shown): string => `Unit of column ${number}`,
  pickUnit: 'Choose the unit',
  unitIsRight: (unit: Shown, number: Shown): string => `${unit} is the unit of column ${number}`,
  useTheseFigures: 'Use these figures',
  upperLeftCorner: 'Upper left corner',
  upperRightCorner: 'Upper right corner',
  lowerRightCorner: 'Lower right corner',
  lowerLeftCorner: 'Lower left corner',
  readFailed: 'The picture could not be read',
  noTable: 'No table found between the corners. Check that it is sharp and complete.',
};

export const pictureOpenWords = {
  anotherPicture: 'Another picture…',
  openOrTake: { table: 'Open or take a picture of the table…', diagram: 'Open or take a picture of the diagram…' },
  pictureOf: { table: 'Picture of the table', diagram: 'Picture of the diagram' },
  dropHint: 'or drop it here, or paste it. It stays on this device.',
};

export const pictureStageWords = {
  handleLabel: (label: Shown): string => `${label}: drag, or move with the arrow keys`,
  zoom: 'Zoom',
};

export const grayPngWords = {
  noRoom: 'no room for the picture',
};
