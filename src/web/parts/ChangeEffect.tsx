import type { Effect } from '#core/balance';
import type { Palate, Style } from '#core/palate';
import type { Keeping } from '#core/safety';
import { sayCaution, sayKeeping } from '#words/safety';
import type { Settings } from '#contract';
import { sayNear } from '#words/palate';
import { partsWords } from '#words/screens/parts';
import { EffectTracks } from './drawing/EffectTracks';
import { formatAmount } from '#words/numbers';

interface ChangeEffectProps {
  readonly before: Palate;
  readonly keepingBefore: Keeping;
  readonly effect: Effect;
  readonly style: Style | null;
  readonly settings: Settings;
  readonly narrow?: boolean;
}

/** What a change does, before it is taken: the palate drawn, then volume, allergens, cautions and keeping. */
export function ChangeEffect({
  before,
  keepingBefore,
  effect,
  style,
  settings,
  narrow = false,
}: ChangeEffectProps) {
  const { grownMl, score, newAllergens, goneAllergens, newCautions, goneCautions, keeping } = effect;
  const graver = newCautions.filter(({ tier }) => tier !== 3);
  const volume =
    Math.abs(grownMl) < 0.5
      ? partsWords.asMuchAsBefore
      : partsWords.absFormInTheJar(
          formatAmount(Math.abs(grownMl), 'ml', settings),
          grownMl > 0 ? partsWords.more : partsWords.less,
        );
  return (
    <div className="grid gap-2">
      <EffectTracks
        before={before}
        after={effect.palate}
        style={style}
        decimalSign={settings.decimalSign}
        narrow={narrow}
      />
      <p className="text-sm text-quiet">
        {volume}.{score !== null && style && ` ${sayNear(score, style)}.`}
        {goneAllergens.length > 0 && partsWords.noLongerInItGoneallergens(goneAllergens.join(', '))}
        {goneCautions.length > 0 && graver.length === 0 && partsWords.fewerCautionsThanBefore}
      </p>
      {(newAllergens.length > 0 || graver.length > 0 || keeping.days !== keepingBefore.days) && (
        <ul className="grid gap-0.5 border-l-4 border-l-acid pl-2 text-sm">
          {newAllergens.length > 0 && (
            <li className="font-semibold">{partsWords.newAllergenNewallergens(newAllergens.join(', '))}</li>
          )}
          {graver.map((caution) => (
            <li key={caution.code}>{sayCaution(caution).what}</li>
          ))}
          {keeping.days !== keepingBefore.days && <li>{sayKeeping(keeping)}</li>}
        </ul>
      )}
    </div>
  );
}
