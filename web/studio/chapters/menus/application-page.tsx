import { ImageUp, Trash2 } from 'lucide-react';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Application } from '../../../../core/desk/shapes/applications.ts';
import { iconNames } from '../../../../core/icons/names.ts';
import { categoryTitles, mainCategories, mainCategoryOf } from '../../../../core/menus/categories.ts';
import { DeskIcon, DeskIcons } from '../../../render/kit/icons.tsx';
import { useDesk } from '../../../session/desk.ts';
import { useScene } from '../../../session/scene.ts';
import { useView } from '../../../stores/view.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { SelectField } from '../../../ui/choice.tsx';
import { FileButton } from '../../../ui/file-button.tsx';
import { Row, Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { takeOwnIcon } from '../../pictures/own-icon.ts';
import { editAndSay } from '../../../session/said-undo.ts';
import { UsedBy } from '../../parts/used-by.tsx';
import { saveBytes } from '../../pictures/download.ts';

/** One application: what it is called, looks like and opens. */
export function ApplicationPage({ desk, application }: { desk: Desk; application: Application }) {
  const { id, Name, Icon, Categories, Actions } = application;
  const { turn, edit, endGesture } = useDesk.getState();
  const set = (change: Partial<Application>, label: string) =>
    named(`${Name}: ${label.toLowerCase()}`, edits.setApplication(id, change));
  const main = mainCategoryOf(Categories);
  return (
    <>
      <Section title="What it is">
        <Fields
          schema={Application}
          values={application}
          onTurn={(change, label) => turn(set(change, label))}
          onEnd={endGesture}
        />
        <Row label="Category">
          <SelectField
            label="Category"
            value={main}
            choices={mainCategories.map((one) => ({ value: one, label: categoryTitles[one] }))}
            onChange={(next) => {
              const others = Categories.filter((one) => mainCategoryOf([one]) !== main || one === next);
              void edit(set({ Categories: next === 'Other' ? [] : [next, ...others] }, 'Category'));
            }}
          />
        </Row>
        {Actions.length > 0 && (
          <p className="pt-1 text-[12px] text-dust">
            Also starts with: {Actions.map((action) => action.Name).join(', ')}.
          </p>
        )}
      </Section>
      <IconChoice chosen={Icon} onChoose={(icon) => void edit(set({ Icon: icon }, 'Icon'))} name={Name} />
      <UsedBy desk={desk} to="application" id={id} />
      <Section title="This application">
        <div className="flex flex-wrap gap-1.5">
          <Button onClick={() => void giveOut(application)}>Give out as .desktop</Button>
          <IconButton
            label={`Remove ${Name}`}
            onClick={() => {
              if (
                editAndSay(
                  named(`Remove ${Name}`, edits.removeApplications([id])),
                  `Removed ${Name}, and what started it.`,
                )
              )
                useView.getState().goToChapter('menus', 'applications');
            }}
          >
            <Trash2 size={16} />
          </IconButton>
        </div>
      </Section>
    </>
  );
}

async function giveOut(application: Application): Promise<void> {
  const [{ writeDesktopEntry }, { fileName }] = await Promise.all([
    import('../../../../core/applications/desktop-entry.ts'),
    import('../../../../core/applications/entry-files.ts'),
  ]);
  saveBytes(writeDesktopEntry(application), fileName(application), 'application/x-desktop');
}

/** The icons of the desk's set, and one of one's own. */
function IconChoice({
  chosen,
  name,
  onChoose,
}: {
  chosen: string;
  name: string;
  onChoose: (icon: string) => void;
}) {
  const icons = useScene((state) => state.scene?.icons);
  if (!icons) return null;
  return (
    <Section title="Icon" note="from the desk’s set">
      <DeskIcons icons={icons}>
        <div className="grid grid-cols-7 gap-1" role="group" aria-label="Icon">
          {iconNames.map((icon) => (
            <button
              key={icon}
              type="button"
              aria-label={icon}
              aria-pressed={icon === chosen}
              onClick={() => onChoose(icon)}
              className="grid aspect-square place-items-center rounded-lg bg-nap hover:outline hover:outline-brass/70 aria-pressed:outline-2 aria-pressed:outline-brass aria-pressed:outline"
            >
              <DeskIcon name={icon} size={20} />
            </button>
          ))}
        </div>
      </DeskIcons>
      <div className="mt-1">
        <FileButton
          label={`Icon file for ${name}`}
          accept="image/svg+xml,image/png"
          onFile={(file) => void takeOwnIcon(file, name, onChoose)}
        >
          <ImageUp size={15} /> SVG or PNG of yours…
        </FileButton>
      </div>
    </Section>
  );
}
