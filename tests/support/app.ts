import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Desk } from '../../core/desk/desk.ts';
import { chromium, type Browser, type BrowserContext, type Locator, type Page } from 'playwright-core';
import { removeFolder } from './folders.ts';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** The real server, as a process of its own, on a data folder of its own. */
export class RunningServer {
  #child: ChildProcess | null = null;
  readonly folder = mkdtempSync(join(tmpdir(), 'velvet-e2e-'));
  port = 0;

  get pid(): number {
    return this.#child?.pid ?? 0;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const args = ['server/start.mjs', '--demo', '--data', this.folder, '--port', String(this.port)];
    const child = spawn(process.execPath, args, { cwd: root, stdio: ['ignore', 'pipe', 'inherit'] });
    this.#child = child;
    let said = '';
    for await (const chunk of child.stdout) {
      said += String(chunk);
      const port = /http:\/\/127\.0\.0\.1:(\d+)/.exec(said)?.[1];
      if (port) {
        this.port = Number(port);
        return;
      }
    }
    throw new Error(`The server did not start: ${said}`);
  }

  /** Ends it at once, as a crash would. */
  async kill(): Promise<void> {
    const child = this.#child;
    this.#child = null;
    if (!child || child.exitCode !== null) return;
    const gone = once(child, 'exit');
    child.kill('SIGKILL');
    await gone;
  }

  async end(): Promise<void> {
    await this.kill();
    removeFolder(this.folder);
  }
}

/**
 * What the browser leaves alone. It would load pages of its own for each window (what might pop up under its address bar),
 * which takes longer than ours; the others ask for what lies outside, or hold painting back.
 */
const NOT_WANTED = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
  'PreloadTopChromeWebUI',
  'AimEnabled',
  'DialMediaRouteProvider',
  'GlobalMediaControls',
  'HttpsUpgrades',
  'LensOverlay',
  'MediaRouter',
  'NetworkTimeServiceQuerying',
  'OptimizationHints',
  'PaintHolding',
  'PreconnectToSearch',
  'ThirdPartyStoragePartitioning',
  'Translate',
];

/** A browser, with `more` on its command line. */
export function launchBrowser(more: readonly string[] = []): Promise<Browser> {
  return chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      `--disable-features=${NOT_WANTED.join(',')}`,
      ...more,
    ],
  });
}

/**
 * Contexts of a browser for one page after another: what is fetched once need not be fetched again, and nothing else is
 * left of a page. A context that a test asked for is its own: it may have been changed.
 */
class Contexts {
  readonly #browser: Browser;
  readonly #free: BrowserContext[] = [];
  readonly #changed = new WeakSet<Page>();

  constructor(browser: Browser) {
    this.#browser = browser;
  }

  async newPage(): Promise<Page> {
    const page = await (this.#free.pop() ?? (await this.#create())).newPage();
    for (const name of ['context', 'clock'] as const) {
      const own: unknown = page[name];
      const get = () => {
        this.#changed.add(page);
        return own instanceof Function ? (own.bind(page) as unknown) : own;
      };
      Object.defineProperty(page, name, { get });
    }
    return page;
  }

  /** Takes a page's context back without the page and what it kept, if nothing else became of it. */
  async giveBack(page: Page, isSettled: boolean, origin: string): Promise<void> {
    const isChanged = this.#changed.has(page);
    const context = page.context();
    if (isChanged || !isSettled || page.isClosed() || context.pages().length > 1) return context.close();
    await page.goto('about:blank');
    const session = await context.newCDPSession(page);
    await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
    await page.close();
    this.#free.push(context);
  }

  async #create(): Promise<BrowserContext> {
    const context = await this.#browser.newContext({
      viewport: { width: 1280, height: 800 },
      colorScheme: 'dark',
      acceptDownloads: true,
    });
    // Long, so that a busy machine fails no test: what is waited for comes, or never.
    context.setDefaultTimeout(45_000);
    return context;
  }
}

/**
 * What the test files that one process runs after another share: a browser, and the port of their servers, so that the
 * browser knows the interface's files by the address that it has read them from.
 */
const shared: { browser: Promise<Browser> | null; contexts: Contexts | null; port: number } = {
  browser: null,
  contexts: null,
  port: 0,
};

/** The browser of all files; it ends with the process. A new one where it has gone. */
async function sharedBrowser(): Promise<{ browser: Browser; contexts: Contexts }> {
  let browser = await (shared.browser ??= launchBrowser());
  if (!browser.isConnected() || !shared.contexts) {
    if (!browser.isConnected()) browser = await (shared.browser = launchBrowser());
    shared.contexts = new Contexts(browser);
  }
  return { browser, contexts: shared.contexts };
}

async function ownBrowser(more: readonly string[]): Promise<{ browser: Browser; contexts: Contexts }> {
  const browser = await launchBrowser(more);
  return { browser, contexts: new Contexts(browser) };
}

/** Starts a server on the port of the ones before it, or on another one where that is taken. */
async function startOnSharedPort(server: RunningServer): Promise<void> {
  server.port = shared.port;
  await server.start().catch(() => {
    server.port = 0;
    return server.start();
  });
  shared.port = server.port;
}

/** The tests of a file share one server, on a folder of its own; each gets a page with storage of its own. */
export function withApp(
  title: string,
  define: (app: {
    server: RunningServer;
    /** Opens a page; `at` is a moment at which its clock stands still; `prepare` is done before it asks for anything. */
    open: (path: string, at?: Date, prepare?: (page: Page) => Promise<unknown>) => Promise<Page>;
    browser: () => Browser;
  }) => void,
  /** On the command line of the browser, which is then its own. */
  more: readonly string[] = [],
): void {
  describe(title, () => {
    const server = new RunningServer();
    let browser: Browser;
    let contexts: Contexts;
    const pages: Page[] = [];

    before(async () => {
      [{ browser, contexts }] = await Promise.all([
        more.length > 0 ? ownBrowser(more) : sharedBrowser(),
        startOnSharedPort(server),
      ]);
    });
    after(async () => {
      if (more.length > 0) await browser.close();
      await server.end();
    });
    afterEach(async function () {
      if (this.currentTest?.state === 'failed' && process.env['SHOW_FAILURES']) {
        for (const [index, page] of pages.entries())
          await page.screenshot({ path: join(tmpdir(), `failed-${index}.png`) });
      }
      for (const page of pages.splice(0)) {
        // The next test shall find what this one left, not what it hadn't saved yet.
        const isSettled = this.currentTest?.state === 'passed' && (await untilSettled(page));
        await contexts.giveBack(page, isSettled, server.address);
      }
      if (server.pid === 0) await server.start();
    });

    define({
      server,
      browser: () => browser,
      async open(path, at, prepare) {
        const page = await contexts.newPage();
        page.on('pageerror', (error) => {
          throw error;
        });
        pages.push(page);
        if (at) await page.clock.setFixedTime(at);
        await prepare?.(page);
        await openOn(page, server, path);
        return page;
      },
    });
  });
}

export async function centreOf(locator: Locator): Promise<{ x: number; y: number }> {
  const box = await locator.boundingBox();
  if (!box) throw new Error('Not on the page');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** Takes something by its middle and moves the pointer in steps; the button stays down. */
export async function take(page: Page, what: Locator, by: { x: number; y: number }): Promise<void> {
  const { x, y } = await centreOf(what);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + by.x / 3, y + by.y / 3);
  await page.mouse.move(x + by.x, y + by.y, { steps: 8 });
  await drawn(page);
}

export async function drag(page: Page, what: Locator, by: { x: number; y: number }): Promise<void> {
  await take(page, what, by);
  await page.mouse.up();
  await drawn(page);
}

/** Once what the pointer did is drawn: a browser says that it moved before the page has heard of it. */
export async function drawn(page: Page): Promise<void> {
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}

/** Chooses an edge by its grip: it may be full of items, which are taken by themselves. */
export const chooseEdge = (page: Page, id: string) =>
  page.locator(`[data-grip="${id}"]`).click({ force: true });

export const handle = (page: Page, id: string) => page.locator(`[data-handle="${id}"]`);

/** The revision that a page was last seen to have kept, by desk. */
const lastKept = new WeakMap<Page, Map<string, number>>();

function keptBy(page: Page): Map<string, number> {
  const known = lastKept.get(page) ?? new Map<string, number>();
  lastKept.set(page, known);
  return known;
}

function deskOf(page: Page): string {
  return /\/desk\/([^/?#]+)/.exec(page.url())?.[1] ?? '';
}

/**
 * Waits until what was done on a page since it was last kept (or opened) is kept: until the header names a newer
 * revision, never for a rest that was there before. Give `isNew: false` where nothing may have changed.
 */
export async function untilKept(page: Page, { isNew = true } = {}): Promise<void> {
  const kept = keptBy(page);
  const desk = deskOf(page);
  const before = isNew ? (kept.get(desk) ?? -1) : -1;
  const handle = await page.waitForFunction((old) => {
    const revision = Number(document.querySelector('[data-saving="kept"]')?.getAttribute('data-revision'));
    return revision > old ? revision : null;
  }, before);
  kept.set(desk, (await handle.jsonValue()) ?? before);
}

/** Opens an address on a page; what is kept from then on is newer than what the server has now. */
async function openOn(page: Page, server: RunningServer, path: string): Promise<void> {
  const desk = /^\/desk\/([^/?#]+)/.exec(path)?.[1];
  if (desk) {
    const { revision } = await stored(server, desk);
    keptBy(page).set(desk, revision ?? -1);
  }
  await page.goto(server.address + path);
}

/** Waits until a page with a desk open has kept it; false for pages that tests have closed or left unsaved. */
async function untilSettled(page: Page): Promise<boolean> {
  const isSettled = () =>
    [...document.querySelectorAll('[data-saving]')].every((mark) => mark.matches('[data-saving="kept"]'));
  return page.waitForFunction(isSettled, undefined, { timeout: 5000 }).then(
    () => true,
    () => false,
  );
}

/** Puts a desk on the server's shelf; gives back the id that it has there. */
export async function addDesk(server: RunningServer, desk: Desk): Promise<string> {
  const response = await fetch(`${server.address}/api/desks`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(desk),
  });
  return ((await response.json()) as { desk: { id: string } }).desk.id;
}

/** The desk as the server has it. */
export async function stored(server: RunningServer, id: string) {
  const response = await fetch(`${server.address}/api/desks/${id}`);
  return (await response.json()) as { desk: Desk; revision: number };
}

/** The shelf's list as the server has it. */
export async function listed(server: RunningServer): Promise<{ id: string; name: string }[]> {
  const response = await fetch(`${server.address}/api/desks`);
  return (await response.json()) as { id: string; name: string }[];
}

/** Keeps files of the interface from a page, as if the server had gone before it gave them out, until let through. */
export class Withheld {
  readonly #files: string;
  #page: Page | null = null;
  /** How often such a file was asked for. */
  asked = 0;

  /** @param files the addresses, as Playwright takes them */
  constructor(files: string) {
    this.#files = files;
  }

  readonly prepare = async (page: Page): Promise<void> => {
    this.#page = page;
    await page.route(this.#files, (route) => (this.asked++, route.abort()));
    await page.route(isAsking, (route) =>
      route.request().method() === 'HEAD' ? route.abort() : route.fallback(),
    );
  };

  async letThrough(): Promise<void> {
    await this.#page?.unroute(this.#files);
    await this.#page?.unroute(isAsking);
  }
}

/** A page asks whether the server is there for the head of this address. */
const isAsking = (url: URL) => url.pathname === '/';
