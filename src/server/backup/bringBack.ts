/** What can be done for a kitchen that cannot be opened. */
import { runningWords } from '#words/screens/running';
import { readBackup } from './read';
import { backupsIn, shelved } from './shelf';

/** The newest daily backup that can be read to its end, and the command that brings it back. */
export async function bringBackWords(dataFolder: string, secondPlace?: string): Promise<string> {
  const file = await newestGood([backupsIn(dataFolder), ...(secondPlace === undefined ? [] : [secondPlace])]);
  return file === null
    ? runningWords.noBackupYet(runningWords.salvageCommand)
    : runningWords.bringBack(file, runningWords.restoreCommand(file));
}

async function newestGood(folders: readonly string[]): Promise<string | null> {
  const all = folders.flatMap(shelved).sort((a, b) => (a.day < b.day ? 1 : -1));
  for (const { file } of all) {
    const isGood = await readBackup(file).then(
      () => true,
      () => false,
    );
    if (isGood) return file;
  }
  return null;
}
