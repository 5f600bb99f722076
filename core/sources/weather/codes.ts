/** Conditions as WMO codes (code table 4677, those of present weather that forecasts use). */
interface Condition {
  title: string;
  /** freedesktop icon names, by day and by night. */
  day: string;
  night: string;
}

/** Alike by day and by night. */
const both = (title: string, icon: string): Condition => ({ title, day: icon, night: icon });

const conditions = new Map<number, Condition>([
  [0, { title: 'Clear', day: 'weather-clear', night: 'weather-clear-night' }],
  [1, { title: 'Fair', day: 'weather-clear', night: 'weather-clear-night' }],
  [2, { title: 'Some cloud', day: 'weather-few-clouds', night: 'weather-few-clouds-night' }],
  [3, both('Overcast', 'weather-overcast')],
  [4, both('Smoke', 'weather-fog')],
  [5, both('Haze', 'weather-fog')],
  [6, both('Dust', 'weather-fog')],
  [10, both('Mist', 'weather-fog')],
  [31, both('Dust storm', 'weather-fog')],
  [45, both('Fog', 'weather-fog')],
  [48, both('Freezing fog', 'weather-fog')],
  [51, both('Light drizzle', 'weather-showers-scattered')],
  [53, both('Drizzle', 'weather-showers-scattered')],
  [56, both('Freezing drizzle', 'weather-showers-scattered')],
  [61, both('Light rain', 'weather-showers-scattered')],
  [63, both('Rain', 'weather-showers')],
  [65, both('Heavy rain', 'weather-showers')],
  [66, both('Freezing rain', 'weather-showers')],
  [68, both('Sleet', 'weather-snow')],
  [71, both('Light snow', 'weather-snow')],
  [73, both('Snow', 'weather-snow')],
  [75, both('Heavy snow', 'weather-snow')],
  [77, both('Snow grains', 'weather-snow')],
  [79, both('Ice pellets', 'weather-snow')],
  [80, both('Showers', 'weather-showers-scattered')],
  [85, both('Snow showers', 'weather-snow')],
  [89, both('Hail', 'weather-showers')],
  [95, both('Thunderstorm', 'weather-storm')],
  [96, both('Thunder with hail', 'weather-storm')],
]);

const unknown: Condition = both('Not known', 'weather-few-clouds');

/** The codes that can come about here. */
export const conditionCodes: readonly number[] = [...conditions.keys()];

export function conditionOf(code: number | null): Condition {
  return (code === null ? null : conditions.get(code)) ?? unknown;
}
