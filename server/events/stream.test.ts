import { once } from 'node:events';
import { createServer, get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { expect } from 'chai';
import { createEvents } from './events.ts';
import { createStream, type Stream } from './stream.ts';

/** Large, as calendars are. */
const CALENDAR = 'BEGIN:VEVENT\n'.repeat(120_000);

describe('streams of events', () => {
  let server: Server;
  const opened: IncomingMessage[] = [];
  afterEach(() => {
    for (const one of opened.splice(0)) one.destroy();
    server.closeAllConnections();
    server.close();
  });

  async function serve(app: express.Express): Promise<number> {
    server = createServer(app).listen(0, '127.0.0.1');
    await once(server, 'listening');
    return (server.address() as AddressInfo).port;
  }

  const open = (port: number, path: string) =>
    new Promise<IncomingMessage>((resolve, reject) => {
      get({ port, path }, (answer) => {
        opened.push(answer);
        resolve(answer);
      }).on('error', reject);
    });

  it('bring what is large, one after the other, and go on', async () => {
    const names = ['1', '2', '3', '4'].map((origin) => `text/${origin}`);
    const events = createEvents({
      feeders: names.map((name) => ({
        source: 'text',
        origin: name.slice(5),
        everyMs: 60_000,
        kept: 1,
        look: () => Promise.resolve(CALENDAR),
      })),
    });
    const port = await serve(express().use(events.router));
    // Twice: a page that comes back gets all of it at once.
    for (const page of ['first', 'second']) {
      const answer = await open(port, `/events?page=${page}`);
      answer.setEncoding('utf8');
      let text = '';
      const until = async (isThere: () => boolean) => {
        for await (const chunk of answer.iterator({ destroyOnReturn: false })) {
          text += String(chunk);
          if (isThere()) return;
        }
        throw new Error('The stream ended');
      };
      await until(() => text.includes('hello'));
      await fetch(`http://127.0.0.1:${port}/events/${page}/feeds`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(names),
      });
      await until(() => names.every((_, index) => text.includes(`"origin":"${index + 1}","samples":[{`)));
      events.tell('saved', { id: 'dawn-count', revision: 2, by: null });
      await until(() => text.includes('event: saved'));
      expect(text.length).to.be.greaterThan(4 * CALENDAR.length);
    }
    events.close();
  });

  it('hold of each thing only the newest for a page that does not read, and let go of it in the end', async () => {
    const app = express();
    let stream: Stream | null = null;
    const closed = new Promise((resolve) =>
      app.get('/', (_request, response) => {
        response.writeHead(200).flushHeaders();
        response.on('close', resolve);
        stream = createStream(response, 300);
      }),
    );
    const port = await serve(app);
    const answer = await open(port, '/').catch(() => null);
    answer?.pause();
    const given = stream as Stream | null;
    if (!given) throw new Error('Nobody was asked');
    // More than the system itself takes in on the way.
    const tooMuch = {
      source: 'text',
      origin: 'one',
      samples: [{ moment: 0, reading: 'x'.repeat(30_000_000) }],
    };
    let asked = 0;
    for (let index = 0; index < 200; index++)
      given.send('samples', 'text/one', tooMuch, () => {
        asked++;
        return tooMuch;
      });
    // What waits is asked for when it is sent, never before.
    expect(asked).to.equal(0);
    await closed;
    expect(asked).to.be.at.most(1);
  });
});
