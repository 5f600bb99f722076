import { OrderedList, type OrderedRow } from '../../../ui/ordered-list.tsx';
import { FileButton } from '../../../ui/file-button.tsx';
import { goToBackdrop } from './view.ts';
import { Fields } from '../../form/form.tsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { arrayMove } from '@dnd-kit/sortable';
import { FolderOpen, Plus } from 'lucide-react';
import { nanoid } from 'nanoid';
import { motifNames } from '../../../../core/backdrop/names.ts';
import { SAMPLE_WIDTH, sampleOf } from '../../../../core/backdrop/drawn.ts';
import { changesBetween, rotationAt } from '../../../../core/timeline/rotation/rotation.ts';
import { paletteOf } from '../../../../core/colour/look.ts';
import { createMotif } from '../../../../core/desk/defaults.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Rotation, titleOfSource, type PlainSource } from '../../../../core/backdrop/schema.ts';
import type { Backdrop } from '../../../../core/backdrop/schema.ts';
import { formatMoment } from '../../../../core/sources/time/time.ts';
import { backdropAddress } from '../../../api/addresses.ts';
import { useMayCome } from '../../../render/backdrop/looked-at.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalfRoles } from '../../../session/scene.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { PICTURE_TYPES, takePicture } from '../../pictures/pictures.ts';
import { KindChoice, NoPictureYet, useAsking } from './source-editor.tsx';

/** Several backdrops in turn. */
export function RotationEditor({ backdrop, rotation }: { backdrop: Backdrop; rotation: Rotation }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const set = (label: string, change: Partial<Rotation>) =>
    edit(named(label, edits.setSource(backdrop.id, { ...rotation, ...change })));
  const add = (source: PlainSource) => edit(edits.addEntry(backdrop.id, { id: nanoid(8), source }));
  const used = rotation.entries.flatMap(({ source }) => (source.kind === 'motif' ? [source.motif] : []));
  const asking = useAsking('rotation');
  if (asking.isAsking) {
    const become = {
      set: (label: string, next: PlainSource) => edit(named(label, edits.setSource(backdrop.id, next))),
    };
    return (
      <div className="mt-4 grid gap-3">
        <KindChoice backdrop={backdrop} {...asking} />
        <NoPictureYet edited={become} />
      </div>
    );
  }
  return (
    <div className="mt-4 grid gap-3">
      <KindChoice backdrop={backdrop} {...asking} />
      <Section title="In turn" note="drag, or arrows on the grip">
        <Entries backdrop={backdrop} rotation={rotation} onOrder={(entries) => set('Reorder', { entries })} />
        <div className="mt-1 flex gap-2">
          <Button
            onClick={() => add(createMotif(motifNames.find((name) => !used.includes(name)) ?? 'headland', 7))}
          >
            <Plus size={15} /> Motif
          </Button>
          <FileButton
            label="Picture files"
            accept={PICTURE_TYPES}
            multiple
            onFile={(chosen) => void takePicture(chosen, add)}
          >
            <FolderOpen size={15} /> Pictures…
          </FileButton>
        </div>
      </Section>
      <Section title="Changes">
        <Fields
          schema={Rotation}
          values={rotation}
          onTurn={(change, label) =>
            turn(named(label, edits.setSource(backdrop.id, { ...rotation, ...change })))
          }
          onEnd={endGesture}
        />
        {rotation.change.by === 'sun' && (
          <p className="text-[12px] text-dust">At sunrise and at sunset, where the desk is.</p>
        )}
        <NextChange rotation={rotation} />
      </Section>
    </div>
  );
}

function NextChange({ rotation }: { rotation: Rotation }) {
  const moment = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const place = useDesk((state) => state.history?.present.place);
  const seed = useDesk((state) => state.history?.present.seed ?? 0);
  if (!place) return null;
  const { until } = rotationAt(rotation, moment, place, seed);
  const [next] = changesBetween(rotation.change, until, until + 1, place);
  const then = rotation.entries[rotationAt(rotation, next ?? until, place, seed).entry];
  return (
    <p className="text-[12px] text-dust">
      Next at {formatMoment(until, place.zone, 'EEE HH:mm')}
      {then && `: ${titleOfSource(then.source)}`}.
    </p>
  );
}

function Entries({
  backdrop,
  rotation,
  onOrder,
}: {
  backdrop: Backdrop;
  rotation: Rotation;
  onOrder: (entries: Rotation['entries']) => void;
}) {
  const { entries } = rotation;
  const moment = useConditions((state) => state.moment);
  const place = useDesk((state) => state.history?.present.place);
  const seed = useDesk((state) => state.history?.present.seed ?? 0);
  const current = place ? rotationAt(rotation, moment, place, seed).entry : 0;
  const rows = entries.map(({ id, source }, index): OrderedRow => ({
    id,
    title: titleOfSource(source),
    content: <EntryContent source={source} isCurrent={index === current} />,
    onPress: () => goToBackdrop(backdrop.id, id),
    onRemove: entries.length > 1 ? () => onOrder(entries.filter((entry) => entry.id !== id)) : undefined,
  }));
  return (
    <OrderedList
      rows={rows}
      isTall
      onMove={(id, index) =>
        onOrder(
          arrayMove(
            entries,
            entries.findIndex((entry) => entry.id === id),
            index,
          ),
        )
      }
    />
  );
}

function EntryContent({ source, isCurrent }: { source: PlainSource; isCurrent: boolean }) {
  const roles = useHalfRoles();
  const place = useDesk((state) => state.history?.present.place);
  const mayCome = useMayCome();
  const sample = roles && place ? sampleOf(source, { palette: paletteOf(roles), place, moment: 0 }) : null;
  return (
    <>
      {sample && mayCome && (
        <img
          src={backdropAddress(sample, SAMPLE_WIDTH)}
          alt=""
          draggable={false}
          className="h-7 w-[50px] shrink-0 rounded object-cover"
        />
      )}
      <span className="truncate">{titleOfSource(source)}</span>
      {isCurrent && <span className="ml-auto mr-1 shrink-0 text-[12px] text-moss">now</span>}
    </>
  );
}
