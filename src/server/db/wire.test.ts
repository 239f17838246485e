import { EventEmitter } from 'node:events';
import type pg from 'pg';
import { describe, expect, it } from 'vitest';
import { ServerWire } from './wire';

/** A server that tells every connection, unless it drops a letter. */
class Server {
  private readonly clients = new Set<EventEmitter>();
  drops = false;

  newClient = (): pg.Client => {
    const client = new EventEmitter();
    return Object.assign(client, {
      connect: () => {
        this.clients.add(client);
        return Promise.resolve();
      },
      query: (_text: string, values?: readonly [string, string]) => {
        if (values && !this.drops)
          for (const one of this.clients) one.emit('notification', { payload: values[1] });
        return Promise.resolve();
      },
      end: () => Promise.resolve(this.clients.delete(client)),
    }) as unknown as pg.Client;
  };
}

async function two() {
  const server = new Server();
  const [a, b] = [await ServerWire.open(server.newClient, 'a'), await ServerWire.open(server.newClient, 'b')];
  const heard: unknown[] = [];
  b.hear(
    (news) => heard.push(news),
    () => heard.push('gap'),
  );
  return { server, a, b, heard, close: () => Promise.all([a.close(), b.close()]) };
}

describe('letters between processes', () => {
  it('come in their order, and never back to who sent them', async () => {
    const { a, b, heard, close } = await two();
    await a.send('one');
    await b.send('own');
    await a.send('two');
    expect(heard).toEqual(['one', 'two']);
    await close();
  });

  it('are missed when one is lost, with the next that comes', async () => {
    const { server, a, heard, close } = await two();
    await a.send('one');
    server.drops = true;
    await a.send('lost');
    server.drops = false;
    await a.send('three');
    expect(heard).toEqual(['one', 'gap', 'three']);
    await a.send('four');
    expect(heard.at(-1)).toBe('four');
    expect(heard).toHaveLength(4);
    await close();
  });
});
