import { named } from '../../../../core/desk/edits/edit.ts';
import { Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { paletteOf, surfaceOf } from '../../../../core/colour/look.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { surfaceBox } from '../../../render/kit/surface.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalfRoles } from '../../../session/scene.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { FinishSection } from '../../column/finish-section.tsx';

/** The finish of every part that has none of its own, and the presets that any part can take. */
export function FinishPage({ look }: { look: Look }) {
  const { edit } = useDesk.getState();
  const roles = useHalfRoles();
  const [name, setName] = useState('');
  if (!roles) return null;
  const palette = paletteOf(roles);
  const { finishes } = look;
  const setPresets = (label: string, next: Look['finishes']) =>
    edit(named(label, edits.setLook({ finishes: next })));
  const wanted = name.trim();
  return (
    <>
      <FinishSection ids={[]} owns={[]} />
      <Section title="Presets" note="for the desk or any part">
        {finishes.length === 0 && <p className="text-[12px] text-dust">Name the finish above to keep it.</p>}
        {finishes.map((preset) => (
          <div key={preset.id} className="flex h-10 items-center gap-2.5">
            <span className="grid h-8 w-12 shrink-0 place-items-center rounded bg-linear-to-br from-brass/60 to-moss/50">
              <span className="h-5 w-8" style={surfaceBox(surfaceOf(preset.finish, palette), 0.3)} />
            </span>
            <button
              type="button"
              className="min-w-0 flex-1 truncate text-left hover:text-brass"
              onClick={() => edit(named(`Finish: ${preset.name}`, edits.setLook({ finish: preset.finish })))}
            >
              {preset.name} <span className="text-dust">{preset.finish.kind}</span>
            </button>
            <IconButton
              label={`Remove the preset ${preset.name}`}
              className="!size-7 hover:!text-rust"
              onClick={() =>
                setPresets(
                  'Remove a preset',
                  finishes.filter(({ id }) => id !== preset.id),
                )
              }
            >
              <Trash2 size={14} />
            </IconButton>
          </div>
        ))}
        <form
          className="mt-1 flex gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (!wanted) return;
            setPresets('Keep a preset', [
              ...finishes.filter((preset) => preset.name !== wanted),
              { id: nanoid(8), name: wanted.slice(0, 60), finish: look.finish },
            ]);
            setName('');
          }}
        >
          <TextField
            label="Name of the preset"
            value={name}
            placeholder="Name of a preset"
            onChange={setName}
          />
          <Button type="submit">Keep</Button>
        </form>
      </Section>
    </>
  );
}
