import '../browser/jitless.ts';
import * as Comlink from 'comlink';
import { logWork } from './logs.ts';

Comlink.expose(logWork);
