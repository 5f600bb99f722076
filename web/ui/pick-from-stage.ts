import { createContext } from 'react';

/** Lets a colour be picked from what is on the stage; null where there is none. */
export const PickFromStage = createContext<((title: string, take: (colour: string) => void) => void) | null>(
  null,
);
