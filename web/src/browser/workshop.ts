/**
 * Which workshop this window works in: the user's own, or the demo with made-up data. They have different addresses and different
 * stores, and nothing in one window can reach the other.
 */
export type Workshop = 'own' | 'demo';

export const workshop: Workshop = /^\/demo(\/|$)/.test(window.location.pathname) ? 'demo' : 'own';

/** Where this workshop's addresses begin. */
export const workshopBase = workshop === 'demo' ? '/demo/' : '/';
