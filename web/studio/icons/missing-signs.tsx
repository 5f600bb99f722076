import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import clsx from 'clsx';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { MOST_BY_HAND, type Icons } from '../../../core/icons/schema.ts';
import { titleOfSign, type SignName } from '../../../core/icons/names.ts';
import { coverageOf } from '../../../core/icons/sets/find.ts';
import { DeskIcon, DeskIcons } from '../../render/kit/icons.tsx';
import { useOwnSet } from '../../render/kit/own-sets.ts';
import { useDesk } from '../../session/desk.ts';
import { useScene } from '../../session/scene.ts';
import { IconButton } from '../../ui/buttons.tsx';
import { Fold } from '../../ui/fold.tsx';
import { takeOwnIcon } from '../pictures/own-icon.ts';
import { OwnIconButton } from '../pictures/own-icon-button.tsx';

/** What a set has nothing for, and what was put in its place: each to be filled by a press or a drop. */
export function MissingSigns({ icons, set }: { icons: Icons; set: string }) {
  const outside = useOwnSet(set);
  if (outside === null)
    return (
      <p className="text-[12px] text-rust">This set is not here any more: one of ours is drawn instead.</p>
    );
  if (!outside) return null;
  const { found, missing } = coverageOf(outside.index, icons.byHand);
  const filled = icons.byHand.map(({ name }) => name);
  if (missing.length === 0 && filled.length === 0)
    return <p className="text-[12px] text-dust">All {found} signs were found in it.</p>;
  return (
    <Fold
      label="Signs"
      value={`${found} of ${found + missing.length}`}
      note={missing.length === 0 ? 'by hand' : `${missing.length} from ours`}
    >
      {() => (
        <ul className="grid gap-0.5" aria-label="Signs that are not in the set">
          {[...filled, ...missing].map((name) => (
            <Sign key={name} name={name} icons={icons} isFilled={filled.includes(name)} />
          ))}
        </ul>
      )}
    </Fold>
  );
}

function Sign({ name, icons, isFilled }: { name: SignName; icons: Icons; isFilled: boolean }) {
  const [isOver, setOver] = useState(false);
  const scene = useScene((state) => state.scene?.icons);
  const { edit } = useDesk.getState();
  const title = titleOfSign(name);
  const put = (icon: string | null) => {
    const now = useDesk.getState().history?.present.look.icons ?? icons;
    const others = now.byHand.filter((one) => one.name !== name).slice(0, MOST_BY_HAND - 1);
    const byHand = icon === null ? others : [...others, { name, icon: icon as `own:${string}` }];
    edit(named(`Sign: ${title}`, edits.setLook({ icons: { ...now, byHand } })));
  };
  const take = (chosen: File | undefined) => chosen && void takeOwnIcon(chosen, title, put);
  if (!scene) return null;
  return (
    <li
      className={clsx(
        'flex h-8 items-center gap-2.5 rounded-lg px-1',
        isOver && 'bg-nap outline outline-brass',
      )}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take([...event.dataTransfer.files].at(0));
      }}
    >
      <DeskIcons icons={scene}>
        <DeskIcon name={name} size={20} />
      </DeskIcons>
      <span className="min-w-0 flex-1 truncate">{title}</span>
      {isFilled && (
        <IconButton label={`${title}: from the set again`} className="!size-7" onClick={() => put(null)}>
          <Undo2 size={14} />
        </IconButton>
      )}
      <OwnIconButton of={title} onTake={put} />
    </li>
  );
}
