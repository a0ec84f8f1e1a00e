import localforage from 'localforage';
import { workshop } from '../app/workshop.ts';

/** The browser's stores of this workshop: its own, never the other's. */
const name = workshop === 'demo' ? 'mellow-probe-demo' : 'mellow-probe';

export const jobs = localforage.createInstance({ name, storeName: 'jobs' });
export const photos = localforage.createInstance({ name: `${name}-photos`, storeName: 'photos' });
/** The user's own curves, and the kit that new jobs start with. */
export const shelf = localforage.createInstance({ name: `${name}-shelf`, storeName: 'shelf' });
