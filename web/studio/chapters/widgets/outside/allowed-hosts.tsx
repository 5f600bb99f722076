import { useEffect, useState } from 'react';
import { X } from 'lucide-react';
import { api } from '../../../../api/client.ts';
import { useConditions } from '../../../../session/conditions.ts';
import { IconButton } from '../../../../ui/buttons.tsx';
import { Section } from '../../../../ui/section.tsx';
import { toast } from '../../../../ui/toast.ts';

/** Hosts of one's own network that the server may read from, each with a way to take that back. */
export function AllowedHosts() {
  const [hosts, setHosts] = useState<readonly string[]>([]);
  // One that was allowed just now makes what is read from it come in.
  const feeds = useConditions((state) => state.feeds);
  useEffect(() => {
    let isStale = false;
    // With the server gone there is nothing to show, and nothing to be taken back.
    api.hosts().then(
      (found) => !isStale && setHosts(found),
      () => undefined,
    );
    return () => {
      isStale = true;
    };
  }, [feeds]);
  if (hosts.length === 0) return null;
  const refuse = (host: string) =>
    api.refuseHost(host).then(setHosts, (error: Error) => void toast.warning(error.message));
  return (
    <div className="mt-4">
      <Section title="Allowed in your own network">
        <ul className="grid gap-1">
          {hosts.map((host) => (
            <li key={host} className="flex h-8 items-center justify-between rounded-lg bg-nap pl-3">
              <span className="truncate font-mono text-[12px]">{host}</span>
              <IconButton label={`No more from ${host}`} onClick={() => void refuse(host)}>
                <X size={14} />
              </IconButton>
            </li>
          ))}
        </ul>
      </Section>
    </div>
  );
}
