/** The scenes that the project draws itself. */
export const sceneNames = ['headland', 'marsh', 'fog', 'night', 'contours', 'tide', 'lamp'] as const;
export type SceneName = (typeof sceneNames)[number];

export const sceneTitles: Record<SceneName, string> = {
  headland: 'Headland at first light',
  marsh: 'Reed marsh',
  fog: 'Fog on the firs',
  night: 'Night over the point',
  contours: 'Chart of the bay',
  tide: 'Tide lines',
  lamp: 'Harbour lamps',
};
