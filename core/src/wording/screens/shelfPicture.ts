import type { Shown } from './shown.ts';

export const fromDiagramWords = {
  thePointsAreNotKeptThe: (draftFault: Shown): string =>
    `The points are not saved: the browser’s storage is ${draftFault}.`,
  pictureOfTheDiagram: 'Picture of the diagram',
  twoKnownPlacesOnEachAxis: '1 · Two known places on each axis',
  dragEachCrossToWhereIts:
    'Drag each cross to where its value is printed. It snaps to a printed line when you let go. The arrow keys move it exactly.',
  straightenThePhoto: 'Straighten the photo…',
  dragTheFourCornersAroundTheDiagram: 'Drag the four corners to the corners of the printed frame, then straighten.',
  straighten: 'Straighten',
  keepItAsItIs: 'Cancel',
  thePhotoCouldNotBeStraightened: 'The photo could not be straightened',
  temperatureAxisIsLogarithmic: 'temperature axis is logarithmic',
  resistanceAxisIsLogarithmic: 'resistance axis is logarithmic',
  pointsAlongTheLine: '2 · Points along the line',
  tapAlongTheLineMoreWhere: 'Tap along the line, with more points where it bends. Zoom in for precision.',
  nowTapTheLine: 'Now tap the line',
  followByColour: 'Follow by colour',
  takeTheLastBack: 'Remove the last point',
  allAway: 'Remove all points',
  following: 'following …',
  pointsReadOff: 'Points read off',
  giveTheFourValuesAndThe: 'Enter the four values to read the points.',
  useThesePoints: 'Use these points',
  knownTemperatureLeft: 'Known temperature, left',
  knownTemperatureRight: 'Known temperature, right',
  knownResistanceLow: 'Known resistance, low',
  knownResistanceHigh: 'Known resistance, high',
  point: (number: Shown): string => `Point ${number}`,
  theLineCouldNotBeFollowed: 'The line could not be followed',
  thePictureTellsItTo: 'the picture needs it',
  noLineOfAColourOf: 'No line with its own colour was found there. Tap the points one by one.',
};

export const fromPictureWords = {
  theFiguresAreNotKeptThe: (draftFault: Shown): string =>
    `The figures are not saved: the browser’s storage is ${draftFault}.`,
  dragTheFourCornersAroundThe: 'Drag the four corners around the table, then read it.',
  pictureOfTheTable: 'Picture of the table',
  readItAgain: 'Read it again',
  readTheTable: 'Read the table',
  readingTheTable: 'Reading the table',
  fetchingTheReader: 'fetching the reader …',
  reading: (share: Shown): string => `reading, ${share} %`,
  cancel: 'Cancel',
  theCornersMustGoRoundThe: 'The corners must go round the table without crossing.',
  figuresAsTheyWereRead: 'Figures as they were read',
  rowsOfTheTable: 'Rows of the table',
  column: (number: Shown): string => `column ${number}`,
  row: (number: Shown, c: Shown): string => `Row ${number}, ${c}`,
  inRowStandsAsInThePicture: (text: Shown, number: Shown): string => `${text} in row ${number} matches the picture`,
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
  thePictureCouldNotBeRead: 'The picture could not be read',
  noTableFoundBetweenTheCorners: 'No table found between the corners. Check that it is sharp and complete.',
};

export const pictureOpenWords = {
  anotherPicture: 'Another picture…',
  openOrTake: { table: 'Open or take a picture of the table…', diagram: 'Open or take a picture of the diagram…' },
  pictureOf: { table: 'Picture of the table', diagram: 'Picture of the diagram' },
  orDropItHereOrPaste: 'or drop it here, or paste it. It stays on this device.',
};

export const pictureStageWords = {
  dragOrMoveWithTheArrowKeys: (label: Shown): string => `${label}: drag, or move with the arrow keys`,
  howCloseThePictureIs: 'Zoom',
};

export const grayPngWords = {
  noRoomForThePicture: 'no room for the picture',
};
