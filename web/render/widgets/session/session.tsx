import { ActButtons } from '../act-buttons.tsx';

export const faces = { round: ActButtons, pills: ActButtons, list: ActButtons };
