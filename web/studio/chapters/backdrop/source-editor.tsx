import { named } from '../../../../core/desk/edits/edit.ts';
import { createMotif, createPicture } from '../../../../core/desk/defaults.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { PlainSource, Source } from '../../../../core/backdrop/schema.ts';
import type { Backdrop } from '../../../../core/backdrop/schema.ts';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { useDesk } from '../../../session/desk.ts';
import type { PictureNote } from '../../../../core/wire/wire.ts';
import { TakenPictures } from '../../pictures/taken-pictures.tsx';
import { choosePicture } from '../../pictures/pictures.ts';
import { Section } from '../../../ui/section.tsx';
import { Segmented } from '../../../ui/choice.tsx';
import { GradientEditor } from './gradient-editor.tsx';
import { ChoosePicture, PictureEditor } from './picture-editor.tsx';
import { MotifEditor } from './motif-editor.tsx';
import { KIND_OF_BACKDROP } from './view.ts';
import type { EditedSource } from './use-backdrop.ts';

type Kind = Source['kind'];

const kinds: { value: Kind; label: string }[] = [
  { value: 'motif', label: 'Motif' },
  { value: 'picture', label: 'Picture' },
  { value: 'gradient', label: 'Gradient' },
  { value: 'rotation', label: 'Rotation' },
];

const startGradient: PlainSource = {
  kind: 'gradient',
  shape: 'linear',
  angle: 160,
  centre: { x: 0.5, y: 0.5 },
  points: [
    { at: 0, colour: 'ground' },
    { at: 0.55, colour: 'second' },
    { at: 1, colour: 'accent' },
  ],
};

/** Chooses the kind of a backdrop. */
export function KindChoice({
  backdrop,
  isEntry,
  edited,
  isAsking,
  onAsk,
}: {
  backdrop: Backdrop;
  isEntry?: boolean;
  edited?: EditedSource;
  /** A picture is asked for and not there yet. */
  isAsking: boolean;
  onAsk: (isAsking: boolean) => void;
}) {
  const { edit } = useDesk.getState();
  const { source } = backdrop;
  const plain = edited?.source ?? (source.kind === 'rotation' ? source.entries[0]?.source : source);

  function choose(kind: Kind) {
    onAsk(kind === 'picture');
    if (kind === 'picture') {
      // Where none is chosen now, the column says how one gets here.
      choosePicture((picture) =>
        edited ? edited.set('Backdrop', picture) : edit(edits.setSource(backdrop.id, picture)),
      );
      return;
    }
    // What it was stays where a picture was asked for in vain.
    if (kind === (isEntry ? plain?.kind : source.kind)) return;
    if (kind === 'rotation') {
      const entries = plain ? [{ id: nanoid(8), source: plain }] : [];
      edit(
        named(
          'A rotation',
          edits.setSource(backdrop.id, {
            kind: 'rotation',
            entries,
            change: { by: 'every', minutes: 60 },
            shuffled: false,
            fade: 4,
          }),
        ),
      );
      return;
    }
    const next = kind === 'motif' ? createMotif('headland', 7) : startGradient;
    if (edited) edited.set('Backdrop', next);
    else edit(edits.setSource(backdrop.id, next));
  }
  return (
    <div data-field={KIND_OF_BACKDROP} className="contents">
      <Segmented
        label={KIND_OF_BACKDROP}
        value={isAsking ? 'picture' : isEntry ? (plain?.kind ?? null) : source.kind}
        choices={isEntry ? kinds.slice(0, 3) : kinds}
        onChange={choose}
      />
    </div>
  );
}

/** Whether a picture is asked for and not there yet: until it comes, or another kind is chosen. */
export function useAsking(kind: Kind): { isAsking: boolean; onAsk: (isAsking: boolean) => void } {
  const [asked, setAsked] = useState<Kind | null>(null);
  // Asked while another kind lay there.
  return { isAsking: asked === kind && kind !== 'picture', onAsk: (is) => setAsked(is ? kind : null) };
}

/** What to do where a picture was asked for and none was chosen. */
export function NoPictureYet({ edited }: { edited: Pick<EditedSource, 'set'> }) {
  return (
    <Section title="No picture yet">
      <p className="text-dust">What lies there stays until one is here.</p>
      <ChoosePicture edited={edited} />
    </Section>
  );
}

/** A plain source: what it is, and all that can be set of it. */
export function SourceEditor({
  backdrop,
  edited,
  isEntry = false,
}: {
  backdrop: Backdrop;
  edited: EditedSource;
  isEntry?: boolean;
}) {
  const { source } = edited;
  const asking = useAsking(source.kind);
  // It lies as the one before it lies, where that is a picture.
  const lying = ({ id, name }: PictureNote) =>
    source.kind === 'picture' ? { ...source, picture: id, name } : createPicture(id, name);
  const taken = (
    <TakenPictures
      chosen={source.kind === 'picture' ? source.picture : null}
      onShow={(picture) => edited.show('Backdrop', lying(picture))}
      onTake={(picture) => edited.set(`Backdrop: ${picture.name}`, lying(picture))}
    />
  );
  if (asking.isAsking) {
    return (
      <div className="mt-4 grid gap-3 first:mt-0">
        <KindChoice backdrop={backdrop} edited={edited} isEntry={isEntry} {...asking} />
        <NoPictureYet edited={edited} />
        {taken}
      </div>
    );
  }
  return (
    <div className="mt-4 grid gap-3 first:mt-0">
      <KindChoice backdrop={backdrop} edited={edited} isEntry={isEntry} {...asking} />
      {source.kind === 'motif' && <MotifEditor edited={edited} motif={source} />}
      {source.kind === 'gradient' && <GradientEditor edited={edited} gradient={source} />}
      {source.kind === 'picture' && <PictureEditor edited={edited} picture={source} />}
      <ChoosePicture edited={edited} />
      {taken}
    </div>
  );
}
