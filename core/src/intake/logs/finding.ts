import type { Mark } from './log.ts';

/** The ways in which a series breaks off from its course. */
export const EVENT_KINDS = ['drop-out', 'step', 'spike', 'stuck', 'noise', 'rate'] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

/** One such place. Values in the unit of the channel. */
export interface LogEvent {
  kind: EventKind;
  fromS: number;
  toS: number;
  /** Samples in it. */
  samples: number;
  /** What it was just before, and what it became. */
  before: number;
  level: number;
  /** Which end of the scale a drop-out goes to. */
  end: 'low' | 'high' | null;
  /** How far it stands out from the noise of the series, in its 1σ. */
  sigmas: number;
}

/** How often something happened while a mark stood, against chance. */
export interface UnderMark {
  kind: Mark['kind'];
  place: string;
  count: number;
  /** s for which such a mark stood. */
  overS: number;
  /** Chance that so many fall under it by themselves, 0 … 1. */
  chance: number;
}

/** A value read off a stretch of the log. One figure, however many samples: they share their instrument. */
export interface Stretch {
  channel: string;
  fromS: number;
  toS: number;
  value: number;
  samples: number;
  /** How many of them count as independent. */
  independent: number;
  /** 1σ of the value by its own scatter; the instrument's own error comes on top. */
  sigma: number;
}

/** What was found in a log. Data only: the words are in `wording/findingText.ts`. Times in s, temperatures in °C or K. */
export type Finding =
  | {
      kind: 'events';
      event: EventKind;
      channel: string;
      events: LogEvent[];
      atC: { low: number; high: number } | null;
      /** They come only above this temperature, although the log was long below it, °C; null where that may be chance. */
      onlyAboveC: number | null;
      under: UnderMark[];
    }
  | {
      kind: 'wiggle';
      channel: string;
      place: string | null;
      count: number;
      places: { place: string; count: number; overS: number; probability: number }[];
      chance: number;
      /** What it shows while it is away: the middle of them. */
      level: number;
    }
  | { kind: 'moved'; mark: Mark; moved: { channel: string; from: number; to: number }[]; still: string[] }
  | { kind: 'stretch'; about: 'cold' | 'hot' | 'unplugged' | 'bridged'; stretches: Stretch[] }
  | {
      kind: 'warm-up';
      channel: string;
      fromS: number;
      toS: number;
      fromC: number;
      toC: number;
      /** Largest fall while it should rise, K. */
      setback: number;
      holds: 'holds' | 'stays-low' | 'still-rising';
      plateauC: number | null;
      overshootK: number;
      cycles: { count: number; periodS: number; swingK: number } | null;
      timeConstantS: { value: number; sigma: number } | null;
    }
  | { kind: 'cold-start'; channels: { channel: string; valueC: number }[]; oddOne: string | null; apartK: number }
  | { kind: 'air'; channel: string; dips: { fromS: number; toS: number; depthK: number }[] }
  | {
      kind: 'settling';
      channel: string;
      fromS: number;
      toS: number;
      endsAt: number;
      sigma: number;
      timeConstantS: number;
      leftNow: number;
    }
  | { kind: 'loop'; channel: string; against: string; widthK: number; lagS: number; leftK: number; sigmaK: number }
  /** A supply that changes slowly, V: its middle in the first and in the last tenth of the log. */
  | { kind: 'sag'; channel: string; fromV: number; toV: number; overS: number }
  | { kind: 'drift'; channel: string; against: string; perHourK: number; sigma: number; meanK: number }
  | {
      kind: 'compare';
      channel: string;
      against: string;
      bins: { atC: number; differenceK: number; sigmaK: number }[];
      worstK: number;
      worstAtC: number;
    }
  | {
      kind: 'divider';
      volts: string;
      against: string;
      referenceV: { value: number; sigma: number };
      pullUpOhm: { value: number; sigma: number } | null;
      betaK: { value: number; sigma: number } | null;
      bins: { atC: number; volts: number; fitted: number; offK: number }[];
      leaves: { fromC: number; toC: number; offK: number } | null;
    };

export type FindingKind = Finding['kind'];
/** A finding of one kind. */
export type Found<K extends FindingKind> = Extract<Finding, { kind: K }>;
