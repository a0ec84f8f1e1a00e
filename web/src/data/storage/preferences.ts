/** Small choices live in localStorage: they are needed before the first paint. A blocked store only means the default each time. */
export function readPreference<T extends string>(name: string, allowed: readonly T[], fallback: T): T {
  const stored = readWord(name, fallback);
  return allowed.find((value) => value === stored) ?? fallback;
}

export function writePreference(name: string, value: string): void {
  try {
    localStorage.setItem(`mellow-probe.${name}`, value);
  } catch {
    // Blocked or full: the choice holds until the window closes.
  }
}

/** A choice that is no word of a list: what a person pressed. */
export function readWord(name: string, fallback: string): string {
  try {
    const stored = localStorage.getItem(`mellow-probe.${name}`);
    return stored !== null && stored !== '' && stored.length <= 40 ? stored : fallback;
  } catch {
    return fallback;
  }
}
