import clsx from 'clsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { Undo2, Upload } from 'lucide-react';
import { useMemo, useRef } from 'react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { iconSets, setTitles, stylesOf, Icons, type IconSetName } from '../../../../core/icons/schema.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { Fields } from '../../form/form.tsx';
import type { Application } from '../../../../core/desk/shapes/applications.ts';
import { isOwn } from '../../../../core/values/family.ts';
import { ApplicationIcon, DeskIcon, DeskIcons } from '../../../render/kit/icons.tsx';
import { suitedIcon } from '../../../../core/icons/suited.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScene } from '../../../session/scene.ts';
import { IconButton } from '../../../ui/buttons.tsx';
import { takeOwnIcon } from '../../pictures/own-icon.ts';
import { Section } from '../../../ui/section.tsx';

const shown = [
  'x-office-document',
  'applications-maps',
  'audio-x-generic',
  'camera-photo',
  'utilities-terminal',
];

/** Which set, in which style, on which tile; and icons of one's own. */
export function IconsPage({ look: { icons } }: { look: Look }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const applications = useDesk((state) => state.history?.present.applications) ?? [];
  const changed = (change: Partial<Icons>) =>
    named('Icons', edits.setLook({ icons: { ...icons, ...change } }));
  const turnIcons = (change: Partial<Icons>) => turn(changed(change));
  return (
    <>
      <Section title="Set">
        <div className="grid gap-1.5" role="group" aria-label="Icon set">
          {iconSets.map((name) => (
            <SetCard
              key={name}
              name={name}
              icons={icons}
              onPress={() =>
                edit(
                  changed({
                    set: name,
                    style: stylesOf[name].includes(icons.style) ? icons.style : stylesOf[name][0],
                  }),
                )
              }
            />
          ))}
        </div>
        <ReadyLooks topic="icons" target={{ by: 'desk' }} />
        <div className="mt-1.5">
          <Fields
            schema={Icons}
            values={icons}
            of="Icons"
            only={['style']}
            onTurn={turnIcons}
            onEnd={endGesture}
          />
        </div>
      </Section>
      <Section title="Tile" note="under applications">
        <Fields
          schema={Icons}
          values={icons}
          of="Tile"
          only={['tile', 'tileColour']}
          onTurn={turnIcons}
          onEnd={endGesture}
        />
      </Section>
      <Section title="Applications" note="SVG or PNG of yours">
        {applications.map((application) => (
          <ApplicationRow key={application.id} application={application} />
        ))}
      </Section>
    </>
  );
}

function SetCard({ name, icons, onPress }: { name: IconSetName; icons: Icons; onPress: () => void }) {
  const isChosen = icons.set === name;
  const style = stylesOf[name].includes(icons.style) ? icons.style : (stylesOf[name][0] ?? 'line');
  const value = useMemo(() => ({ set: name, style, tile: 'none' as const, tiles: {} }), [name, style]);
  return (
    <DeskIcons icons={value}>
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={onPress}
        className={clsx(
          'flex h-12 items-center gap-3 rounded-lg bg-nap px-3 hover:outline hover:outline-brass/70',
          isChosen && 'outline-2 outline-brass outline',
        )}
      >
        <span className="w-12 text-left font-medium">{setTitles[name]}</span>
        {shown.map((icon) => (
          <DeskIcon key={icon} name={icon} size={24} />
        ))}
      </button>
    </DeskIcons>
  );
}

function ApplicationRow({ application }: { application: Application }) {
  const file = useRef<HTMLInputElement>(null);
  const icons = useScene((state) => state.scene?.icons);
  const { edit } = useDesk.getState();
  const { id, Name, Icon } = application;
  const setIcon = (icon: string) => edit(named(`Icon of ${Name}`, edits.setApplication(id, { Icon: icon })));

  if (!icons) return null;
  return (
    <div className="flex h-9 items-center gap-2.5">
      <DeskIcons icons={icons}>
        <ApplicationIcon application={id} name={Icon} size={22} />
      </DeskIcons>
      <span className="min-w-0 flex-1 truncate">{Name}</span>
      {isOwn(Icon) && (
        <IconButton
          label={`${Name}: an icon from the set again`}
          className="!size-7"
          onClick={() => setIcon(suitedIcon(application))}
        >
          <Undo2 size={14} />
        </IconButton>
      )}
      <input
        ref={file}
        type="file"
        accept="image/svg+xml,image/png"
        hidden
        aria-label={`Icon file for ${Name}`}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) void takeOwnIcon(chosen, Name, setIcon);
          event.target.value = '';
        }}
      />
      <IconButton
        label={`${Name}: an icon of mine`}
        className="!size-7"
        onClick={() => file.current?.click()}
      >
        <Upload size={14} />
      </IconButton>
    </div>
  );
}
