import clsx from 'clsx';
import { useEffect, useState } from 'react';
import type { PictureNote } from '../../../core/wire/wire.ts';
import { pictureAddress } from '../../api/addresses.ts';
import { api } from '../../api/client.ts';
import { persist } from '../../later.ts';
import { useDesk } from '../../session/desk.ts';
import { Section } from '../../ui/section.tsx';

/** How many are shown before all are asked for. */
const FEW = 12;

/**
 * The pictures that were taken in so far, for all desks. Pointed at, or come to by the keyboard, one is shown on the stage as it
 * would lie there; leaving gives the desk back.
 */
export function TakenPictures({
  chosen,
  onShow,
  onTake,
}: {
  /** The SHA-256 of the one that lies there. */
  chosen: string | null;
  onShow: (picture: PictureNote) => void;
  onTake: (picture: PictureNote) => void;
}) {
  const [list, setList] = useState<readonly PictureNote[]>([]);
  const [isWhole, setWhole] = useState(false);
  useEffect(() => {
    let isWanted = true;
    void persist(() => api.pictures()).then(
      (pictures) => isWanted && setList(pictures),
      () => undefined,
    );
    return () => {
      isWanted = false;
    };
  }, [chosen]);
  useEffect(() => () => useDesk.getState().dropGesture(), []);
  if (list.length === 0) return null;
  const leave = () => useDesk.getState().dropGesture();
  return (
    <Section title="Taken in so far" note={`${list.length}`}>
      <div className="grid grid-cols-4 gap-1.5" role="group" aria-label="Pictures taken in so far">
        {(isWhole ? list : list.slice(0, FEW)).map((picture) => {
          const isChosen = picture.id === chosen;
          const show = () => !isChosen && onShow(picture);
          return (
            <button
              key={picture.id}
              type="button"
              aria-pressed={isChosen}
              aria-label={picture.name}
              data-tip={picture.name}
              className={clsx(
                'aspect-video overflow-hidden rounded-md bg-pit hover:outline hover:outline-brass/70',
                isChosen && 'outline-2 outline-brass outline',
              )}
              onPointerEnter={show}
              onPointerLeave={leave}
              onFocus={(event) => event.currentTarget.matches(':focus-visible') && show()}
              onBlur={leave}
              onKeyDown={(event) => event.key === 'Escape' && leave()}
              onClick={() => {
                leave();
                if (!isChosen) onTake(picture);
              }}
            >
              <img src={pictureAddress(picture.id, 240)} alt="" className="size-full object-cover" />
            </button>
          );
        })}
      </div>
      {!isWhole && list.length > FEW && (
        <button
          type="button"
          className="justify-self-start text-[12px] text-brass hover:underline"
          onClick={() => setWhole(true)}
        >
          All {list.length}
        </button>
      )}
    </Section>
  );
}
