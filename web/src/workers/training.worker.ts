import '../browser/jitless.ts';
import * as Comlink from 'comlink';
import { trainingWork } from './training.ts';

Comlink.expose(trainingWork);
