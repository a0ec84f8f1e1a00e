/** Most entries of each list of a job that a control lets a person make; the door of the schema is `FILE_MARGIN` times as wide. */
export const MOST = {
  readings: 500,
  moments: 24,
  leftOut: 50,
  corrections: 50,
  codes: 50,
  symptoms: 50,
  findings: 100,
  pairs: 100,
  timed: 100,
  points: 500,
  plugs: 12,
  values: 12,
  photos: 12,
  proofReadings: 40,
  followUps: 50,
  tags: 12,
} as const;
