/** The far end of a line: what an instrument would print. Told what was sent to it and what time it is; it keeps its answers until their time has come. */
export interface StandIn {
  receive(text: string, nowS: number): void;
  /** What has been printed up to now and not been taken yet. */
  take(nowS: number): string;
}

/** Answers on their way, each with the time at which it arrives. */
export function outTray(): { put(text: string, atS: number): void; take(nowS: number): string } {
  let waiting: { text: string; atS: number }[] = [];
  return {
    put: (text, atS) => void waiting.push({ text, atS }),
    take(nowS) {
      const due = waiting.filter((w) => w.atS <= nowS);
      waiting = waiting.filter((w) => w.atS > nowS);
      return due
        .sort((a, b) => a.atS - b.atS)
        .map((w) => w.text)
        .join('');
    },
  };
}
