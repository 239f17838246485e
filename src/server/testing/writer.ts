/** A process that opens a kitchen, writes without pause, and says each change once it is acknowledged; made to be killed. */
import { appendFileSync } from 'node:fs';
import { Client, formulaId, openKitchen, sampleFormula } from './kitchen';

const [dataFolder, ledger, session, migrationsFolder] = process.argv.slice(2) as [
  string,
  string,
  string,
  string,
];
const kitchen = await openKitchen(dataFolder, { migrationsFolder });
const client = new Client(kitchen.address);
const id = formulaId(`session-${session}`);
const note = (line: string): void => {
  appendFileSync(ledger, `${line}\n`);
};
const made = await client.post('formulas', { id, formula: sampleFormula(session) });
if (made.status === 201) note(`${id} made`);
process.stdout.write('writing\n');
let text = '';
for (let i = 1; ; i++) {
  const next = `change ${i} of ${session}`;
  const answer = await client.post(`formulas/${id}/changes`, {
    baseRevision: i - 1,
    idempotencyKey: `${session}-${i}-key`,
    diff: { added: [], removed: [], updated: [{ additionId: 'one', field: 'note', from: text, to: next }] },
  });
  if (answer.status === 200) note(`${id} ${i}`);
  text = next;
}
