import { named } from '../../../../core/desk/edits/edit.ts';
import { createMotif } from '../../../../core/desk/defaults.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { PlainSource, Source } from '../../../../core/backdrop/schema.ts';
import type { Backdrop } from '../../../../core/backdrop/schema.ts';
import { nanoid } from 'nanoid';
import { useDesk } from '../../../session/desk.ts';
import { choosePicture } from '../../pictures.ts';
import { Segmented } from '../../../ui/choice.tsx';
import { GradientEditor } from './gradient-editor.tsx';
import { ChoosePicture, PictureEditor } from './picture-editor.tsx';
import { MotifEditor } from './motif-editor.tsx';
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
}: {
  backdrop: Backdrop;
  isEntry?: boolean;
  edited?: EditedSource;
}) {
  const { edit } = useDesk.getState();
  const { source } = backdrop;
  const plain = edited?.source ?? (source.kind === 'rotation' ? source.entries[0]?.source : source);

  function choose(kind: Kind) {
    if (kind === 'picture') {
      choosePicture((picture) =>
        edited ? edited.set('Backdrop', picture) : edit(edits.setSource(backdrop.id, picture)),
      );
      return;
    }
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
    <Segmented
      label="Kind of backdrop"
      value={isEntry ? (plain?.kind ?? null) : source.kind}
      choices={isEntry ? kinds.slice(0, 3) : kinds}
      onChange={choose}
    />
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
  return (
    <div className="mt-4 grid gap-3 first:mt-0">
      <KindChoice backdrop={backdrop} edited={edited} isEntry={isEntry} />
      {source.kind === 'motif' && <MotifEditor edited={edited} motif={source} />}
      {source.kind === 'gradient' && <GradientEditor edited={edited} gradient={source} />}
      {source.kind === 'picture' && <PictureEditor edited={edited} picture={source} />}
      <ChoosePicture edited={edited} />
    </div>
  );
}
