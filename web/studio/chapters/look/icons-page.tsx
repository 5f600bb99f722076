import { named } from '../../../../core/desk/edits/edit.ts';
import { Undo2 } from 'lucide-react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Icons, type OwnSet } from '../../../../core/icons/schema.ts';
import type { Half } from '../../../../core/values/roles.ts';
import { useOwnSet } from '../../../render/kit/own-sets.ts';
import { SelectField, SwitchField } from '../../../ui/choice.tsx';
import { MissingSigns } from '../../icons/missing-signs.tsx';
import { SetCards } from '../../icons/set-cards.tsx';
import { wearing, wornIn } from '../../icons/wear-icons.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { Fields } from '../../form/form.tsx';
import type { Application } from '../../../../core/desk/shapes/applications.ts';
import { isOwn } from '../../../../core/values/family.ts';
import { ApplicationIcon, DeskIcons } from '../../../render/kit/icons.tsx';
import { suitedIcon } from '../../../../core/icons/suited.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScene } from '../../../session/scene.ts';
import { IconButton } from '../../../ui/buttons.tsx';
import { OwnIconButton } from '../../pictures/own-icon-button.tsx';
import { Row, Section } from '../../../ui/section.tsx';

/** Which set, in which style and colours, in which half; on which tile; and icons of one's own. */
export function IconsPage({ look: { icons } }: { look: Look }) {
  const { turn, endGesture } = useDesk.getState();
  const applications = useDesk((state) => state.history?.present.applications) ?? [];
  const seen = useScene((state) => state.scene?.half) ?? 'light';
  const half = icons.dark ? seen : 'light';
  const worn = wornIn(icons, half);
  const { edit } = useDesk.getState();
  const fields = {
    schema: Icons,
    values: worn,
    of: 'Icons',
    onTurn: (change: Partial<Icons>) => turn(wearing(icons, half, change)),
    onEnd: endGesture,
  };
  const setIcons = (change: Partial<Icons>) =>
    named('Icons', edits.setLook({ icons: { ...icons, ...change } }));
  return (
    <>
      <Section title="Set" note={icons.dark ? `in the ${half} half, which is seen` : undefined}>
        <SetCards icons={icons} half={half} />
        {worn.own ? (
          <OwnStyle icons={icons} half={half} own={worn.own} />
        ) : (
          <ReadyLooks topic="icons" target={{ by: 'desk' }} />
        )}
        <div className="mt-1.5">
          {!worn.own && <Fields {...fields} only={['style']} />}
          <SwitchField
            label="Dark half"
            spoken="Other icons in the dark half"
            hint="Another set and other colours while the desk is dark"
            value={icons.dark !== null}
            onChange={(isParted) => {
              const { set, style, own, ink } = icons;
              edit(setIcons({ dark: isParted ? { set, style, own, ink } : null }));
            }}
          />
        </div>
        <div className="mt-1.5">
          <Fields {...fields} only={['ink']} />
        </div>
      </Section>
      <Section title="Tile" note="under applications">
        <Fields
          schema={Icons}
          values={icons}
          of="Tile"
          only={['tile', 'tileColour']}
          onTurn={(change: Partial<Icons>) => turn(setIcons(change))}
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

/** The style of a set of one's own, and what it has nothing for. */
function OwnStyle({ icons, half, own }: { icons: Icons; half: Half; own: OwnSet }) {
  const set = own.set.slice('own:'.length);
  const styles = useOwnSet(set)?.index.styles ?? [];
  const { edit } = useDesk.getState();
  return (
    <div className="mt-1.5 grid gap-1">
      {styles.length > 1 && (
        <Row label="Style">
          <SelectField
            label="Style"
            value={styles.includes(own.style) ? own.style : (styles[0] ?? '')}
            choices={styles.map((style) => ({ value: style, label: style }))}
            onChange={(style) => edit(wearing(icons, half, { own: { ...own, style } }))}
          />
        </Row>
      )}
      <MissingSigns icons={icons} set={set} />
    </div>
  );
}

function ApplicationRow({ application }: { application: Application }) {
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
      <OwnIconButton of={Name} onTake={setIcon} />
    </div>
  );
}
