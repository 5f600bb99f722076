import { Plus } from 'lucide-react';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { addEdge, titleOfEdge } from '../../acts.ts';

/** The edges of the screen on the stage. */
export function EdgesChapter() {
  const screen = useScreenInView();
  const edges = useDesk((state) => state.history?.present.edges) ?? [];
  const here = edges.filter((edge) => edge.screen === screen?.id);
  return (
    <>
      <Section title="On this screen" note="the first takes its side first">
        {here.length === 0 && (
          <p className="text-dust">No edge yet. A panel holds signs and menus, a dock starts applications.</p>
        )}
        {here.map((edge) => (
          <button
            key={edge.id}
            type="button"
            onClick={() => useView.getState().select([edge.id], 'edges')}
            className="flex h-11 items-center justify-between rounded-lg bg-nap px-3 text-left hover:outline hover:outline-brass/70"
          >
            <span className="font-medium">{titleOfEdge(edge)}</span>
            <span className="text-dust">
              {edge.side}, {edge.items.length} {edge.items.length === 1 ? 'item' : 'items'}
            </span>
          </button>
        ))}
      </Section>
      <div className="mt-4 flex gap-2">
        <Button onClick={() => addEdge('panel')}>
          <Plus size={15} /> Panel
        </Button>
        <Button onClick={() => addEdge('dock')}>
          <Plus size={15} /> Dock
        </Button>
      </div>
    </>
  );
}
