import type { FC } from 'react';
import { learnFamilies } from '../../../core/text/families.ts';
import { families, familyTitles, type Family } from '../../../core/values/family.ts';
import { useDesk } from '../../session/desk.ts';
import { SelectField } from '../../ui/choice.tsx';
import { taking, type ControlProps } from './control.ts';
import { machineNames } from './machine-names.ts';
import { TextControl } from './text-controls.tsx';

const zones = Intl.supportedValuesOf('timeZone');

export const ZoneControl: FC<ControlProps> = (props) => <TextControl {...props} list={zones} />;

/** A disk by where it is mounted, or a network by its name: those that there are now are offered. */
function OfMachine({ list, ...props }: ControlProps & { list: 'mounts' | 'interfaces' }) {
  return <TextControl {...props} list={machineNames(list)} />;
}
export const MountControl: FC<ControlProps> = (props) => <OfMachine {...props} list="mounts" />;
export const InterfaceControl: FC<ControlProps> = (props) => <OfMachine {...props} list="interfaces" />;

/** One of the desk's calendars or sources of headlines, or all of them. */
function OneOf({ list, all, ...props }: ControlProps & { list: 'calendars' | 'headlines'; all: string }) {
  const some = useDesk((state) => state.history?.present.sources.outside[list]) ?? [];
  return (
    <SelectField
      label={props.label}
      // Nothing can't be a choice's value.
      value={String(props.value) || 'all'}
      choices={[
        { value: 'all', label: all },
        ...some.map(({ id, title }) => ({ value: id, label: title || 'Without a name' })),
      ]}
      onChange={(id) => taking(props)(id === 'all' ? '' : id)}
    />
  );
}

export const CalendarControl: FC<ControlProps> = (props) => (
  <OneOf {...props} list="calendars" all="All calendars" />
);
export const HeadlinesControl: FC<ControlProps> = (props) => (
  <OneOf {...props} list="headlines" all="All sources" />
);

export const ApplicationControl: FC<ControlProps> = (props) => {
  const applications = useDesk((state) => state.history?.present.applications) ?? [];
  return (
    <SelectField
      label={props.label}
      value={String(props.value)}
      placeholder="Choose one"
      choices={applications.map(({ id, Name }) => ({ value: id, label: Name }))}
      onChange={taking(props)}
    />
  );
};

export const WallFolderControl: FC<ControlProps> = (props) => {
  const folders = useDesk((state) => state.history?.present.menus.appWall.folders) ?? [];
  return (
    <SelectField
      label={props.label}
      // Nothing can't be a choice's value.
      value={String(props.value) || 'none'}
      choices={[
        { value: 'none', label: folders.length > 0 ? 'None' : 'The app wall has none' },
        ...folders.map(({ id, name }) => ({ value: id, label: name })),
      ]}
      onChange={(id) => taking(props)(id === 'none' ? '' : id)}
    />
  );
};

/** A family of type: the desk's own first. It is learned before it is taken, so that nothing moves twice. */
export const FamilyControl: FC<ControlProps> = (props) => {
  const own = useDesk((state) => state.history?.present.look.ownFonts) ?? [];
  return (
    <SelectField
      label={props.label}
      value={props.value as Family}
      choices={[
        ...own.map(({ id, name }) => ({ value: id as Family, label: `${name} (yours)` })),
        ...families.map((family) => ({ value: family as Family, label: familyTitles[family] })),
      ]}
      onChange={(family) => void learnFamilies([family]).then(() => taking(props)(family))}
    />
  );
};
