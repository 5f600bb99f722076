import { drawnOver } from '../../../core/colour/roles.ts';
import { createReadings } from '../../../core/sources/readings.ts';
import {
  afterEnd,
  inPiece,
  readingOf,
  stepFor,
  type SoundAct,
  type Step,
} from '../../../core/sources/sound/player.ts';
import { trackAt } from '../../../core/sources/sound/playing.ts';
import { sourceOf, type Sound, type Track } from '../../../core/sources/sound/schema.ts';
import { coverAddress, soundAddress } from '../../api/addresses.ts';
import { coverOf } from '../../../core/sources/sound/cover.ts';
import { toast } from '../../ui/toast.ts';
import { useConditions } from '../conditions.ts';
import { persist } from '../../later.ts';
import { presentDesk, useDesk } from '../desk.ts';
import { hearPlayer } from './hearing.ts';
import { setVolume, usePlayer } from './played.ts';

let audio: HTMLAudioElement | null = null;
/** The list that is played, which outlives the desk that it is of. */
let list: { sound: Sound; seed: number; desk: string } | null = null;
let n = 0;
let lastTold = 0;
let loudBefore = 80;

/** Other windows stop when one begins. */
const others = new BroadcastChannel('velvet-ledge:sound');
const me = crypto.randomUUID();
others.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
  if (data !== me) audio?.pause();
});

function element(): HTMLAudioElement {
  if (audio) return audio;
  audio = new Audio();
  audio.preload = 'auto';
  hearPlayer(audio, usePlayer.getState().volume / 100);
  for (const event of ['play', 'pause', 'seeked', 'playing']) audio.addEventListener(event, tell);
  audio.addEventListener('ended', () => {
    const next = list ? afterEnd(list.sound, n) : n + 1;
    if (next === null) stop();
    else void goTo(next);
  });
  audio.addEventListener('error', () => {
    const { track } = usePlayer.getState();
    if (!track) return;
    stop();
    toast.warning(
      `“${track.title || 'The piece'}” can’t be played: its sound is not there, or of a kind that this browser can’t hear.`,
    );
  });
  return audio;
}

/** What every part of every desk reads of it. */
function tell(): void {
  const { track } = usePlayer.getState();
  const isPlaying = audio !== null && !audio.paused;
  usePlayer.setState({ isPlaying });
  if (navigator.mediaSession)
    navigator.mediaSession.playbackState = track ? (isPlaying ? 'playing' : 'paused') : 'none';
  const { isNow, takeFeed } = useConditions.getState();
  lastTold = Math.max(Date.now(), lastTold + 1);
  const { volume } = usePlayer.getState();
  const player = { track, n, position: audio?.currentTime ?? 0, isPlaying, volume };
  const reading = readingOf(player, { isNow, now: Date.now() });
  takeFeed({ source: 'sound', origin: 'player', samples: [{ moment: lastTold, reading }] });
  // What is read is older than the next beat of the clock.
  if (isNow) useConditions.getState().tick(Math.max(Date.now(), lastTold));
}

useConditions.subscribe((state, before) => {
  if (state.isNow !== before.isNow && usePlayer.getState().track) tell();
});

let coloured: string | null = null;

/** Where the desk that is open wants it, its palette is drawn from the cover of what is heard, for as long as it is. */
function colourByCover(): void {
  const desk = presentDesk();
  const { track, isPlaying } = usePlayer.getState();
  const wanted =
    desk && track && isPlaying && desk.sources.sound.coversColour ? `${desk.id} ${track.id}` : null;
  if (wanted === coloured) return;
  coloured = wanted;
  if (!wanted || !desk || !track) return useConditions.setState({ roles: null });
  void persist(() => import('./cover-colours.ts'))
    .then(async ({ rolesFromCover }) => {
      const drawn = await rolesFromCover(track);
      if (coloured === wanted)
        useConditions.setState({ roles: drawn && { ...desk.look.roles, ...drawnOver(drawn, desk.look) } });
    })
    .catch(() => undefined);
}

usePlayer.subscribe(colourByCover);
useDesk.subscribe((state, before) => {
  const [now, then] = [state.history?.present, before.history?.present];
  if (now?.id !== then?.id || now?.sources.sound !== then?.sources.sound || now?.look !== then?.look) {
    coloured = null;
    colourByCover();
  }
});

/** The list of the desk that is open, where it is the one that is played, as it is now. */
function refreshList(isNew = false): void {
  const desk = presentDesk();
  if (desk && (isNew || list === null || list.desk === desk.id))
    list = { sound: desk.sources.sound, seed: desk.seed, desk: desk.id };
}

async function goTo(next: number, position = 0): Promise<void> {
  refreshList();
  const track = list && trackAt(list.sound, list.seed, next);
  if (!track) {
    stop();
    return void toast('There is nothing to play: add a piece to the list first.');
  }
  n = next;
  const player = element();
  usePlayer.setState({ track });
  player.src = soundAddress(sourceOf(track));
  player.currentTime = position;
  announce(track);
  await play();
}

async function play(): Promise<void> {
  others.postMessage(me);
  try {
    await element().play();
  } catch (error) {
    // A press on something else came first.
    if ((error as Error).name !== 'AbortError' && (error as Error).name !== 'NotSupportedError')
      toast.warning('The browser did not let it be played. Press play once more.');
  }
  tell();
}

function stop(): void {
  audio?.pause();
  usePlayer.setState({ track: null });
  tell();
  if (audio) {
    audio.removeAttribute('src');
    audio.load();
  }
  list = null;
}

/** From where the rehearsal is. */
async function begin(): Promise<void> {
  refreshList(true);
  const desk = presentDesk();
  if (!desk) return;
  const { moment } = useConditions.getState();
  const { place, seed, sources } = desk;
  const { value } = createReadings({ moment, place, seed, sound: sources.sound }).get('sound');
  await goTo(value.n, Math.max(0, (moment - value.began) / 1000));
}

function announce(track: Track): void {
  if (!navigator.mediaSession) return;
  const cover = coverOf(track);
  navigator.mediaSession.metadata = new MediaMetadata({
    title: track.title,
    artist: track.by,
    album: track.album,
    artwork: cover ? [{ src: coverAddress(cover, 480) }] : [],
  });
  const handlers: [MediaSessionAction, MediaSessionActionHandler][] = [
    ['play', () => perform({ does: 'turn' })],
    ['pause', () => perform({ does: 'turn' })],
    ['stop', () => perform({ does: 'stop' })],
    ['nexttrack', () => perform({ does: 'next' })],
    ['previoustrack', () => perform({ does: 'before' })],
    ['seekto', ({ seekTime }) => perform({ does: 'seek', to: seekTime ?? 0 })],
  ];
  for (const [action, handler] of handlers) navigator.mediaSession.setActionHandler(action, handler);
}

function perform(act: SoundAct): void {
  if (act.does === 'play') refreshList(true);
  const { track, volume } = usePlayer.getState();
  const step = stepFor(
    act,
    {
      isOn: track !== null,
      isPaused: audio === null || audio.paused,
      n,
      position: audio?.currentTime ?? 0,
      seconds: track?.seconds ?? 0,
      volume,
      loudBefore,
    },
    list,
  );
  if (step) follow(step);
}

function follow(step: Step): void {
  switch (step.by) {
    case 'begin':
      return void begin().then(() => step.then && follow(afterBegin(step.then)));
    case 'play':
      return void play();
    case 'pause':
      return audio?.pause();
    case 'stop':
      return stop();
    case 'go':
      return void goTo(step.n);
    case 'seek':
      element().currentTime = step.to;
      return tell();
    case 'volume':
      loudBefore = step.loudBefore;
      setVolume(step.to);
      if (audio) hearPlayer(audio, step.to / 100);
      return tell();
  }
}

/** What was asked for before anything was on, now that it is known where the list stands. */
function afterBegin(then: NonNullable<(Step & { by: 'begin' })['then']>): Step {
  if (then.by === 'on') return { by: 'go', n: n + then.add };
  return { by: 'seek', to: inPiece(then.to, usePlayer.getState().track?.seconds ?? 0) };
}

export const soundPlayer = { perform };
