import { useMemo } from 'react';
import type { Telling } from '../../../core/expressions/catalogue.ts';
import { tellingOf } from '../../../core/expressions/telling.ts';
import { createReadings } from '../../../core/sources/readings.ts';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { useHalf } from '../../session/scene.ts';

/** What expressions know on the desk that is edited, at the moment shown; null while none is open. */
export function useTelling(): Telling | null {
  const desk = useDesk((state) => state.history?.present);
  const moment = useConditions((state) => state.moment);
  const feeds = useConditions((state) => state.feeds);
  const windows = useConditions((state) => state.windows);
  const workspace = useConditions((state) => state.workspace);
  const half = useHalf();
  return useMemo(() => {
    if (!desk) return null;
    const { place, seed, sources, workspaces } = desk;
    const readings = createReadings({
      moment,
      place,
      seed,
      tide: sources.tide,
      sound: sources.sound,
      outside: sources.outside,
      feeds,
    });
    const facts = {
      units: sources.units,
      half,
      workspaces,
      workspace,
      running: new Set(windows.map(({ application }) => application)),
    };
    return tellingOf({ ...facts, readings });
  }, [desk, moment, feeds, windows, workspace, half]);
}
