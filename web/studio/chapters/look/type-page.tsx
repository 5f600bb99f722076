import { FileButton } from '../../../ui/file-button.tsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { FolderOpen } from 'lucide-react';
import { toast } from '../../../ui/toast.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { FontUse, uses, type Use } from '../../../../core/text/schema.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { api } from '../../../api/client.ts';
import { Fields } from '../../form/form.tsx';
import { fontStack } from '../../../render/kit/type.ts';
import { prepareChanged } from '../../../session/drawing.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { Section } from '../../../ui/section.tsx';

const useTitles: Record<Use, { title: string; note: string; sample: string }> = {
  display: { title: 'Display', note: 'large times and names', sample: 'High water' },
  text: { title: 'Text', note: 'labels and sentences', sample: 'Redshank on the ebb' },
  figures: { title: 'Figures', note: 'meters and counts', sample: '07:12  54.61  1107' },
};

/** Three uses of type: which family, how large, how heavy, how wide set. */
export function TypePage({ look }: { look: Look }) {
  const { turn, endGesture } = useDesk.getState();
  const change = (use: Use, to: Partial<FontUse>) => ({
    fonts: { ...look.fonts, [use]: { ...look.fonts[use], ...to } },
  });
  return (
    <>
      {uses.map((use) => {
        const font = look.fonts[use];
        const { title, note, sample } = useTitles[use];
        return (
          <Section key={use} title={title} note={note}>
            <p
              className="truncate rounded-lg bg-pit px-3 py-2 leading-snug"
              style={{
                fontFamily: fontStack(font.family),
                fontSize: Math.min(26, (20 * font.size) / 100),
                fontWeight: 400 + font.weight,
                letterSpacing: `${font.spacing / 100}em`,
              }}
            >
              {sample}
            </p>
            <Fields
              schema={FontUse}
              values={font}
              of={title}
              onTurn={(to) => turn(named('Type', edits.setLook(change(use, to))))}
              onEnd={endGesture}
            />
          </Section>
        );
      })}
      <OwnFont />
    </>
  );
}

function OwnFont() {
  async function take(chosen: File) {
    const id = presentDesk()?.id;
    const work = api.addFont(chosen).then(async (font) => {
      if (presentDesk()?.id !== id) return font;
      useDesk.getState().edit(named(`Add ${font.name}`, edits.addFont(font)));
      const desk = presentDesk();
      if (desk) await prepareChanged(desk);
      return font;
    });
    toast.promise(work, {
      loading: `Checking ${chosen.name}…`,
      success: (font) => `${font.name} can be chosen for each use.`,
      error: (error: Error) => `${chosen.name}: ${error.message}`,
    });
    await work.catch(() => {});
  }
  return (
    <Section title="A font of yours" note="WOFF2, WOFF, TTF, OTF">
      <div>
        <FileButton
          label="Font file"
          accept=".woff2,.woff,.ttf,.otf,font/woff2,font/ttf,font/otf"
          onFile={(chosen) => void take(chosen)}
        >
          <FolderOpen size={15} /> Choose a font…
        </FileButton>
      </div>
      <p className="text-[12px] text-dust">
        It is checked before it is used, and leaves with the desk in its bundle.
      </p>
    </Section>
  );
}
