import { FileButton } from '../../../ui/file-button.tsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { Download, FolderOpen } from 'lucide-react';
import { useState } from 'react';
import { toast } from '../../../ui/toast.ts';
import { resolveRoles } from '../../../../core/colour/roles.ts';
import { drawRoles } from '../../../../core/colour/scheme.ts';
import { terminalOf } from '../../../../core/colour/terminal.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Colours, ReadColours } from '../../../../core/exchange/colours.ts';
import { exchanges, MOST_COLOUR_FILE, type ExchangeName } from '../../../../core/exchange/exchange.ts';
import type { Look } from '../../../../core/look/schema.ts';
import type { Half } from '../../../../core/values/roles.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { Section } from '../../../ui/section.tsx';
import { readInWorker } from '../../../workers/files.ts';
import { WorkProblem } from '../../../workers/remote.ts';
import { saveBytes } from '../../pictures/download.ts';
import { useHalf } from '../../../session/scene.ts';

/** The desk's colours as other programs read them. */
function coloursOf(look: Look): Colours {
  const of = (half: Half) => resolveRoles(look.roles[half]);
  const terminal = (half: Half) => look.terminal[half] ?? terminalOf(of(half));
  return {
    name: presentDesk()?.name ?? 'Desk',
    roles: { light: of('light'), dark: of('dark') },
    terminal: { light: terminal('light'), dark: terminal('dark') },
  };
}

/** Colours go out and come in, in open formats. */
export function ExchangePage({ look }: { look: Look }) {
  const half = useHalf();
  return (
    <>
      <Out half={half} look={look} />
      <In half={half} />
    </>
  );
}

function Out({ half, look }: { half: Half; look: Look }) {
  function save(name: ExchangeName) {
    const { write, ending, type } = exchanges[name];
    const stem = (presentDesk()?.name ?? 'desk').replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
    saveBytes(write(coloursOf(look), half), stem + ending, type);
  }
  return (
    <Section title="Out">
      {(Object.keys(exchanges) as ExchangeName[]).map((name) => (
        <button
          key={name}
          type="button"
          onClick={() => save(name)}
          className="flex h-10 items-center gap-2.5 rounded-lg bg-nap px-3 text-left hover:outline hover:outline-brass/70"
        >
          <Download size={15} className="text-dust" />
          <span className="font-medium">{exchanges[name].title}</span>
          <span className="ml-auto font-mono text-[12px] text-dust">{exchanges[name].ending}</span>
        </button>
      ))}
      <p className="text-[12px] text-dust">
        The first three hold the roles, of both halves; X resources hold the terminal of the {half} half.
      </p>
    </Section>
  );
}

/** Makes the desk's colours those of a file; a sentence says what became of them. */
function takeColours(found: ReadColours, half: Half, name: string): string {
  const { edit } = useDesk.getState();
  if (found.terminal) {
    edit(named('Terminal colours from a file', edits.setTerminal(half, found.terminal)));
    return `The terminal of the ${half} half has the colours of ${name}.`;
  }
  const count = Object.values(found.roles).reduce((sum, roles) => sum + Object.keys(roles).length, 0);
  if (count > 0) {
    edit(named('Colours from a file', edits.setRoles(found.roles)));
    return `${count} roles have the colours of ${name}.`;
  }
  // Colours without a place: a palette is drawn from them, as from a picture's.
  const swatches = found.swatches
    .slice(0, 24)
    .map(({ colour }) => ({ colour, share: 1 / found.swatches.length }));
  edit(named('Palette from a file', edits.drawPalette(drawRoles(swatches, 'calm'))));
  return `A palette was drawn from the ${found.swatches.length} colours of ${name}.`;
}

function In({ half }: { half: Half }) {
  const [failure, setFailure] = useState<string | null>(null);
  const [unread, setUnread] = useState<ReadColours['unread']>([]);

  async function take(chosen: File) {
    let found: ReadColours | null = null;
    let why: string | null = null;
    try {
      if (chosen.size > MOST_COLOUR_FILE) why = 'is larger than a file of colours can be';
      else {
        const text = await chosen.text();
        found = await readInWorker((readers) => readers.readColours(text));
      }
    } catch (error) {
      why = `was not taken: ${error instanceof WorkProblem ? error.message : 'it can’t be read'}`;
    }
    setUnread(found?.unread ?? []);
    setFailure(
      found
        ? null
        : why
          ? `${chosen.name} ${why}. Nothing was changed.`
          : `${chosen.name} holds no colours that can be read: design tokens, CSS properties, a GPL palette or X resources. Nothing was changed.`,
    );
    if (!found) return;
    toast(takeColours(found, half, chosen.name), {
      action: { label: 'Undo', onClick: useDesk.getState().undo },
    });
  }
  return (
    <Section title="In">
      <div>
        <FileButton label="Colour file" onFile={(chosen) => void take(chosen)}>
          <FolderOpen size={15} /> Read a file…
        </FileButton>
      </div>
      {failure && (
        <p role="alert" className="text-[12px] text-rust">
          {failure}
        </p>
      )}
      <Unread unread={unread} />
      <p className="text-[12px] text-dust">
        Colours named as roles go where they belong; from others a palette is drawn.
      </p>
    </Section>
  );
}

function Unread({ unread }: { unread: ReadColours['unread'] }) {
  if (unread.length === 0) return null;
  return (
    <div className="text-[12px]">
      <p className="text-rust">
        {unread.length === 1 ? 'One thing' : `${unread.length} things`} in the file could not be read as a
        colour:
      </p>
      <ul className="mt-1 max-h-40 overflow-y-auto rounded-lg bg-pit p-2 font-mono text-[11.5px] text-dust">
        {unread.map(({ name, value }, index) => (
          <li key={index} className="truncate" title={`${name} ${value}`}>
            {name && `${name}: `}
            {value}
          </li>
        ))}
      </ul>
    </div>
  );
}
