// Starts a helper of the server.
import { load } from '../load.mjs';

await load('helpers/work');
