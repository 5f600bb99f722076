import { arrayMove } from '@dnd-kit/sortable';
import {
  AudioLines,
  Download,
  FolderOpen,
  Palette,
  Pause,
  Play,
  RotateCcw,
  SkipBack,
  SkipForward,
  Square,
} from 'lucide-react';
import { named } from '../../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../../core/desk/edits/edits.ts';
import { writeM3u8, writeXspf } from '../../../../../core/sound/playlists.ts';
import { createReadings } from '../../../../../core/sources/readings.ts';
import { pieceIds } from '../../../../../core/sources/sound/pieces.ts';
import {
  plainSound,
  Sound,
  Track,
  type Sound as SoundValue,
  type Track as TrackValue,
} from '../../../../../core/sources/sound/schema.ts';
import { onNow } from '../../../../../core/sources/sound/on-now.ts';
import { positionAt } from '../../../../../core/sources/sound/sound.ts';
import { clockOf } from '../../../../../core/widgets/player/work.ts';
import type { SoundAct } from '../../../../../core/sources/sound/player.ts';
import { useConditions } from '../../../../session/conditions.ts';
import { useDesk } from '../../../../session/desk.ts';
import { rolesFromCover } from '../../../../session/sound/cover-colours.ts';
import { toast } from '../../../../ui/toast.ts';
import { soundPlayer } from '../../../../session/sound/player.ts';
import { usePlayer } from '../../../../session/sound/played.ts';
import { Button, IconButton } from '../../../../ui/buttons.tsx';
import { SliderField } from '../../../../ui/figure.tsx';
import { FilesButton } from '../../../../ui/file-button.tsx';
import { OrderedList } from '../../../../ui/ordered-list.tsx';
import { Section } from '../../../../ui/section.tsx';
import { saveBytes } from '../../../pictures/download.ts';
import { Fields } from '../../../form/form.tsx';
import { useView } from '../../../../stores/view.ts';
import { SOUND_TYPES, takeSounds } from './take-sounds.ts';

function set(change: Partial<SoundValue>, label: string, isTurn = false): void {
  const edit = named(label, edits.setSound(change));
  const { turn, edit: take } = useDesk.getState();
  if (isTurn) turn(edit);
  else take(edit);
}

/** What the desk plays: the list, and how one goes about in it. */
export function SoundPage({ sound }: { sound: SoundValue }) {
  const { tracks } = sound;
  return (
    <>
      <Transport />
      <Fields
        schema={Sound}
        values={sound}
        only={['order', 'repeat', 'coversColour']}
        onTurn={(change, label) => set(change as Partial<SoundValue>, label, true)}
        onEnd={() => useDesk.getState().endGesture()}
      />
      <div className="mt-4" />
      <Section
        title="List"
        note={tracks.length > 0 ? clockOf(tracks.reduce((sum, { seconds }) => sum + seconds, 0)) : undefined}
      >
        <List tracks={tracks} />
        <div className="mt-1 flex flex-wrap gap-1.5">
          <FilesButton
            label="Sounds and playlists"
            accept={SOUND_TYPES}
            multiple
            onFiles={(files) => void takeSounds(files)}
          >
            <FolderOpen size={15} /> Sounds or a playlist…
          </FilesButton>
          <MissingPieces tracks={tracks} />
        </div>
        <p className="text-[12px] text-dust">
          MP3, Ogg, Opus, FLAC, WAV, M4A; XSPF and M3U8. They stay on this machine.
        </p>
        <WriteOut tracks={tracks} />
      </Section>
    </>
  );
}

function List({ tracks }: { tracks: readonly TrackValue[] }) {
  const on = useOnNow()?.now.track?.id;
  const open = useView(({ spot }) => spot);
  if (tracks.length === 0) return <p className="text-dust">Nothing to play yet.</p>;
  return (
    <OrderedList
      rows={tracks.map((track) => ({
        id: track.id,
        title: track.title || 'Without a title',
        content: (
          <span className="flex min-w-0 flex-1 items-center gap-2">
            <span className="truncate">{track.title || 'Without a title'}</span>
            {/* Seen first, said after the title. */}
            {on === track.id && (
              <AudioLines size={14} className="order-first shrink-0 text-brass" aria-label="on" />
            )}
            <span className="ml-auto shrink-0 font-mono text-[12px] text-dust">{clockOf(track.seconds)}</span>
          </span>
        ),
        onPress: () => useView.setState({ spot: open === track.id ? null : track.id }),
        onRemove: () =>
          set({ tracks: tracks.filter(({ id }) => id !== track.id) }, `Remove “${track.title}”`.slice(0, 80)),
        inside: open === track.id && (
          <div className="grid gap-1.5">
            <Fields
              schema={Track}
              values={track}
              of={track.title}
              onTurn={(change, label) =>
                set(
                  { tracks: tracks.map((old) => (old.id === track.id ? { ...old, ...change } : old)) },
                  label,
                  true,
                )
              }
              onEnd={() => useDesk.getState().endGesture()}
            />
            <div className="flex flex-wrap gap-1.5">
              <Button onClick={() => perform({ does: 'play', track: track.id })}>
                <Play size={15} /> Play it
              </Button>
              <Button onClick={() => void takePalette(track)}>
                <Palette size={15} /> Palette of its cover
              </Button>
            </div>
          </div>
        ),
      }))}
      onMove={(id, index) =>
        set(
          {
            tracks: arrayMove(
              [...tracks],
              tracks.findIndex((track) => track.id === id),
              index,
            ),
          },
          'Order of the list',
        )
      }
    />
  );
}

/** The desk's palette drawn from a cover once, as one step. */
async function takePalette(track: TrackValue): Promise<void> {
  const drawn = await rolesFromCover(track);
  if (drawn) useDesk.getState().edit(named('Palette of a cover', edits.drawPalette(drawn)));
  else toast('It has no cover to draw a palette from.');
}

const perform = (act: SoundAct) => soundPlayer.perform(act);

/** What is on at the moment shown, heard or only followed; null while no desk is open. */
function useOnNow() {
  const moment = useConditions((state) => state.moment);
  const feeds = useConditions((state) => state.feeds);
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  const { place, seed, sources } = desk;
  const now = onNow(createReadings({ moment, place, seed, feeds, sound: sources.sound }));
  return { now, position: positionAt(now, moment) };
}

/** What is on, and the buttons for it; in rehearsal it is followed without sound until it is played. */
function Transport() {
  const { isPlaying, track: heard, volume } = usePlayer();
  const on = useOnNow();
  if (!on) return null;
  const { track } = on.now;
  const seconds = track?.seconds ?? 1;
  return (
    <div className="mb-4 grid gap-1.5 rounded-xl bg-pit p-3">
      <p className="truncate font-medium">{track ? track.title || 'Without a title' : 'Nothing is on'}</p>
      <p className="truncate text-[12px] text-dust">
        {heard ? (isPlaying ? 'Heard' : 'Paused') : 'Silent; play to hear it'}
      </p>
      <div className="flex items-center gap-3">
        <span className="w-14 shrink-0">At</span>
        <SliderField
          label="Where in the piece"
          value={Math.floor(on.position)}
          min={0}
          max={Math.max(1, Math.floor(seconds))}
          step={1}
          unit="s"
          isWhole
          onTurn={(to) => perform({ does: 'seek', to })}
          onEnd={() => undefined}
        />
      </div>
      <div className="flex items-center gap-1">
        <IconButton label="The piece before" onClick={() => perform({ does: 'before' })}>
          <SkipBack size={16} />
        </IconButton>
        <IconButton
          label={isPlaying ? 'Pause' : 'Play'}
          onClick={() => perform({ does: 'turn' })}
          className="!text-brass"
        >
          {isPlaying ? <Pause size={18} /> : <Play size={18} />}
        </IconButton>
        <IconButton label="The next piece" onClick={() => perform({ does: 'next' })}>
          <SkipForward size={16} />
        </IconButton>
        <IconButton label="Stop" disabled={!heard} onClick={() => perform({ does: 'stop' })}>
          <Square size={14} />
        </IconButton>
      </div>
      <div className="flex items-center gap-3">
        <span className="w-14 shrink-0">Volume</span>
        <SliderField
          label="Volume"
          value={volume}
          min={0}
          max={100}
          step={1}
          unit="%"
          isWhole
          onTurn={(to) => perform({ does: 'volume', to })}
          onEnd={() => undefined}
        />
      </div>
    </div>
  );
}

/** Pieces of the observatory that were taken off the list come back by a press. */
function MissingPieces({ tracks }: { tracks: readonly TrackValue[] }) {
  const here = new Set(tracks.flatMap(({ from }) => (from.by === 'piece' ? [from.piece] : [])));
  const missing = pieceIds.filter((piece) => !here.has(piece));
  if (missing.length === 0) return null;
  const ids = new Set(tracks.map(({ id }) => id));
  const back = plainSound.tracks
    .filter(({ from }) => from.by === 'piece' && missing.includes(from.piece))
    .map((track) => ({ ...track, id: ids.has(track.id) ? `${track.id}-again` : track.id }));
  return (
    <Button onClick={() => set({ tracks: [...tracks, ...back] }, 'The marsh recordings')}>
      <RotateCcw size={15} /> The marsh recordings
    </Button>
  );
}

function WriteOut({ tracks }: { tracks: readonly TrackValue[] }) {
  const name = useDesk((state) => state.history?.present.name) ?? 'desk';
  if (tracks.length === 0) return null;
  return (
    <div className="flex flex-wrap gap-1.5">
      <Button onClick={() => saveBytes(writeXspf(name, tracks), `${name}.xspf`, 'application/xspf+xml')}>
        <Download size={15} /> As XSPF
      </Button>
      <Button onClick={() => saveBytes(writeM3u8(tracks), `${name}.m3u8`, 'application/vnd.apple.mpegurl')}>
        <Download size={15} /> As M3U8
      </Button>
    </div>
  );
}
