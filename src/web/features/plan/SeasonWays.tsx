import type { SeasonWay } from '#core/season';
import type { Settings } from '#contract';
import { sayDuration } from '#words/hold';
import { formatMass, formatMoney, inSentence, listed } from '#words/numbers';
import { sayDiffers } from '#words/palate';
import { sayCaution, sayKeeping } from '#words/safety';
import { seasonWords } from '#words/screens/season';
import { WayCard, WayCards } from '../../parts/WayCards';

interface SeasonWaysProps {
  readonly ways: readonly SeasonWay[];
  readonly times: number;
  /** How long it keeps as it is, days; null: not at all known. */
  readonly keepsDays: number | null;
  readonly settings: Settings;
  readonly busy: boolean;
  readonly onUse: (way: SeasonWay) => void;
}

/** Each way to make the batch: what changes, what it saves, what is lost. */
export function SeasonWays({ ways, times, keepsDays, settings, busy, onUse }: SeasonWaysProps) {
  if (ways.length === 0) return <p className="text-quiet">{seasonWords.nothingToGain}</p>;
  return (
    <WayCards testId="season-ways">
      {ways.map((way, place) => (
        <WayCard
          key={place}
          title={savesOf(way, settings)}
          use={seasonWords.useInABatch}
          first={place === 0}
          busy={busy}
          onUse={() => {
            onUse(way);
          }}
        >
          <ul className="text-sm">
            {way.changes.map(({ from, to, toG }, line) => (
              <li key={line} className="border-t border-rule py-1">
                {from.id === to.id
                  ? seasonWords.moreOf(
                      formatMass((toG - way.changes[line]!.fromG) * times, settings),
                      inSentence(to.name),
                    )
                  : seasonWords.forWhat(
                      formatMass(toG * times, settings),
                      inSentence(to.name),
                      inSentence(from.name),
                    )}
              </li>
            ))}
          </ul>
          {way.usesUp.length > 0 && (
            <p className="text-sm font-semibold">
              {seasonWords.usesUp(
                listed(
                  way.usesUp.map(
                    ({ ingredient, massG }) =>
                      `${formatMass(massG, settings)} ${inSentence(ingredient.name)}`,
                  ),
                ),
              )}
            </p>
          )}
          <p className="text-sm" data-testid="what-is-lost">
            {lostOf(way, keepsDays).join(' ')}
          </p>
          {way.effect.newAllergens.length > 0 && (
            <p className="border-l-4 border-l-acid pl-2 text-sm font-semibold">
              {seasonWords.newAllergen(way.effect.newAllergens.join(', '))}
            </p>
          )}
          {way.effect.newCautions
            .filter(({ tier }) => tier !== 3)
            .map((caution) => (
              <p key={caution.code} className="border-l-4 border-l-acid pl-2 text-sm">
                {sayCaution(caution).what}
              </p>
            ))}
        </WayCard>
      ))}
    </WayCards>
  );
}

function savesOf({ saving, usesUp }: SeasonWay, settings: Settings): string {
  if (saving === null) return seasonWords.noPrice;
  const says = saving < 0.005 ? seasonWords.costsTheSame : seasonWords.saves(formatMoney(saving, settings));
  return usesUp.length > 0 ? `${says}; ${seasonWords.paid}` : `${says}.`;
}

function lostOf({ moved, loses, holdS, effect }: SeasonWay, keepsDays: number | null): readonly string[] {
  const say = (seconds: number | null): string =>
    seconds === null ? seasonWords.weeks : sayDuration(seconds);
  const named = (of: SeasonWay['loses']): string =>
    listed(of.map(({ ingredient }) => inSentence(ingredient.name.split(',')[0]!)));
  const gone = loses.filter(({ share }) => share > ALL_OF_IT);
  const less = loses.filter(({ share }) => share <= ALL_OF_IT);
  return [
    ...(gone.length > 0 ? [seasonWords.losesAll(named(gone))] : []),
    ...(less.length > 0 ? [seasonWords.loses(named(less))] : []),
    moved.length > 0 ? seasonWords.tastes(sayDiffers(moved.slice(0, 3))) : seasonWords.sameTaste,
    ...(holdS ? [seasonWords.holds(say(holdS.after), say(holdS.before))] : []),
    ...(effect.keeping.days === keepsDays ? [] : [seasonWords.keeps(sayKeeping(effect.keeping))]),
  ];
}

const ALL_OF_IT = 0.95;
