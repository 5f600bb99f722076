import { createHash } from 'node:crypto';
import type { DigestOf } from '../../core/bundle/bundle.ts';

export const digestOf: DigestOf = (bytes) => createHash('sha256').update(bytes).digest('hex');
