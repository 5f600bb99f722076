import type { WidgetActs } from '../../kinds/kind.ts';
import type { ClockOptions } from './clock.ts';

export const acts: WidgetActs<ClockOptions> = {
  timer: ({ startedAt }, { moment }) =>
    startedAt === null
      ? { label: 'Start the timer', options: { startedAt: moment } }
      : { label: 'Set the timer back', options: { startedAt: null } },
};
