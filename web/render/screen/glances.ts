import { createContext } from 'react';
import type { Glance } from '../../../core/scene/scene.ts';

/** What is open on every workspace, for whatever shows them small. */
export const Glances = createContext<readonly Glance[]>([]);
