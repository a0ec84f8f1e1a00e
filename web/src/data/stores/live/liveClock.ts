/** A value that is older than this is none any more: s of the instruments' clock, and s of ours, whichever is longer. */
const FRESH = { ownS: 6, realS: 1.5 } as const;

/** The clock of all samples. */
export interface LiveClock {
  /** Time, s: of the machine, where it is simulated. It never runs back. */
  nowS(): number;
  /** How old a value may be and still count, s of this clock. */
  freshS(): number;
  /** Seconds of this clock in a second of ours, from now on. */
  setSpeed(speed: number): void;
}

export function liveClock(): LiveClock {
  let [baseS, baseMs, speed] = [0, performance.now(), 1];
  const nowS = (): number => baseS + ((performance.now() - baseMs) / 1000) * speed;
  return {
    nowS,
    freshS: () => Math.max(FRESH.ownS, FRESH.realS * speed),
    setSpeed(next) {
      [baseS, baseMs, speed] = [nowS(), performance.now(), next];
    },
  };
}
