/** What may stand in a sentence: a figure or a name that is text already, or a plain count. */
export type Shown = string | number;
