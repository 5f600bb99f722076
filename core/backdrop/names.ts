/** The scenes that the project draws itself. */
export const sceneNames = ['headland', 'marsh', 'fog', 'night', 'contours', 'tide', 'lamp'] as const;
export type SceneName = (typeof sceneNames)[number];

export const sceneTitles: Record<SceneName, string> = {
  headland: 'First light',
  marsh: 'Reed marsh',
  fog: 'Fog on the firs',
  night: 'Night over the bay',
  contours: 'Chart of the bay',
  tide: 'Tide lines',
  lamp: 'Harbour lamps',
};
