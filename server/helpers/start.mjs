// Helpers don't hear of the loader that the server was started with: each registers it for itself.
import { register } from 'tsx/esm/api';

register();
await import('./work.ts');
