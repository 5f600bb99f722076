import { createServer, type Server } from 'node:http';
import { isIP, isIPv6 } from 'node:net';
import { networkInterfaces } from 'node:os';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { pino } from 'pino';
import { SAMPLE_SEED, SAMPLE_WIDTH, sampleOf } from '../core/backdrop/drawn.ts';
import { motifNames } from '../core/backdrop/names.ts';
import { createMotif } from '../core/desk/defaults.ts';
import { demoDesks } from '../demo/desks.ts';
import { createApp } from './app.ts';
import { StartProblem } from './db/open.ts';
import type { Renderer } from './pictures/render.ts';
import { root } from './root.ts';

const DEFAULT_PORT = 4680;
/** Bytes: a page names all that it wants to hear of in one address. */
const LONGEST_HEADERS = 65_536;
/** Whoever opens a page at once is given the processor first. */
const WARM_AFTER_MS = 8000;
const webFolder = join(root, 'dist/web');

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env['VELVET_LEDGE_PORT'] ?? String(DEFAULT_PORT) },
    host: { type: 'string', default: process.env['VELVET_LEDGE_HOST'] ?? '127.0.0.1' },
    data: { type: 'string', default: process.env['VELVET_LEDGE_DATA'] ?? 'data' },
    cache: { type: 'string', default: process.env['VELVET_LEDGE_CACHE'] ?? '' },
    'cache-size': { type: 'string', default: process.env['VELVET_LEDGE_CACHE_SIZE'] ?? '1024' },
    demo: { type: 'boolean', default: false },
  },
});

function stop(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

const log = pino({ level: process.env['VELVET_LEDGE_LOG'] ?? 'warn' });
const port = Number(values.port);
if (!Number.isInteger(port) || port < 0 || port > 65535)
  stop(`"${values.port}" is not a port: choose a number from 0 to 65535.`);

const cacheMiB = Number(values['cache-size']);
if (!(cacheMiB >= 16 && cacheMiB <= 1_000_000))
  stop(`"${values['cache-size']}" is not a size for the cache: choose MiB, from 16 on.`);

try {
  const { host } = values;
  const app = createApp({
    dataFolder: resolve(values.data),
    ...(values.cache ? { cacheFolder: resolve(values.cache) } : {}),
    cacheBytes: cacheMiB * 2 ** 20,
    webFolder,
    hosts: ['127.0.0.1', 'localhost', '[::1]', ...namesOf(host)],
    report: (error) => log.error(error),
    ownPort: () => portOf(server),
  });
  // What nobody caught ends what it belongs to; what is saved lies on the disk by then, and all else goes on.
  process.on('uncaughtException', (error) => log.error(error));
  process.on('unhandledRejection', (error) => log.error(error));

  if (values.demo && app.desks.isEmpty())
    for (const desk of demoDesks().toReversed()) app.desks.create(desk, { keepId: true });

  const server = createServer({ maxHeaderSize: LONGEST_HEADERS }, app.express);
  server.on('error', (error) => {
    const { code } = error as NodeJS.ErrnoException;
    stop(
      code === 'EADDRINUSE'
        ? `Port ${port} is taken. Choose another with --port.`
        : `The server can't listen on ${host}:${port} (${code ?? error.message}).`,
    );
  });
  server.listen(port, host, () => {
    console.log(`Velvet Ledge is at http://${namesOf(host)[0]}:${portOf(server)}`);
    // Small pictures of the motifs, so that whoever chooses among them need not wait.
    const warm = () => void warmMotifs(app.renderer).catch((problem: unknown) => log.warn(problem));
    setTimeout(warm, WARM_AFTER_MS).unref();
  });

  const end = () => {
    app.close();
    server.close(() => process.exit(0));
    server.closeAllConnections();
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
} catch (error) {
  if (error instanceof StartProblem) stop(error.message);
  throw error;
}

/** The names by which a server is asked that listens on a host: an address of IPv6 stands in brackets. */
function namesOf(host: string): string[] {
  const inUrl = (address: string) =>
    isIPv6(address) ? new URL(`http://[${address.split('%')[0]}]`).hostname : address;
  // Whoever listens everywhere is asked by each of the machine's own addresses.
  const everywhere = isIP(host) && /^[0:.]+$/.test(host);
  const own = everywhere ? Object.values(networkInterfaces()).flatMap((all) => all ?? []) : [];
  return [host, ...own.map(({ address }) => address)].map(inUrl);
}

function portOf(server: Server): number | null {
  const address = server.address();
  return typeof address === 'object' && address ? address.port : null;
}

async function warmMotifs(renderer: Renderer): Promise<void> {
  for (const motif of motifNames)
    await renderer.backdrop(sampleOf(createMotif(motif, SAMPLE_SEED)), SAMPLE_WIDTH);
}
