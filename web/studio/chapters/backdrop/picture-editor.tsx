import { named } from '../../../../core/desk/edits/edit.ts';
import { type PointerEvent } from 'react';
import { unfitFor } from '../../../../core/backdrop/fitness.ts';
import { Picture } from '../../../../core/backdrop/schema.ts';
import { createPicture } from '../../../../core/desk/defaults.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { pictureAddress } from '../../../api/addresses.ts';
import type { PictureFacts } from '../../../../core/wire/wire.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { usePictureFacts } from '../../pictures/picture-facts.ts';
import { useBackdrop, type EditedSource } from './use-backdrop.ts';

/** A picture of one's own: how it lies on the screen, and whether it is fit for it. */
export function PictureEditor({ edited, picture }: { edited: EditedSource; picture: Picture }) {
  const facts = usePictureFacts(picture.picture);
  return (
    <Section title="How it lies" note={<span className="block max-w-40 truncate">{picture.name}</span>}>
      <Focal edited={edited} picture={picture} />
      <Fields
        schema={Picture}
        values={picture}
        only={['fit', 'turn', 'mirror']}
        onTurn={(change, label) => edited.turn(label, { ...picture, ...change })}
        onEnd={useDesk.getState().endGesture}
      />
      {facts && <Fitness edited={edited} picture={picture} facts={facts} />}
    </Section>
  );
}

/** What is wrong with a picture for this screen, and what helps. */
function Fitness({
  edited,
  picture,
  facts,
}: {
  edited: EditedSource;
  picture: Picture;
  facts: PictureFacts;
}) {
  const screen = useScreenInView();
  const backdrop = useBackdrop();
  const scaleFactor = useDesk(
    ({ history }) => history?.present.screens.find(({ id }) => id === screen?.id)?.scaleFactor ?? 1,
  );
  if (!screen || !backdrop) return null;
  const { whole } = screen.backdrop.drawn;
  const pixels = { width: whole.width * scaleFactor, height: whole.height * scaleFactor };
  const unfit = unfitFor(picture, facts, pixels);
  const { edit } = useDesk.getState();
  return (
    <div className="mt-1 grid gap-1.5 text-[12px]">
      <p className="text-dust">
        {facts.width} × {facts.height} px, {facts.depth} bit
        {facts.hasProfile ? ', with a colour profile' : ''}.
      </p>
      {unfit.every(({ why }) => why !== 'pixels') && (
        <p className="text-moss">It has enough pixels for this screen.</p>
      )}
      {unfit.map(({ why, told, help, soften }) => (
        <Finding
          key={why}
          text={told}
          helps={[
            ...(why === 'pixels'
              ? [{ title: 'Pixel for pixel', run: () => edited.set('Fit', { ...picture, fit: 'centre' }) }]
              : []),
            {
              title: help,
              run: () => edit(named('Soften the picture', edits.setAdjust(backdrop.id, soften))),
            },
          ]}
        />
      ))}
      {facts.isAnimated && <p className="text-dust">It is animated; its first frame is shown.</p>}
    </div>
  );
}

function Finding({ text, helps }: { text: string; helps: { title: string; run: () => void }[] }) {
  return (
    <div role="status" className="rounded-lg border border-rust/50 px-2.5 py-2">
      <p className="text-rust">{text}</p>
      <p className="mt-1 flex flex-wrap gap-x-3">
        {helps.map(({ title, run }) => (
          <button key={title} type="button" onClick={run} className="text-brass hover:underline">
            {title}
          </button>
        ))}
      </p>
    </div>
  );
}

/** What stays in view when the picture is cut: dragged here or on the stage, or set by figures. */
function Focal({ edited, picture }: { edited: EditedSource; picture: Picture }) {
  const { endGesture } = useDesk.getState();
  const { focal } = picture;
  const set = (change: Partial<typeof focal>) =>
    edited.turn('Focal point', { ...picture, focal: { ...focal, ...change } });

  function onPointer(event: PointerEvent<HTMLDivElement>) {
    if (event.buttons !== 1) return;
    const box = event.currentTarget.getBoundingClientRect();
    const share = (at: number, start: number, length: number) =>
      Math.round(Math.max(0, Math.min(1, (at - start) / length)) * 100) / 100;
    set({ x: share(event.clientX, box.left, box.width), y: share(event.clientY, box.top, box.height) });
  }
  return (
    <>
      <div
        className="relative touch-none overflow-hidden rounded-lg"
        data-focal
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          onPointer(event);
        }}
        onPointerMove={onPointer}
        onPointerUp={endGesture}
      >
        <img
          src={pictureAddress(picture.picture, 480)}
          alt={picture.name}
          draggable={false}
          className="max-h-40 w-full object-fill"
        />
        <span
          className="pointer-events-none absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_black]"
          style={{ left: `${focal.x * 100}%`, top: `${focal.y * 100}%` }}
        />
      </div>
      <Fields schema={Picture.shape.focal} values={focal} onTurn={set} onEnd={endGesture} />
    </>
  );
}

/** Takes a picture from this machine into a source. */
export function ChoosePicture({
  edited: { source, set },
}: {
  edited: Partial<EditedSource> & Pick<EditedSource, 'set'>;
}) {
  return (
    <Fields
      schema={Picture}
      values={source ? { ...source } : {}}
      only={['picture']}
      onTurn={({ picture, name }) => set('Backdrop', createPicture(String(picture), String(name)))}
      onEnd={() => undefined}
    />
  );
}
