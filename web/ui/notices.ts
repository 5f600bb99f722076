import { lengthTold } from '../../core/sources/units.ts';
import type { About } from '../../core/wire/wire.ts';
import { toast } from './toast.ts';

/** What a person should know of the server and of this machine: said once each, and plainly, when it happens. */

const LONG = 60_000;
/** Bytes under which a disk is nearly full. */
const LITTLE_ROOM = 200 * 2 ** 20;

/** The script that this page runs; null where it was not built, as while the program is worked on. */
const ownBuild = document.querySelector('script[src^="/assets/"]')?.getAttribute('src') ?? null;

/** Says what of the server matters: that this page is an older one's, or that its disk is nearly full. */
export function hearAbout({ build, room }: About): void {
  if (build !== null && ownBuild !== null && build !== ownBuild)
    toast.warning(
      'This page was given by an older server: load it again, so that both understand each other.',
      {
        id: 'old-page',
        duration: Infinity,
        action: { label: 'Load again', onClick: () => location.reload() },
      },
    );
  if (room !== null && room < LITTLE_ROOM)
    toast.warning(
      `The disk of the server is nearly full: ${Math.floor(room / 2 ** 20)} MB are left. Make room, or nothing can be kept before long.`,
      { id: 'little-room', duration: LONG },
    );
}

/** ms that a clock may be set back unnoticed: small ones are how it keeps right. */
const NO_MATTER = 120_000;
const startOf = () => Date.now() - performance.now();
let start = startOf();

/** Says that this machine's clock was set back, where it was since this was last asked. */
export function watchClock(): void {
  const now = startOf();
  const back = start - now;
  start = now;
  if (back > NO_MATTER)
    toast.warning(
      `This machine’s clock was set back by ${lengthTold(back / 1000)}. What is kept from now on bears the time it shows; nothing that was kept is lost.`,
      { id: 'clock', duration: LONG },
    );
}
