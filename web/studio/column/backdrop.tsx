import clsx from 'clsx';
import { Dices, FolderOpen } from 'lucide-react';
import { useRef, type PointerEvent } from 'react';
import { sceneNames, sceneTitles, type SceneName } from '../../../core/backdrop/names.ts';
import { edits } from '../../../core/desk/edits.ts';
import type { Backdrop } from '../../../core/desk/schema.ts';
import { backdropAddress } from '../../api/client.ts';
import { useDesk } from '../../stores/desk.ts';
import { Button, Row, Section, SliderField } from '../../ui/controls.tsx';
import { PICTURE_TYPES, takePicture } from '../pictures.ts';

/** What lies behind everything: a drawn scene, or a picture of one's own. */
export function BackdropChapter() {
  const backdrop = useDesk((state) => state.history?.present.backdrop);
  const file = useRef<HTMLInputElement>(null);
  if (!backdrop) return null;
  const seed = backdrop.kind === 'scene' ? backdrop.seed : 7;
  const set = (next: Backdrop) =>
    useDesk.getState().edit('Backdrop', (draft) => edits.setBackdrop(draft, next));
  return (
    <>
      <Section title="Drawn scenes" note="sharp at any size">
        <div className="grid grid-cols-2 gap-2" role="group" aria-label="Drawn scenes">
          {sceneNames.map((scene) => (
            <SceneCard
              key={scene}
              scene={scene}
              seed={seed}
              isChosen={backdrop.kind === 'scene' && backdrop.scene === scene}
              onPress={() => set({ kind: 'scene', scene, seed })}
            />
          ))}
        </div>
        <div className="mt-2">
          <Button
            disabled={backdrop.kind !== 'scene'}
            onClick={() =>
              backdrop.kind === 'scene' && set({ ...backdrop, seed: (backdrop.seed * 31 + 17) % 100_000 })
            }
          >
            <Dices size={15} /> Draw it differently
          </Button>
        </div>
      </Section>
      <Section title="A picture of yours" note="PNG, JPEG, WebP, AVIF">
        {backdrop.kind === 'picture' && <FocalPoint backdrop={backdrop} />}
        <input
          ref={file}
          type="file"
          accept={PICTURE_TYPES}
          hidden
          aria-label="Picture file"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen) void takePicture(chosen);
            event.target.value = '';
          }}
        />
        <div>
          <Button onClick={() => file.current?.click()}>
            <FolderOpen size={15} /> Choose a picture…
          </Button>
        </div>
        <p className="text-[12px] text-dust">Or drop one on the stage.</p>
      </Section>
    </>
  );
}

function SceneCard({
  scene,
  seed,
  isChosen,
  onPress,
}: {
  scene: SceneName;
  seed: number;
  isChosen: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onPress}
      className={clsx(
        'relative h-[76px] overflow-hidden rounded-lg border border-transparent bg-nap hover:border-brass/70',
        isChosen && 'outline-2 outline-offset-2 outline-brass outline',
      )}
    >
      <img
        src={backdropAddress({ kind: 'scene', scene, seed }, 480)}
        alt=""
        loading="lazy"
        className="size-full object-cover"
      />
      <span className="absolute inset-x-0 bottom-0 truncate bg-linear-to-t from-black/80 to-transparent px-2 pb-1 pt-4 text-left text-[12px] font-semibold text-white">
        {sceneTitles[scene]}
      </span>
    </button>
  );
}

/** What stays in view when the picture is cut to the screen's shape. */
function FocalPoint({ backdrop }: { backdrop: Extract<Backdrop, { kind: 'picture' }> }) {
  const { turn, endGesture } = useDesk.getState();
  const { focal } = backdrop;
  const set = (change: Partial<typeof focal>) =>
    turn('Focal point', (draft) => edits.setBackdrop(draft, { ...backdrop, focal: { ...focal, ...change } }));

  function onPointer(event: PointerEvent<HTMLDivElement>) {
    if (event.buttons !== 1) return;
    const box = event.currentTarget.getBoundingClientRect();
    const share = (at: number, start: number, length: number) =>
      Math.round(Math.max(0, Math.min(1, (at - start) / length)) * 100) / 100;
    set({ x: share(event.clientX, box.left, box.width), y: share(event.clientY, box.top, box.height) });
  }
  const slider = (label: string, axis: 'x' | 'y') => (
    <Row label={label}>
      <SliderField
        label={label}
        value={Math.round(focal[axis] * 100)}
        min={0}
        max={100}
        unit="%"
        onTurn={(value) => set({ [axis]: value / 100 })}
        onEnd={endGesture}
      />
    </Row>
  );
  return (
    <>
      <div
        className="relative touch-none overflow-hidden rounded-lg"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          onPointer(event);
        }}
        onPointerMove={onPointer}
        onPointerUp={endGesture}
      >
        <img
          src={backdropAddress(backdrop, 480)}
          alt={backdrop.name}
          draggable={false}
          className="max-h-40 w-full object-fill"
        />
        <span
          className="pointer-events-none absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_black]"
          style={{ left: `${focal.x * 100}%`, top: `${focal.y * 100}%` }}
        />
      </div>
      <p className="truncate text-[12px] text-dust">{backdrop.name}</p>
      {slider('Kept across', 'x')}
      {slider('Kept down', 'y')}
    </>
  );
}
