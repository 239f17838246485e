/**
 * Asks a running kitchen of this machine. Its certificate is made for the name that the tablets use, not for the
 * loopback: who it is was proved by its folder.
 */
import { request as plain, type IncomingMessage } from 'node:http';
import { request as secure } from 'node:https';
import { Readable } from 'node:stream';

export interface HttpAnswer {
  readonly status: number;
  readonly body: IncomingMessage;
  readonly cookies: readonly string[];
}

/** @param body streamed, however large */
export function answerOf(
  address: string,
  method: string,
  path: string,
  headers: Readonly<Record<string, string>>,
  body?: string | Readable,
): Promise<HttpAnswer> {
  const url = new URL(path, address);
  const ask = url.protocol === 'https:' ? secure : plain;
  return new Promise((resolve, reject) => {
    const asked = ask(
      url,
      { method, headers: { origin: address, ...headers }, rejectUnauthorized: false },
      (response) => {
        resolve({
          status: response.statusCode ?? 0,
          body: response,
          cookies: response.headers['set-cookie'] ?? [],
        });
      },
    );
    asked.once('error', reject);
    if (body instanceof Readable) body.pipe(asked);
    else asked.end(body);
  });
}
