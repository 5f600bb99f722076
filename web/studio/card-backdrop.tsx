import { useRef, useState, type ReactNode } from 'react';
import type { Scene } from '../../core/scene/scene.ts';
import type { Size } from '../../core/values/geometry.ts';
import { backdropAddress } from '../api/addresses.ts';
import { DeskIcons } from '../render/kit/icons.tsx';
import { useMayCome } from '../render/backdrop/looked-at.ts';
import { typeVariables } from '../render/kit/type.ts';
import { useScreenInView } from '../stores/screen.ts';
import { useWidth } from '../ui/use-width.ts';

/**
 * What lies behind a small live picture: the backdrop in view, and over it what the card is for, in the desk's type and
 * icons. It is drawn for the card's size and scaled to the width that the card gets.
 */
export function CardBackdrop({
  card,
  scene,
  children,
}: {
  /** What the card is drawn for, px. */
  card: Size;
  /** Null until there is something to show. */
  scene: Scene | null;
  children: ReactNode;
}) {
  const behind = useScreenInView()?.backdrop.drawn;
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  // Nothing is legible before what lies behind it is there.
  const [isBehind, setBehind] = useState(false);
  const mayCome = useMayCome();
  return (
    <div ref={box} aria-hidden className="absolute inset-0">
      {behind && mayCome && (
        <img
          src={backdropAddress(behind, 240)}
          alt=""
          draggable={false}
          onLoad={() => setBehind(true)}
          onError={() => setBehind(true)}
          className="size-full object-cover"
        />
      )}
      {scene && isBehind && width > 0 && (
        <div
          className="absolute left-0 top-0 origin-top-left"
          style={{
            width: card.width,
            height: card.height,
            transform: `scale(${width / card.width})`,
            ...typeVariables(scene.fonts),
            fontFamily: 'var(--font-desk-text)',
          }}
        >
          <DeskIcons icons={scene.icons}>{children}</DeskIcons>
        </div>
      )}
    </div>
  );
}
