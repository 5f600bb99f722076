import { capital } from '../../../../core/values/words.ts';
import { goToBackdrop } from './view.ts';
import clsx from 'clsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { DropdownMenu } from 'radix-ui';
import { Plus, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { createBackdrop } from '../../../../core/desk/defaults.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Backdrop as BackdropSchema, type Backdrop } from '../../../../core/backdrop/schema.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { useDesk } from '../../../session/desk.ts';
import { IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { menuItem, menuPanel } from '../../../ui/menu.ts';

type Where = Backdrop['for'];

/** Where a backdrop lies, in words. */
function titleOf({ screen, workspace, half }: Where, desk: Desk): string {
  const parts = [
    screen !== null && `on ${desk.screens.find(({ id }) => id === screen)?.name ?? 'a screen'}`,
    workspace !== null && `in ${desk.workspaces.find(({ id }) => id === workspace)?.name ?? 'a workspace'}`,
    half !== null && `in the ${half} half`,
  ].filter((part) => part !== false);
  const text = parts.join(', ');
  return text ? capital(text) : 'Everywhere';
}

/** The places that may have a backdrop of their own. */
function placesOf(desk: Desk): Where[] {
  const nowhere: Where = { screen: null, workspace: null, half: null };
  return [
    ...(['light', 'dark'] as const).map((half) => ({ ...nowhere, half })),
    ...(desk.screens.length > 1 ? desk.screens.map(({ id }) => ({ ...nowhere, screen: id })) : []),
    ...desk.workspaces.map(({ id }) => ({ ...nowhere, workspace: id })),
  ];
}

/** The backdrops of the desk: the one that lies everywhere, and its exceptions. */
export function Where({ backdrop }: { backdrop: Backdrop }) {
  const desk = useDesk((state) => state.history?.present);
  const { edit } = useDesk.getState();
  if (!desk) return null;
  const { backdrops, screens } = desk;
  const taken = new Set(backdrops.map((one) => JSON.stringify(one.for)));
  const free = placesOf(desk).filter((where) => !taken.has(JSON.stringify(where)));

  function add(where: Where) {
    const id = nanoid(8);
    // It starts as what lies there now.
    edit(
      named(
        `A backdrop ${titleOf(where, desk as Desk).toLowerCase()}`,
        edits.addBackdrop({
          ...createBackdrop(id, withNewEntries(backdrop), { where }),
          adjust: backdrop.adjust,
        }),
      ),
    );
    goToBackdrop(id);
  }
  return (
    <Section
      title="Where it lies"
      note={
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger className="inline-flex items-center gap-1 text-brass hover:underline">
            <Plus size={13} /> another for…
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content className={menuPanel} align="end" sideOffset={4}>
              {free.map((where) => (
                <DropdownMenu.Item
                  key={JSON.stringify(where)}
                  className={menuItem}
                  onSelect={() => add(where)}
                >
                  {titleOf(where, desk)}
                </DropdownMenu.Item>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      }
    >
      {backdrops.map((one, index) => (
        <div key={one.id} className="flex items-center gap-1">
          <button
            type="button"
            aria-pressed={one.id === backdrop.id}
            onClick={() => goToBackdrop(one.id)}
            className={clsx(
              'h-8 min-w-0 flex-1 truncate rounded-lg px-2.5 text-left',
              one.id === backdrop.id ? 'bg-seam font-medium' : 'bg-pit text-dust hover:text-chalk',
            )}
          >
            {titleOf(one.for, desk)}
          </button>
          {index > 0 && (
            <IconButton
              label={`Remove the backdrop: ${titleOf(one.for, desk)}`}
              className="hover:!text-rust"
              onClick={() => {
                edit(named('Remove a backdrop', edits.remove([one.id])));
                goToBackdrop(null);
              }}
            >
              <Trash2 size={14} />
            </IconButton>
          )}
        </div>
      ))}
      {screens.length > 1 && backdrop.for.screen === null && (
        <Fields
          schema={BackdropSchema}
          values={backdrop}
          only={['spans']}
          onTurn={(change, label) => edit(named(label, edits.setBackdrop(backdrop.id, change)))}
          onEnd={() => undefined}
        />
      )}
    </Section>
  );
}

/** Ids are of one desk only once. */
function withNewEntries({ source }: Backdrop): Backdrop['source'] {
  return source.kind === 'rotation'
    ? { ...source, entries: source.entries.map((entry) => ({ ...entry, id: nanoid(8) })) }
    : source;
}
