/** Moist air. Temperatures in °C, pressures in hPa, humidity 0 to 1, wind in m/s. */

/** What vapour air can hold, as its pressure (Magnus; constants of Alduchov and Eskridge, 1996). */
function saturation(temperature: number): number {
  return 6.1094 * Math.exp((17.625 * temperature) / (temperature + 243.04));
}

export function humidityOf(temperature: number, dewPoint: number): number {
  return Math.min(1, saturation(dewPoint) / saturation(temperature));
}

/** The temperature at which so humid air is full: the inverse of `humidityOf`. */
export function dewPointOf(temperature: number, humidity: number): number {
  const logarithm = Math.log(Math.max(0.01, humidity)) + (17.625 * temperature) / (temperature + 243.04);
  return (243.04 * logarithm) / (17.625 - logarithm);
}

/** How warm it feels in the shade (Steadman's apparent temperature, 1994): wind takes warmth, moisture leaves it. */
export function feltTemperature(temperature: number, humidity: number, wind: number): number {
  return temperature + 0.33 * humidity * saturation(temperature) - 0.7 * wind - 4;
}
