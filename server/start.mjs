// Starts the server. V8 is told to keep its heap small before anything is loaded: the server rests most of the time.
import { setFlagsFromString } from 'node:v8';

setFlagsFromString('--optimize-for-size');
const { load } = await import('./load.mjs');
await load('main');
