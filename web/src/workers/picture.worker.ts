import '../browser/jitless.ts';
import * as Comlink from 'comlink';
import { pictureWork } from './picture.ts';

Comlink.expose(pictureWork);
