// Writes what docs/ takes from the code: the schema of a desk, and the names that expressions know.
import { readFileSync, writeFileSync } from 'node:fs';
import { deskJsonSchema } from '../core/desk/schema.ts';
import { namesIn } from '../core/expressions/names.ts';

const inDocs = (file: string) => new URL(`../docs/${file}`, import.meta.url);

writeFileSync(inDocs('desk.schema.json'), JSON.stringify(deskJsonSchema(), null, 2) + '\n');
writeFileSync(inDocs('expressions.md'), namesIn(readFileSync(inDocs('expressions.md'), 'utf8')));
