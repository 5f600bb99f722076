import { Download, Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { Kit } from '../../core/desk/kits/kit.ts';
import { api } from '../api/client.ts';
import { Miniature } from '../render/screen/miniature.tsx';
import { prepareDrawing } from '../session/drawing.ts';
import { loadKits, useKits } from '../session/kits.ts';
import { IconButton } from '../ui/buttons.tsx';
import { toast } from '../ui/toast.ts';

/** The kits that were kept, on a ledge of their own: dress for all desks. */
export function KitsOnLedge({ moment }: { moment: number }) {
  const kept = useKits((state) => state.kept);
  useEffect(() => void loadKits(), []);
  if (!kept || kept.length === 0) return null;
  return (
    <section aria-label="Kits" className="mt-14">
      <h2 className="font-display text-[20px]">Kits</h2>
      <p className="mb-5 text-dust">
        How things look, for all desks. They are put on in the studio, under Look.
      </p>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(180px,1fr))] gap-x-8 gap-y-7">
        {kept.map((kit) => (
          <KitOnLedge key={kit.id} kit={kit} moment={moment} />
        ))}
      </ul>
    </section>
  );
}

function KitOnLedge({ kit, moment }: { kit: Kit; moment: number }) {
  const { id, name, by, desk } = kit;
  const isLearned = useLearned(kit);
  async function remove() {
    try {
      await api.removeKit(id);
      toast(`${name} is off the shelf.`, {
        action: { label: 'Undo', onClick: () => void api.restoreKit(id).then(loadKits, say) },
      });
    } catch (error) {
      say(error);
    }
    await loadKits();
  }
  return (
    <li data-kit={id} className="min-w-0">
      <Miniature desk={desk} moment={moment} isBare={!isLearned} />
      <div className="mt-1 h-[3px] rounded-full bg-brass/45" />
      <div className="mt-1 flex items-center gap-1">
        <span className="min-w-0 flex-1 truncate">
          {name} <span className="text-[12px] text-dust">{by}</span>
        </span>
        <a
          href={api.kitBundleAddress(id)}
          download
          aria-label={`Save ${name} as a file`}
          data-tip="Save as a file"
          className="grid size-7 place-items-center rounded-lg text-dust hover:bg-nap hover:text-chalk"
        >
          <Download size={15} />
        </a>
        <IconButton
          label={`Take ${name} off the shelf`}
          className="!size-7 hover:!text-rust"
          onClick={() => void remove()}
        >
          <Trash2 size={15} />
        </IconButton>
      </div>
    </li>
  );
}

const say = (error: unknown) => void toast.error((error as Error).message);

/** Whether what a kit's desk shows is here to be drawn. */
function useLearned({ desk }: Kit): boolean {
  const [learned, setLearned] = useState<object | null>(null);
  useEffect(() => {
    let isWanted = true;
    void prepareDrawing(desk).then(() => isWanted && setLearned(desk));
    return () => {
      isWanted = false;
    };
  }, [desk]);
  return learned === desk;
}
