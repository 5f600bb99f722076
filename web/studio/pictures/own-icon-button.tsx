import { Upload } from 'lucide-react';
import { useRef } from 'react';
import { IconButton } from '../../ui/buttons.tsx';
import { takeOwnIcon } from './own-icon.ts';

/** Asks for an SVG or PNG of this machine, and takes it as the icon of something. */
export function OwnIconButton({ of, onTake }: { of: string; onTake: (icon: string) => void }) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={file}
        type="file"
        accept="image/svg+xml,image/png"
        hidden
        aria-label={`Icon file for ${of}`}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) void takeOwnIcon(chosen, of, onTake);
          event.target.value = '';
        }}
      />
      <IconButton label={`${of}: an icon of mine`} className="!size-7" onClick={() => file.current?.click()}>
        <Upload size={14} />
      </IconButton>
    </>
  );
}
