import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { get } from 'node:https';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { dropFolder, openKitchen, tempFolder } from './testing/kitchen';

const folder = tempFolder();
afterAll(() => {
  dropFolder(folder);
});

const certificate = (name: string): { cert: string; key: string } => {
  const [certFile, keyFile] = [join(folder, `${name}.pem`), join(folder, `${name}.key`)];
  execFileSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-days',
      '2',
      '-subj',
      '/CN=localhost',
      '-keyout',
      keyFile,
      '-out',
      certFile,
    ],
    { stdio: 'ignore' },
  );
  return { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
};

const answered = (address: string, cert: string): Promise<number> =>
  new Promise((resolve, reject) => {
    get(`${address}/api/health`, { ca: cert, servername: 'localhost' }, (response) => {
      response.resume();
      resolve(response.statusCode!);
    }).on('error', reject);
  });

describe.skipIf(!existsSync('/usr/bin/openssl'))('a kitchen with a certificate', () => {
  it('answers on a secure address, and on no other', async () => {
    const tls = certificate('lake');
    const kitchen = await openKitchen(join(folder, 'kitchen'), { tls, passcode: 'tarn at dusk' });
    expect(kitchen.address).toMatch(/^https:\/\/127\.0\.0\.1:\d+$/);
    const local = kitchen.address.replace('127.0.0.1', 'localhost');
    expect(await answered(local, tls.cert)).toBe(200);
    await expect(fetch(kitchen.address.replace('https', 'http'))).rejects.toThrow();
    await kitchen.stop();
  });

  it('whose key belongs to another says so, and does not begin', async () => {
    const [tls, other] = [certificate('lake'), certificate('other')];
    await expect(
      openKitchen(join(folder, 'other'), { tls: { cert: tls.cert, key: other.key } }),
    ).rejects.toThrow(/TLS_CERT .* TLS_KEY cannot be used/);
    await expect(
      openKitchen(join(folder, 'none'), { tls: { cert: 'no certificate', key: tls.key } }),
    ).rejects.toThrow(/PEM/);
  });
});
