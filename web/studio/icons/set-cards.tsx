import clsx from 'clsx';
import { FolderOpen, FolderTree, Trash2 } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import { iconSets, setTitles, type Icons, type WornIcons } from '../../../core/icons/schema.ts';
import type { SceneIcons } from '../../../core/scene/scene.ts';
import type { Half } from '../../../core/values/roles.ts';
import type { ListedIconSet } from '../../../core/wire/wire.ts';
import { api } from '../../api/client.ts';
import { DeskIcon, DeskIcons } from '../../render/kit/icons.tsx';
import { useDesk } from '../../session/desk.ts';
import { loadIconSets, useIconSets } from '../../session/icon-sets.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import { FileButton } from '../../ui/file-button.tsx';
import { toast } from '../../ui/toast.ts';
import { chosenFolder, ICON_ARCHIVES, takeIconFolder, takeIcons, useTakingIcons } from './take-icons.ts';
import { ourSet, ownSet, wearing, wornIn } from './wear-icons.ts';

/** Ours and one's own, each with some of its icons; a press wears one. */
export function SetCards({ icons, half }: { icons: Icons; half: Half }) {
  const { edit } = useDesk.getState();
  const { list, failure } = useIconSets();
  useEffect(() => void loadIconSets(), []);
  const worn = wornIn(icons, half);
  const wear = (change: Partial<WornIcons>) => edit(wearing(icons, half, change));
  const wearTaken = (sets: readonly ListedIconSet[] | null) => {
    const [first] = sets ?? [];
    const now = useDesk.getState().history?.present.look.icons;
    if (first && now) edit(wearing(now, half, ownSet(first, wornIn(now, half))));
  };
  return (
    <>
      <div className="grid gap-1.5" role="group" aria-label="Icon set">
        {iconSets.map((name) => (
          <SetCard
            key={name}
            title={setTitles[name]}
            worn={{ ...worn, ...ourSet(name, worn), ink: { way: 'plain' } }}
            isChosen={!worn.own && worn.set === name}
            onPress={() => wear(ourSet(name, worn))}
          />
        ))}
        {list?.map((set) => (
          <OwnSetCard key={set.id} set={set} worn={worn} onPress={() => wear(ownSet(set, worn))} />
        ))}
      </div>
      {failure && <p className="mt-1 text-[12px] text-rust">Sets of yours are not here: {failure}</p>}
      <TakeSets onTaken={wearTaken} />
    </>
  );
}

function OwnSetCard({ set, worn, onPress }: { set: ListedIconSet; worn: WornIcons; onPress: () => void }) {
  const all = set.found + set.missing.length;
  const isChosen = worn.own?.set === `own:${set.id}`;
  return (
    <div className="flex items-center gap-1">
      <SetCard
        title={set.name}
        note={`${set.found} of ${all} found`}
        worn={{ ...worn, ...ownSet(set, { ink: { way: 'plain' } }) }}
        isChosen={isChosen}
        onPress={onPress}
      />
      <IconButton
        label={`Take ${set.name} off the list`}
        className="!size-7"
        onClick={() => void removeSet(set)}
      >
        <Trash2 size={14} />
      </IconButton>
    </div>
  );
}

/** Desks that wear it go on doing so; it comes back by one press. */
async function removeSet({ id, name }: ListedIconSet): Promise<void> {
  try {
    await api.removeIconSet(id);
    await loadIconSets();
  } catch (error) {
    toast.error((error as Error).message);
    return;
  }
  toast(`${name} is off the list; desks that wear it keep it.`, {
    action: {
      label: 'Put it back',
      onClick: () =>
        void api.restoreIconSet(id).then(loadIconSets, (error: Error) => toast.error(error.message)),
    },
  });
}

const shown = [
  'x-office-document',
  'applications-maps',
  'audio-x-generic',
  'camera-photo',
  'utilities-terminal',
];

function SetCard({
  title,
  note,
  worn: { set, style, own, ink },
  isChosen,
  onPress,
}: {
  title: string;
  note?: string;
  worn: WornIcons;
  isChosen: boolean;
  onPress: () => void;
}) {
  const way = ink.way === 'one' ? 'one' : 'plain';
  const value = useMemo(
    (): SceneIcons => ({
      ...{ set, style, own, byHand: [], tile: 'none', tiles: {}, words: {} },
      ink: way === 'one' ? { way, colour: null } : { way: 'plain' },
    }),
    [set, style, own?.set, own?.style, way], // eslint-disable-line react-hooks/exhaustive-deps -- the same set by its id
  );
  return (
    <DeskIcons icons={value}>
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={onPress}
        className={clsx(
          'min-w-0 flex-1 rounded-lg bg-nap px-3 hover:outline hover:outline-brass/70',
          note === undefined ? 'flex h-12 items-center gap-3' : 'grid gap-1.5 py-2',
          isChosen && 'outline-2 outline-brass outline',
        )}
      >
        <span className="flex min-w-0 flex-1 items-baseline gap-2 text-left">
          <span className="min-w-0 flex-1 truncate font-medium">{title}</span>
          {note && <span className="text-[12px] text-dust">{note}</span>}
        </span>
        <span className="flex items-center gap-3">
          {shown.map((icon) => (
            <DeskIcon key={icon} name={icon} size={24} />
          ))}
        </span>
      </button>
    </DeskIcons>
  );
}

/** Asks for an archive or a folder of icons, and tells how far it has come. */
function TakeSets({ onTaken }: { onTaken: (sets: readonly ListedIconSet[] | null) => void }) {
  const taking = useTakingIcons((state) => state.taking);
  const folder = useRef<HTMLInputElement>(null);
  if (taking)
    return (
      <div className="mt-1.5 grid gap-1" role="status">
        <span className="truncate text-[12px] text-dust">
          {taking.of === 0
            ? `Opening ${taking.name}…`
            : `Drawing ${taking.name}: ${taking.drawn} of ${taking.of}`}
        </span>
        <progress className="h-1 w-full accent-brass" max={taking.of || 1} value={taking.drawn} />
      </div>
    );
  return (
    <div className="mt-1.5 grid gap-1">
      <div className="flex flex-wrap gap-1.5">
        <FileButton
          label="Archive of icons"
          accept={ICON_ARCHIVES}
          onFile={(file) => void takeIcons(file, file.name).then(onTaken)}
        >
          <FolderOpen size={15} /> A set of yours…
        </FileButton>
        <input
          ref={folder}
          type="file"
          multiple
          hidden
          aria-label="Folder of icons"
          {...{ webkitdirectory: '' }}
          onChange={(event) => {
            const chosen = chosenFolder([...(event.target.files ?? [])]);
            event.target.value = '';
            if (chosen.files.length > 0) void takeIconFolder(chosen.name, chosen.files).then(onTaken);
          }}
        />
        <Button onClick={() => folder.current?.click()}>
          <FolderTree size={15} /> A folder…
        </Button>
      </div>
      <p className="text-[12px] text-dust">SVG and PNG in a ZIP or tar.gz; or drop one on the stage.</p>
    </div>
  );
}
