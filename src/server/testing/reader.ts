/** A process that reads a backup, says what it made of it, and how much memory it took at the most, in kilobytes. */
import { BackupError } from '../backup/format';
import { readBackup } from '../backup/read';

let said = 'read';
try {
  await readBackup(process.argv[2]!);
} catch (error) {
  said = error instanceof BackupError ? 'refused' : String(error);
}
process.stdout.write(JSON.stringify({ said, mostKb: process.resourceUsage().maxRSS }));
