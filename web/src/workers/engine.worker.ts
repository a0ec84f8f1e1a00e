import '../browser/jitless.ts';
import * as Comlink from 'comlink';
import { engine } from './engine.ts';

Comlink.expose(engine);
