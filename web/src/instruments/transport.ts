/** What comes out of a line. */
export interface LineEvents {
  text(text: string): void;
  /** The line is gone, with a reason for a person. Told once. */
  gone(why: string): void;
}

/** A line to one instrument: text out, text in. It knows nothing of what is said on it. */
export interface Transport {
  /** Rejects with a reason for a person where it cannot be opened. */
  open(events: LineEvents): Promise<void>;
  send(text: string): void;
  /** Closed by us: `gone` is not told. */
  close(): void;
}
