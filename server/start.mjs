// Starts the server. V8 is told to keep its heap small before anything is loaded: the server rests most of the time.
import { setFlagsFromString } from 'node:v8';
import { register } from 'tsx/esm/api';

setFlagsFromString('--optimize-for-size');
register();
await import('./main.ts');
