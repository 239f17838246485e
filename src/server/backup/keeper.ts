/**
 * A backup a day without being asked, in the folder and, where one is named, in a second place; and what is thrown
 * away for its age, only once it lies in one of them.
 */
import { runningWords } from '#words/screens/running';
import type { BackupsState } from '#contract';
import type { KitchenClock } from '../folder/clock';
import { backupsIn, copyChecked, fileOfDay, makeFolder, rotate, shelved } from './shelf';

const FIRST_AFTER_MS = 60_000;
const EVERY_MS = 10 * 60_000;

export interface KeeperParts {
  readonly dataFolder: string;
  /** A folder on another disk or machine; left out: none. */
  readonly secondPlace?: string;
  readonly save: (file: string) => Promise<unknown>;
  readonly clock: KitchenClock;
  /** @param savedAt what was in the bin before then lies in a backup */
  readonly emptyBin: (savedAt: Date) => Promise<unknown>;
  readonly now: () => Date;
  readonly say: (line: string) => void;
}

export class BackupKeeper {
  private timer: NodeJS.Timeout | null = null;
  private busy: Promise<void> | null = null;
  private trouble: string | null = null;
  private secondTrouble: string | null = null;
  private readonly folder: string;

  constructor(private readonly parts: KeeperParts) {
    this.folder = backupsIn(parts.dataFolder);
  }

  start(): void {
    const again = (afterMs: number): void => {
      this.timer = setTimeout(() => {
        void this.tend().then(() => {
          if (this.timer) again(EVERY_MS);
        });
      }, afterMs).unref();
    };
    again(FIRST_AFTER_MS);
  }

  async stop(): Promise<void> {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    await this.busy;
  }

  /** What is due: today's backup, its copy, and the bin. Never throws: what went wrong is said. */
  tend(): Promise<void> {
    this.busy ??= this.due().finally(() => {
      this.busy = null;
    });
    return this.busy;
  }

  get state(): BackupsState {
    const { secondPlace, clock } = this.parts;
    const [newest] = shelved(this.folder);
    return {
      newest: newest ? { day: newest.day, madeAt: newest.madeAt, bytes: newest.bytes } : null,
      kept: shelved(this.folder).length,
      folder: this.folder,
      second: secondPlace === undefined ? null : { folder: secondPlace, trouble: this.secondTrouble },
      trouble: this.trouble,
      clockJumpedDays: clock.jumpedDays,
    };
  }

  private async due(): Promise<void> {
    const { clock, emptyBin, now, save, say } = this.parts;
    clock.tick();
    const today = now().toISOString().slice(0, 10);
    const file = fileOfDay(this.folder, today);
    const savedAt = now();
    let isNew = false;
    try {
      makeFolder(this.folder);
      isNew = shelved(this.folder).every(({ day }) => day !== today);
      if (isNew) await save(file);
      rotate(this.folder, today);
      this.trouble = null;
    } catch (error) {
      this.trouble = runningWords.todaysBackupFailed(reasonOf(error));
      say(this.trouble);
      return;
    }
    this.copy(file, today);
    if (isNew && clock.isSteady) await emptyBin(savedAt).catch(say);
  }

  private copy(file: string, today: string): void {
    const { secondPlace, say } = this.parts;
    if (secondPlace === undefined) return;
    try {
      makeFolder(secondPlace);
      if (shelved(secondPlace).some(({ day }) => day === today)) return;
      copyChecked(file, fileOfDay(secondPlace, today));
      rotate(secondPlace, today);
      this.secondTrouble = null;
    } catch (error) {
      this.secondTrouble = runningWords.theSecondPlaceFailed(secondPlace, reasonOf(error));
      say(this.secondTrouble);
    }
  }
}

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
