import { Moon, Sun } from 'lucide-react';
import type { ReactNode } from 'react';
import { lookAtHalf, useHalf } from '../../../session/scene.ts';
import { Segmented } from '../../../ui/choice.tsx';

/** The half to look at; which one the desk shows by itself is set under Look. */
export function HalfChoice() {
  const half = useHalf();
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
      onChange={lookAtHalf}
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
