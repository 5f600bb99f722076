import { Download, FileUp, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { compare } from '../../../core/desk/compare/compare.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { edited } from '../../../core/desk/history.ts';
import { kitKinds, type Kit } from '../../../core/desk/kits/kit.ts';
import { MOST_IN_KIT, wears } from '../../../core/desk/ready/ready.ts';
import { kitOf } from '../../../core/desk/kits/mannequin.ts';
import { KIT_ENDING, BUNDLE_ENDING } from '../../../core/bundle/bundle.ts';
import { api } from '../../api/client.ts';
import { loadLooks, useLooks } from '../../session/looks.ts';
import { allKits, loadKits, useKits } from '../../session/kits.ts';
import { editAndSay } from '../../session/said-undo.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import { FileButton } from '../../ui/file-button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Section } from '../../ui/section.tsx';
import { box } from '../../ui/box.ts';
import { sayOf } from '../../ui/toast.ts';
import { useWearing } from './wearing.ts';

/** Differences of a newer version that are told; the others are counted. */
const MOST_DIFFERENCES = 6;

/** A newer version of the kit that is worn, and what is otherwise in it. */
export function Newer({ desk }: { desk: Desk }) {
  const kits = useKits();
  const { wears } = desk;
  const kit = allKits(kits).find(({ id }) => id === wears?.kit);
  const newer = wears && kit && kit.version > wears.version ? kit : null;
  const differing = useMemo(() => {
    if (!newer) return [];
    const put = edits.wearKit(newer, desk.wears?.kinds ?? []);
    const worn = edited(desk, put.apply);
    return compare(desk, desk, worn).flatMap(({ title, entries }) =>
      entries.map((entry) => ({ ...entry, key: `${title} ${entry.key}`, of: title })),
    );
  }, [newer, desk]);
  if (!wears) return null;
  return (
    <div className="mb-4 text-dust">
      <p className="flex min-h-8 items-center gap-2">
        <span className="min-w-0 truncate">
          Wears {wears.name}
          {differing.length > 0 && ', of which there is a newer version'}
        </span>
        {newer && differing.length > 0 && (
          <Button
            className="ml-auto shrink-0"
            onClick={() =>
              editAndSay(
                named(`Take up the newer ${newer.name}`, edits.wearKit(newer, wears.kinds)),
                `Wears ${newer.name} as it is now.`,
              )
            }
          >
            Take it up
          </Button>
        )}
      </p>
      {differing.slice(0, MOST_DIFFERENCES).map(({ key, of, title, here, there }) => (
        <p key={key} className="truncate text-[12px]" title={`${of}: ${title}, ${here.text} → ${there.text}`}>
          {title} <span className="text-chalk">{here.text}</span> →{' '}
          <span className="text-chalk">{there.text}</span>
        </p>
      ))}
      {differing.length > MOST_DIFFERENCES && (
        <p className="text-[12px]">And {differing.length - MOST_DIFFERENCES} more.</p>
      )}
    </div>
  );
}

/** Says what came of some work with kits. */
const attempt = (work: () => Promise<unknown>, done: string) => sayOf(work, done).then(loadKits);

/** What can be done with a kit that was kept. */
export function Manage({ kit, desk }: { kit: Kit; desk: Desk }) {
  return (
    <>
      <Button
        onClick={() =>
          void attempt(() => api.changeKit(kitOf(desk, kit)), `${kit.name} has this desk’s dress now.`)
        }
      >
        Renew from this desk
      </Button>
      <a
        href={api.kitBundleAddress(kit.id)}
        download
        aria-label={`Save ${kit.name} as a file`}
        data-tip="Save as a file"
        className="grid size-8 place-items-center rounded-lg text-dust hover:bg-nap hover:text-chalk"
      >
        <Download size={16} />
      </a>
      <IconButton
        label={`Take ${kit.name} off the shelf`}
        className="hover:!text-rust"
        onClick={() =>
          void attempt(async () => {
            await api.removeKit(kit.id);
            useWearing.setState({ told: null });
          }, `${kit.name} is off the shelf.`)
        }
      >
        <Trash2 size={16} />
      </IconButton>
    </>
  );
}

/** What is said of a kept kit, to be said otherwise. */
export function Details({ kit }: { kit: Kit }) {
  const [said, say] = useState({ name: kit.name, by: kit.by, notes: kit.notes });
  const isSame = said.name === kit.name && said.by === kit.by && said.notes === kit.notes;
  const put = () =>
    attempt(async () => {
      const name = said.name.trim();
      useWearing.setState({ told: await api.changeKit({ ...kit, ...said, name, by: said.by.trim() }) });
    }, `The details of ${kit.name} are kept.`);
  return (
    <Fold label="Details" value={kit.by ? `by ${kit.by}` : 'no maker said'} note="change">
      {() => (
        <form
          className="mt-2 grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void put();
          }}
        >
          <Text
            label="Its name"
            value={said.name}
            placeholder="Name"
            most={120}
            onChange={(name) => say({ ...said, name })}
          />
          <Text
            label="Its maker"
            value={said.by}
            placeholder="Made by"
            most={120}
            onChange={(by) => say({ ...said, by })}
          />
          <Text
            label="Its notes"
            value={said.notes}
            placeholder="Notes"
            most={2000}
            onChange={(notes) => say({ ...said, notes })}
          />
          <Button type="submit" className="justify-self-start" disabled={isSame || said.name.trim() === ''}>
            Keep the details
          </Button>
        </form>
      )}
    </Fold>
  );
}

/** This desk's dress, kept for all desks; and kits from files. */
export function KeepDress({ desk }: { desk: Desk }) {
  const [name, setName] = useState('');
  const [by, setBy] = useState('');
  const [notes, setNotes] = useState('');
  const ticks = useWearing((state) => state.ticks);
  const kinds = kitKinds.filter(({ key }) => ticks.has(key)).map(({ key }) => key);
  const wanted = name.trim() || desk.name;
  const keep = () =>
    attempt(async () => {
      await loadLooks();
      // Those looks of one's own that the desk wears go with it.
      const looks =
        useLooks
          .getState()
          .own?.filter((look) => wears(desk, look))
          .slice(0, MOST_IN_KIT) ?? [];
      const facts = { id: nanoid(12), name: wanted, version: 1, by: by.trim(), notes, looks, kinds };
      await api.addKit(kitOf(desk, facts));
      setName('');
      setNotes('');
    }, `${wanted} is kept, for all desks.`);
  return (
    <Section title="Keep this desk’s dress" note={`${kinds.length} of ${kitKinds.length} kinds`}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <Text label="Name of the kit" value={name} placeholder={desk.name} most={120} onChange={setName} />
        <Text label="Made by" value={by} placeholder="Made by" most={120} onChange={setBy} />
        <Text label="Notes on the kit" value={notes} placeholder="Notes" most={2000} onChange={setNotes} />
        <div className="flex flex-wrap gap-2">
          <Button type="submit" disabled={kinds.length === 0}>
            Keep as a kit
          </Button>
          <FileButton
            label="Kit file"
            accept={`${KIT_ENDING},${BUNDLE_ENDING}`}
            onFile={(file) => void attempt(() => api.importKit(file), `${file.name} is among the kits.`)}
          >
            <FileUp size={15} /> From a file
          </FileButton>
        </div>
      </form>
      <p className="text-[12px] text-dust">
        A kit has how things look, for all desks: no texts, places, addresses or applications of yours go with
        it.
      </p>
    </Section>
  );
}

function Text({
  label,
  value,
  placeholder,
  most,
  onChange,
}: {
  label: string;
  value: string;
  placeholder: string;
  most: number;
  onChange: (value: string) => void;
}) {
  return (
    <input
      aria-label={label}
      value={value}
      placeholder={placeholder}
      maxLength={most}
      onChange={(event) => onChange(event.target.value)}
      className={box}
    />
  );
}
