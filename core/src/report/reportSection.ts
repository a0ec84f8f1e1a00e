import type { TwoFaults } from '../advice/nextTest/twoFaults.ts';
import type { PlaceAdvice } from '../advice/place/placeAdvice.ts';
import type { TemperatureUnit } from '../base/units/format.ts';

/** One part of a report: lines of text, a table, or both. Plain text throughout; whoever prints it escapes it. */
export interface ReportSection {
  id: string;
  title: string;
  lines: string[];
  table?: { head: string[]; rows: string[][] };
}

/** How the pages of a report write what they hold. */
export interface PageOptions {
  unit: TemperatureUnit;
  /** Pairs of faults, where they were weighed. */
  two?: TwoFaults | null;
  /** Where on the way it lies, where that was asked. */
  where?: PlaceAdvice | null;
  /** How a moment (ISO 8601) is written, and a day alone. */
  when: (iso: string) => string;
  day: (iso: string) => string;
}

/** What goes into a report beside the text: the drawing as SVG of our own, charts and photos as data addresses with what they show. */
export interface ReportPictures {
  drawing: string | null;
  charts: readonly { image: string; about: string }[];
  photos: readonly { image: string; caption: string }[];
  logo: string | null;
}
