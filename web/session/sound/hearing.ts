import { LOOK, powerMeter } from '../../../core/sound/spectrum/power.ts';
import type { WindowName } from '../../../core/sound/spectrum/settings.ts';
import type { SoundPower } from '../../render/kit/sounding.ts';

/** What sounds, as the browser's analyser hears it: the player, a microphone or a shared tab. */
export type Ear = 'player' | 'microphone' | 'tab';

let context: AudioContext | null = null;
let volume: GainNode | null = null;
const ears = new Map<Ear, AnalyserNode>();
const streams = new Map<Ear, MediaStream>();
const listeners = new Set<() => void>();
const tellListeners = () => listeners.forEach((call) => call());

function audioContext(): AudioContext {
  context ??= new AudioContext();
  void context.resume();
  return context;
}

function createEar(ear: Ear, from: AudioNode): AnalyserNode {
  const analyser = from.context.createAnalyser();
  analyser.fftSize = LOOK;
  from.connect(analyser);
  ears.set(ear, analyser);
  return analyser;
}

let heard: HTMLAudioElement | null = null;

/** Listens to what an element plays, before its volume (0 to 1) comes to it. */
export function hearPlayer(element: HTMLAudioElement, loud: number): void {
  const here = audioContext();
  if (heard !== element) {
    heard = element;
    volume = here.createGain();
    createEar('player', here.createMediaElementSource(element)).connect(volume).connect(here.destination);
    element.addEventListener('play', () => void here.resume());
  }
  if (volume) volume.gain.value = loud;
}

/** Asks for a microphone or a tab; the sentence says why there is none. */
export async function listenTo(ear: 'microphone' | 'tab'): Promise<string | null> {
  try {
    const stream =
      ear === 'microphone'
        ? await navigator.mediaDevices.getUserMedia({
            audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
          })
        : await navigator.mediaDevices.getDisplayMedia({ audio: true, video: true });
    if (stream.getAudioTracks().length === 0) {
      for (const track of stream.getTracks()) track.stop();
      return 'What was shared has no sound: share a tab, with its sound.';
    }
    for (const track of stream.getVideoTracks()) track.enabled = false;
    stopListening(ear);
    createEar(ear, audioContext().createMediaStreamSource(stream));
    streams.set(ear, stream);
    // It may be ended where the browser shows it, too.
    for (const track of stream.getTracks())
      track.addEventListener('ended', () => streams.get(ear) === stream && stopListening(ear));
    tellListeners();
    return null;
  } catch (error) {
    return (error as Error).name === 'NotAllowedError'
      ? 'The browser was told not to let this page listen.'
      : 'There is nothing to listen to here.';
  }
}

/** Lets go of the microphone or the tab. */
export function stopListening(ear: 'microphone' | 'tab'): void {
  for (const track of streams.get(ear)?.getTracks() ?? []) track.stop();
  streams.delete(ear);
  ears.get(ear)?.disconnect();
  ears.delete(ear);
  tellListeners();
}

export const isListening = (ear: Ear): boolean => ears.has(ear);

/** Calls back whenever listening begins or ends; gives back what stops that. */
export function onListening(call: () => void): () => void {
  listeners.add(call);
  return () => listeners.delete(call);
}

const samples = new Float32Array(LOOK);
const kept = new Map<string, { at: number; found: SoundPower }>();
/** ms for which several spectra share one look. */
const SHARED = 4;

/** The power of what sounds just now; null where nobody listens. */
export function powerHeard(ear: Ear, window: WindowName): SoundPower | null {
  const analyser = ears.get(ear);
  if (!analyser) return null;
  const key = `${ear} ${window}`;
  const known = kept.get(key);
  const now = performance.now();
  if (known && now - known.at < SHARED) return known.found;
  analyser.getFloatTimeDomainData(samples);
  const meter = powerMeter(window);
  const power = meter.measure(samples, 0, known?.found.power ?? new Float64Array(LOOK / 2));
  const found = { power, rate: analyser.context.sampleRate, spread: meter.spread };
  kept.set(key, { at: now, found });
  return found;
}
