import { Pause, Play, X } from 'lucide-react';
import { deskActions } from '../actions.ts';
import { IconButton } from '../../ui/buttons.tsx';
import { usePlayer } from './played.ts';

/** The title of what is heard, and how to pause and stop it without its desk. */
export default function HeardChip() {
  const { track, isPlaying } = usePlayer();
  if (!track) return null;
  const title = track.title || 'Without a title';
  return (
    <div
      role="group"
      aria-label="What is heard"
      className="flex h-8 min-w-0 items-center rounded-lg bg-velvet pl-1"
    >
      <IconButton
        label={isPlaying ? `Pause: ${title}` : `Play: ${title}`}
        onClick={() => deskActions.sound({ does: 'turn' })}
        className="!text-brass"
      >
        {isPlaying ? <Pause size={15} /> : <Play size={15} />}
      </IconButton>
      <span className="max-w-36 truncate text-[12.5px] text-dust" title={title}>
        {title}
      </span>
      <IconButton label={`Stop: ${title}`} onClick={() => deskActions.sound({ does: 'stop' })}>
        <X size={14} />
      </IconButton>
    </div>
  );
}
