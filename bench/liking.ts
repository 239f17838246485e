/** Five jars that were tasted, to the style and the jars to make next, against the cloud of tasters alone; goal: 1 s. */
import { finish } from '../src/core/balance';
import { REFERENCE_CATALOGUE } from '../src/core/ingredient';
import { jarsToMake, learnLiking, type LikedJar } from '../src/core/liking';
import { STYLE_IDS, stylePortions } from '../src/core/palate';
import { medianMs, printLine } from './measure';

export function benchLiking(): void {
  const jars = STYLE_IDS.slice(0, 5).map((id, i): LikedJar => ({
    portions: stylePortions(id, REFERENCE_CATALOGUE)[0]!,
    said: i === 0 ? 'more' : i < 3 ? 'liked' : 'not',
    chips: [],
  }));
  const all = jarsToMake(jars[0]!.portions, REFERENCE_CATALOGUE, () => true);
  const candidates = all.map(({ portions }) => portions);
  printLine({
    name: `A liking from five jars, ${candidates.length} jars that could be next`,
    oursMs: medianMs(() => finish(learnLiking(jars, candidates)), { runs: 5, warmup: 1 }),
    otherMs: medianMs(() => finish(learnLiking(jars, [])), { runs: 5, warmup: 1 }),
    other: 'without the jars to make next',
  });
}
