/** For how many closed checks the default weights count: a hundred of one's own then weigh somewhat more than they do. */
export const STRENGTHS = [20, 60, 200] as const;
export const USUAL_STRENGTH = 60;
