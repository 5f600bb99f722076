import { arrayMove } from '@dnd-kit/sortable';
import type { Application } from '../../../../core/desk/shapes/applications.ts';
import { SelectField } from '../../../ui/choice.tsx';
import { OrderedList } from '../../../ui/ordered-list.tsx';
import { ApplicationMark } from './application-mark.tsx';

/** Some of the desk's applications in an order: dragged, taken out, and added from the others. */
export function ApplicationPicks({
  of,
  applications,
  chosen,
  onChange,
}: {
  /** What they are picked for, as it is read out. */
  of: string;
  applications: readonly Application[];
  chosen: readonly string[];
  onChange: (chosen: readonly string[], label: string) => void;
}) {
  const others = applications.filter(({ id }) => !chosen.includes(id));
  return (
    <>
      <OrderedList
        rows={chosen.flatMap((id) => {
          const application = applications.find((one) => one.id === id);
          if (!application) return [];
          const { Name } = application;
          return [
            {
              id,
              title: Name,
              content: <ApplicationMark application={application} />,
              onRemove: () =>
                onChange(
                  chosen.filter((other) => other !== id),
                  `Take off ${Name}`,
                ),
            },
          ];
        })}
        onMove={(id, index) => onChange(arrayMove([...chosen], chosen.indexOf(id), index), 'Order')}
      />
      {others.length > 0 && (
        <SelectField
          label={`${of}: add an application`}
          value=""
          placeholder="Add an application"
          choices={others.map(({ id, Name }) => ({ value: id, label: Name }))}
          onChange={(id) =>
            onChange([...chosen, id], `Add ${others.find((one) => one.id === id)?.Name ?? ''}`)
          }
        />
      )}
    </>
  );
}
