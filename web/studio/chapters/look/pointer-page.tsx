import clsx from 'clsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { Download } from 'lucide-react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Pointer, pointerSets, pointerTitles } from '../../../../core/pointer/schema.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { drawPointer, pointerShapes } from '../../../../core/pointer/pointer.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { useHalfRoles, useScene } from '../../../session/scene.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { Fields } from '../../form/form.tsx';
import { saveBytes } from '../../pictures/download.ts';

/** Our own drawn pointers: shown in Try, and taken away as SVG. */
export function PointerPage({ look: { pointer } }: { look: Look }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const roles = useHalfRoles();
  const solved = useScene((state) => state.scene?.pointer);
  if (!roles || !solved) return null;
  const set = (change: Partial<typeof pointer>) => ({ pointer: { ...pointer, ...change } });

  async function save() {
    const { strToU8, zipSync } = await import('fflate');
    const files = pointerShapes.map((shape) => {
      const { svg, hotSpot } = drawPointer(shape, solved as NonNullable<typeof solved>);
      // Where the tip is goes with the name: SVG itself has no place for it.
      return [`${shape}-${hotSpot[0]}-${hotSpot[1]}.svg`, strToU8(svg)] as const;
    });
    const stem = (presentDesk()?.name ?? 'desk').replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
    saveBytes(zipSync(Object.fromEntries(files)), `${stem}-pointers.zip`, 'application/zip');
  }
  return (
    <>
      <Section title="Set">
        <div className="grid gap-1.5" role="group" aria-label="Pointer set">
          {pointerSets.map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={pointer.set === name}
              onClick={() => edit(named('Pointer', edits.setLook(set({ set: name }))))}
              className={clsx(
                'flex h-14 items-center justify-between gap-1 rounded-lg bg-nap px-3 hover:outline hover:outline-brass/70',
                pointer.set === name && 'outline-2 outline-brass outline',
              )}
            >
              <span className="w-12 shrink-0 text-left font-medium">{pointerTitles[name]}</span>
              {pointerShapes.map((shape) => (
                <img
                  key={shape}
                  alt={shape}
                  width={24}
                  height={24}
                  src={`data:image/svg+xml,${encodeURIComponent(drawPointer(shape, { ...solved, set: name, size: 24 }).svg)}`}
                />
              ))}
            </button>
          ))}
        </div>
        <ReadyLooks topic="pointer" target={{ by: 'desk' }} />
        <p className="text-[12px] text-dust">Go to Try and move over the stage to use it.</p>
      </Section>
      <Section title="Drawn">
        <Fields
          schema={Pointer}
          values={pointer}
          of="Pointer"
          onTurn={(change) => turn(named('Pointer', edits.setLook(set(change))))}
          onEnd={endGesture}
        />
        <div className="mt-1">
          <Button onClick={() => void save()}>
            <Download size={15} /> Save as SVG
          </Button>
        </div>
      </Section>
    </>
  );
}
