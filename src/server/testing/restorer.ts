/** A process that opens a kitchen and puts a backup in its place; made to be killed while it does. */
import { readFileSync } from 'node:fs';
import { inProcess } from '../backup/inProcess';
import { openKitchen } from './kitchen';

const [dataFolder, file, migrationsFolder, worker] = process.argv.slice(2) as [
  string,
  string,
  string,
  string,
];
const kitchen = await openKitchen(dataFolder, { migrationsFolder, runJob: inProcess([worker]) });
process.stdout.write('open\n');
const response = await fetch(`${kitchen.address}/api/restore`, {
  method: 'POST',
  headers: { 'content-type': 'application/gzip', origin: kitchen.address },
  body: new Uint8Array(readFileSync(file)),
});
if (response.status !== 200) throw new Error(await response.text());
// Done, and still open: it is killed.
setInterval(() => undefined, 1000);
