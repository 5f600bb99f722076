// Writes docs/desk.schema.json from the schema in the core.
import { writeFileSync } from 'node:fs';
import { deskJsonSchema } from '../core/desk/schema.ts';

writeFileSync(
  new URL('../docs/desk.schema.json', import.meta.url),
  JSON.stringify(deskJsonSchema(), null, 2) + '\n',
);
