/** A process that opens a kitchen, writes without pause, and says each change once it is acknowledged; made to be killed. */
import { appendFileSync } from 'node:fs';
import type { FreezeAnswer } from '#contract';
import { Client, formulaId, openKitchen, sampleFormula } from './kitchen';

const [dataFolder, ledger, session, migrationsFolder] = process.argv.slice(2) as [
  string,
  string,
  string,
  string,
];
const kitchen = await openKitchen(dataFolder, { migrationsFolder });
const client = new Client(kitchen.address, null);
const id = formulaId(`session-${session}`);
const note = (line: string): void => {
  appendFileSync(ledger, `${line}\n`);
};
const by = { cookId: null, deviceId: 'writer' };
const made = await client.post('formulas', { id, formula: sampleFormula(session) });
if (made.status === 201) note(`${id} made`);
const frozen = await client.post<FreezeAnswer>(`formulas/${id}/versions`, { revision: 0 });
const base = frozen.body.record.revision;
const jar = `jar-${session}`;
const step = (n: number): object => ({
  kind: 'weigh',
  id: `s${n}`,
  said: '',
  paced: false,
  line: { ingredientId: 'vin_cider5', form: '', massG: 10 },
});
await client.post('trials', {
  id: jar,
  formulaId: id,
  version: 1,
  vesselId: 'swing_top_500',
  lines: [],
  by,
  making: {
    scaleFactor: 1,
    plannedVolumeMl: 100,
    tool: 'shake',
    seconds: 20,
    roomC: null,
    bottles: {},
    steps: [step(1)],
  },
});
process.stdout.write('writing\n');
let text = '';
for (let i = 1; ; i++) {
  const next = `change ${i} of ${session}`;
  const answer = await client.post(`formulas/${id}/changes`, {
    baseRevision: base + i - 1,
    idempotencyKey: `${session}-${i}-key`,
    diff: { added: [], removed: [], updated: [{ additionId: 'one', field: 'note', from: text, to: next }] },
  });
  if (answer.status === 200) note(`${id} ${base + i}`);
  text = next;
  const taken = await client.post(`trials/${jar}/events`, {
    id: `${jar}-${i}`,
    by,
    event: {
      kind: 'took',
      stepId: 's1',
      line: { ingredientId: 'vin_cider5', form: '', massG: 10 },
      reading: { source: 'typed', deviceId: '' },
      seen: i === 1 ? null : `${jar}-${i - 1}`,
    },
  });
  if (taken.status === 201) note(`${id}/jar ${i}`);
}
