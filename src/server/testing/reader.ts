/** A process that reads a backup, says what it made of it, and how much memory it took at the most, in kilobytes. */
import { existsSync, readFileSync } from 'node:fs';
import { BackupError } from '../backup/format';
import { readBackup } from '../backup/read';

/** On Linux by proc(5): what getrusage(2) says begins at what the process had that started this one. */
function mostKb(): number {
  const status = '/proc/self/status';
  const found = existsSync(status) ? /^VmHWM:\s+(\d+) kB/m.exec(readFileSync(status, 'utf8')) : null;
  return found ? Number(found[1]) : process.resourceUsage().maxRSS;
}

let said = 'read';
try {
  await readBackup(process.argv[2]!);
} catch (error) {
  said = error instanceof BackupError ? 'refused' : String(error);
}
process.stdout.write(JSON.stringify({ said, mostKb: mostKb() }));
