/** Small choices live in localStorage: they are needed before the first paint. A blocked store only means the default each time. */
export function readPreference<T extends string>(name: string, allowed: readonly T[], fallback: T): T {
  try {
    const stored = localStorage.getItem(`mellow-probe.${name}`);
    return allowed.find((value) => value === stored) ?? fallback;
  } catch {
    return fallback;
  }
}

export function writePreference(name: string, value: string): void {
  try {
    localStorage.setItem(`mellow-probe.${name}`, value);
  } catch {
    // Blocked or full: the choice holds until the window closes.
  }
}
