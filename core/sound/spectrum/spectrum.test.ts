import { expect } from 'chai';
import { bandEdges, bandLevels, FLOOR } from './bands.ts';
import { createLevels } from './levels.ts';
import { LOOK, powerMeter } from './power.ts';
import { plainSpectrum, type SpectrumSettings, type WindowName } from './settings.ts';
import { LOOKS, powerAt, tableOf, waveOf } from './table.ts';

const RATE = 44_100;

function sine(hz: number, loud = 1, rate = RATE, length = LOOK): Float32Array {
  return Float32Array.from({ length }, (_, index) => loud * Math.sin((2 * Math.PI * hz * index) / rate));
}

function levelsOf(samples: Float32Array, change: Partial<SpectrumSettings> = {}, rate = RATE): Float64Array {
  const settings = { ...plainSpectrum, tilt: 0, ...change };
  const meter = powerMeter(settings.window);
  const power = meter.measure(samples, 0, new Float64Array(LOOK / 2));
  const range = { rate, spread: meter.spread, edges: bandEdges(settings), tilt: settings.tilt };
  return bandLevels(power, range, new Float64Array(settings.bands));
}

const loudest = (levels: Float64Array) => levels.indexOf(Math.max(...levels));
const bandFor = (hz: number, edges: Float64Array) =>
  edges.findIndex((edge, band) => hz >= edge && hz < (edges[band + 1] ?? 0));

const windows: WindowName[] = ['hann', 'blackman', 'hamming', 'none'];
const scales = ['linear', 'logarithmic', 'mel'] as const;

describe('a spectrum', () => {
  it('is the plain sum that defines it', () => {
    const samples = Float32Array.from(sine(1000, 0.4), (value, index) => value + 0.2 * Math.sin(index * 0.7));
    const power = powerMeter('hann').measure(samples, 0, new Float64Array(LOOK / 2));
    for (const bin of [3, 93, 94, 456]) {
      let [re, im] = [0, 0];
      for (let index = 0; index < LOOK; index++) {
        const angle = (2 * Math.PI * index) / LOOK;
        const value = (samples[index] ?? 0) * (0.5 - 0.5 * Math.cos(angle)) * (4 / LOOK);
        re += value * Math.cos(bin * angle);
        im -= value * Math.sin(bin * angle);
      }
      expect(power[bin]).to.be.closeTo(re * re + im * im, 1e-9);
    }
  });

  it('has a pure tone highest in its own band, on every scale and with every window', () => {
    for (const scale of scales)
      for (const window of windows)
        for (const bands of [4, 24, 64, 160]) {
          const settings = { bands, low: 40, high: 10_000, scale, window };
          const edges = bandEdges(settings);
          // In the middle of bands that no bin is wider than.
          for (let band = 0; band < bands; band += 7) {
            const hz = ((edges[band] ?? 0) + (edges[band + 1] ?? 0)) / 2;
            if ((edges[band + 1] ?? 0) - (edges[band] ?? 0) < RATE / LOOK) continue;
            expect(loudest(levelsOf(sine(hz), settings)), `${scale} ${window} ${bands}: ${hz}`).to.equal(
              band,
            );
          }
        }
  });

  it('tells a tone at full scale as 0 dB within 2, and one of a tenth 20 dB under it', () => {
    for (const window of windows.slice(0, 3))
      for (const hz of [100, 440, 1000, 3520, 9000]) {
        const settings = { bands: 24, window };
        const at = bandFor(hz, bandEdges({ ...plainSpectrum, ...settings }));
        expect(levelsOf(sine(hz), settings)[at], `${window} ${hz}`).to.be.closeTo(0, 2);
        const quiet = (levelsOf(sine(hz), settings)[at] ?? 0) - (levelsOf(sine(hz, 0.1), settings)[at] ?? 0);
        expect(quiet).to.be.closeTo(20, 0.01);
      }
  });

  it('never tells a tone as louder than it is, however many bands there are', () => {
    for (const window of windows.slice(0, 3))
      for (const bands of [24, 48, 96, 128])
        for (let hz = 60; hz < 2000; hz *= 1.07) {
          const levels = levelsOf(sine(hz), { bands, window });
          expect(Math.max(...levels), `${window}, ${bands} bands, ${hz.toFixed(1)} Hz`).to.be.within(-2, 0.9);
        }
  });

  it('is the same at another rate of samples', () => {
    for (const hz of [200, 1000, 5000]) {
      const [one, other] = [levelsOf(sine(hz)), levelsOf(sine(hz, 1, 48_000), {}, 48_000)];
      expect(loudest(one)).to.equal(loudest(other));
      expect(Math.max(...one)).to.be.closeTo(Math.max(...other), 1.5);
    }
  });

  it('leans by so many dB an octave, from 1000 Hz on', () => {
    for (const hz of [250, 1000, 4000]) {
      const lift = Math.max(...levelsOf(sine(hz), { tilt: 6 })) - Math.max(...levelsOf(sine(hz)));
      expect(lift).to.be.closeTo(6 * Math.log2(hz / 1000), 1);
    }
    expect(Math.max(...levelsOf(new Float32Array(LOOK)))).to.equal(FLOOR);
  });

  it('is kept in a table within half a dB, and read at its place in the piece', () => {
    const [low, high] = [sine(400, 0.5, RATE, RATE), sine(3000, 0.05, RATE, RATE)];
    const samples = new Float32Array(2 * RATE);
    samples.set(low);
    samples.set(high, RATE);
    const table = tableOf(samples, RATE, 'hann');
    expect(table.frames.length).to.equal(2 * LOOKS * table.bins);
    const edges = bandEdges(plainSpectrum);
    for (const [at, part, hz] of [
      [0.5, low, 400],
      [1.5, high, 3000],
    ] as const) {
      const power = powerAt(table, at, new Float64Array(table.bins));
      const kept = bandLevels(power, { ...table, edges, tilt: 0 }, new Float64Array(plainSpectrum.bands));
      expect(loudest(kept)).to.equal(bandFor(hz, edges));
      expect(Math.max(...kept)).to.be.closeTo(Math.max(...levelsOf(part)), 0.5);
    }
    const wave = waveOf(samples, 10);
    expect(wave[2]).to.be.closeTo(1, 0.02);
    expect(wave[7]).to.be.closeTo(0.1, 0.02);
  });
});

describe('levels that move', () => {
  const settings = {
    ...plainSpectrum,
    isAutomatic: false,
    gain: 0,
    attack: 100,
    decay: 300,
    hold: 500,
    fall: 30,
  };
  const loud = Float64Array.of(0, -30);

  it('rise and fall in their times, and leave peaks that hold and then fall evenly', () => {
    const levels = createLevels(2);
    for (let ms = 0; ms < 100; ms += 10) levels.take(loud, 10, settings);
    expect(levels.values[0]).to.be.closeTo(0.95, 0.02);
    for (let ms = 0; ms < 400; ms += 10) levels.take(loud, 10, settings);
    expect(levels.values[0]).to.be.closeTo(1, 0.001);
    expect(levels.values[1]).to.be.closeTo(0.5, 0.001);
    for (let ms = 0; ms < 300; ms += 10) levels.take(null, 10, settings);
    expect(levels.values[0]).to.be.closeTo(0.05, 0.02);
    expect(levels.peaks[0]).to.be.closeTo(1, 0.001);
    for (let ms = 0; ms < 1000; ms += 10) levels.take(null, 10, settings);
    // 30 dB a second over a range of 60: half of the height each second, after 500 ms of holding.
    expect(levels.peaks[0]).to.be.closeTo(1 - 0.8 * 0.5, 0.02);
    for (let ms = 0; ms < 3000; ms += 10) levels.take(null, 10, settings);
    expect(levels.isStill()).to.equal(true);
  });

  it('set their gain by themselves: quiet and loud pieces fill the same height', () => {
    const automatic = { ...settings, isAutomatic: true };
    for (const db of [0, -25, -50]) {
      const levels = createLevels(2);
      for (let ms = 0; ms < 2000; ms += 20) levels.take(Float64Array.of(db, db - 30), 20, automatic);
      expect(levels.values[0]).to.be.closeTo(1, 0.01);
      expect(levels.values[1]).to.be.closeTo(0.5, 0.01);
    }
    const silent = createLevels(2);
    silent.take(Float64Array.of(FLOOR, FLOOR), 20, automatic);
    expect(silent.values[0]).to.be.below(0.6);
  });

  it('stand at once where they would after long, after a jump', () => {
    const levels = createLevels(2);
    levels.settle(loud, settings);
    expect([...levels.values]).to.deep.equal([1, 0.5]);
    expect([...levels.peaks]).to.deep.equal([1, 0.5]);
  });
});
