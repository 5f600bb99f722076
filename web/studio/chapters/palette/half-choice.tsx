import { named } from '../../../../core/desk/edits/edit.ts';
import { Moon, Sun } from 'lucide-react';
import type { ReactNode } from 'react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { Segmented } from '../../../ui/choice.tsx';

/** The half to look at; choosing one ends its going by the sun or by hours. */
export function HalfChoice() {
  const half = useHalf();
  const { edit } = useDesk.getState();
  return (
    <Segmented
      label="Half"
      value={half}
      choices={[
        {
          value: 'light',
          label: 'Light half',
          icon: <HalfName icon={<Sun size={14} />} text="Light half" />,
        },
        { value: 'dark', label: 'Dark half', icon: <HalfName icon={<Moon size={14} />} text="Dark half" /> },
      ]}
      onChange={(next) =>
        edit(named(`Switch to the ${next} half`, edits.setHalf({ by: 'choice', half: next })))
      }
    />
  );
}

function HalfName({ icon, text }: { icon: ReactNode; text: string }) {
  return (
    <>
      {icon} {text}
    </>
  );
}
