import { create } from 'zustand';
import type { Conditions } from '../../core/scene/scene.ts';
import type { MachineReading } from '../../core/sources/machine/machine.ts';

/** The moment and everything else that is not the document. It lasts as long as this page. */
interface ConditionsState {
  /** Epoch ms of the moment shown. */
  moment: number;
  /** False while the moment is one that somebody chose. */
  isNow: boolean;
  /** The day is being played. */
  isPlaying: boolean;
  running: readonly string[];
  workspace: number;
  machine: readonly { moment: number; reading: MachineReading }[];
  hold(moment: number): void;
  goNow(): void;
  setPlaying(isPlaying: boolean): void;
  tick(moment: number): void;
  toggleRunning(application: string): void;
  goTo(workspace: number): void;
  addSamples(samples: readonly { moment: number; reading: MachineReading }[]): void;
}

/** As long as the longest graph reaches back, at a sample every two seconds. */
const MOST_SAMPLES = 3600;

export const useConditions = create<ConditionsState>()((set) => ({
  moment: Date.now(),
  isNow: true,
  isPlaying: false,
  running: [],
  workspace: 0,
  machine: [],
  hold: (moment) => set({ moment, isNow: false }),
  goNow: () => set({ moment: Date.now(), isNow: true, isPlaying: false }),
  setPlaying: (isPlaying) => set(isPlaying ? { isPlaying, isNow: false } : { isPlaying }),
  tick: (moment) => set((state) => (state.isNow ? { moment } : {})),
  toggleRunning: (application) =>
    set(({ running }) => ({
      running: running.includes(application)
        ? running.filter((id) => id !== application)
        : [...running, application],
    })),
  goTo: (workspace) => set({ workspace }),
  addSamples: (samples) =>
    set(({ machine }) => {
      const newest = machine.at(-1)?.moment ?? -Infinity;
      return {
        machine: [...machine, ...samples.filter(({ moment }) => moment > newest)].slice(-MOST_SAMPLES),
      };
    }),
}));

export function conditionsOf({ moment, running, workspace, machine }: ConditionsState): Conditions {
  return { moment, running, workspace, live: { machine } };
}
