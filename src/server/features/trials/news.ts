import { sql } from 'drizzle-orm';
import type { KitchenNews, StyleSaid } from '#contract';
import {
  bottleChanges,
  drifts,
  keepsFailing,
  lessonOf,
  madeSince,
  observationsOf,
  whatItComesTo,
  type HoldLesson,
} from '#core/trial';
import { found, type Database } from '../../db/client';
import { namesOf } from '../formulas/namesOf';
import type { KitchenAtWork } from '../kitchen/atWork';
import type { TrialStore } from './store';

const WEEK_MS = 7 * 86_400_000;

/** What the latest jars of the whole kitchen come to; worked out again only when there is more of them. */
export class KitchenNewsStore {
  private kept: { readonly mark: string; readonly news: KitchenNews } | null = null;
  private learnt: { readonly mark: string; readonly lessons: readonly HoldLesson[] } | null = null;

  private observed: { readonly mark: string; readonly said: readonly StyleSaid[] } | null = null;

  constructor(
    private readonly db: Database,
    private readonly jars: TrialStore,
    private readonly atWork: KitchenAtWork,
    private readonly now: () => Date,
  ) {}

  async news(): Promise<KitchenNews> {
    const { kitchen, mark: of } = await this.atWork.now();
    const weekAgo = new Date(this.now().getTime() - WEEK_MS).toISOString();
    // By the hour: what was made a week ago leaves the list without anything new.
    const mark = `${await this.mark()} ${of} ${weekAgo.slice(0, 13)}`;
    if (this.kept?.mark !== mark) {
      const jars = await this.jars.latest();
      const news = {
        week: madeSince(jars, weekAgo),
        failing: keepsFailing(jars),
        drifting: drifts(jars, kitchen.catalogue),
        bottles: bottleChanges(jars),
        comesTo: whatItComesTo(jars),
      };
      const names = await namesOf(
        this.db,
        Object.values(news).flatMap((list) => list.map(({ formulaId }) => formulaId)),
      );
      this.kept = {
        mark,
        news: { ...news, names },
      };
    }
    return this.kept.news;
  }

  /** What was seen of how long they held. */
  async lessons(): Promise<readonly HoldLesson[]> {
    const mark = await this.mark();
    if (this.learnt?.mark !== mark) {
      const lessons = (await this.jars.latest()).flatMap(({ formulaId, events }) => {
        const lesson = lessonOf(formulaId, events);
        return lesson ? [lesson] : [];
      });
      this.learnt = { mark, lessons };
    }
    return this.learnt.lessons;
  }

  /** What tasters said of jars that aimed at a style; the latest tasting of a jar dates it. */
  async said(): Promise<readonly StyleSaid[]> {
    const { kitchen, mark: of } = await this.atWork.now();
    const mark = `${await this.mark()} ${of}`;
    if (this.observed?.mark !== mark) {
      const said = (await this.jars.latest()).flatMap(({ styleId, lines, events }) => {
        const at = events.findLast(({ event }) => event.kind === 'tasted')?.at;
        if (styleId === null || at === undefined) return [];
        return [{ styleId, at, observations: observationsOf(lines, events, kitchen.catalogue) }];
      });
      this.observed = { mark, said };
    }
    return this.observed.said;
  }

  private async mark(): Promise<string> {
    const [row] = await found<{ mark: string }>(
      this.db,
      sql`select concat_ws(' ', (select count(*) from trials), (select max(place) from trial_events)) as mark`,
    );
    return row!.mark;
  }
}
