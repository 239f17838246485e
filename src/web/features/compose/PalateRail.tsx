import { memo, useMemo } from 'react';
import type { PalateKey, Style } from '#core/palate';
import type { Judgement, Reckoning } from '#core/reckoning';
import type { Settings } from '#contract';
import { TermOf } from '../../parts/TermOf';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { formatPercent } from '#words/numbers';
import { Profile } from '../../parts/drawing/Profile';
import { profileRows } from '../../parts/palateProfile';
import { useKept } from '../../sync/useKept';
import { Button } from '../../ui/Button';

interface PalateRailProps {
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly style: Style | null;
  readonly settings: Settings;
  readonly onMeasure: (key: PalateKey) => void;
}

/** How sharp, rich, salty, sweet and pungent it is, as one line through the bands of the style. */
export const PalateRail = memo(function PalateRail({
  reckoning,
  judgement,
  style,
  settings,
  onMeasure,
}: PalateRailProps) {
  const { palate, portions } = judgement;
  const [figures, setFigures] = useKept('figures', false, 'device');
  const rows = useMemo(
    () => profileRows(palate, style, settings.decimalSign),
    [palate, style, settings.decimalSign],
  );
  const poured = reckoning.totals.measures.oilMassFraction;
  return (
    <section aria-label={composeBalanceWords.onThePalate} className="card flex min-h-0 flex-col p-4">
      <div className="mb-1 flex flex-wrap items-center justify-between gap-2">
        <h2 className="font-name text-lg font-bold">{composeBalanceWords.onThePalate}</h2>
        {portions.length > 0 && (
          <Button
            aria-pressed={figures}
            onClick={() => {
              setFigures(!figures);
            }}
          >
            {composeBalanceWords.figures}
          </Button>
        )}
      </div>
      {portions.length === 0 ? (
        <p className="text-quiet">{composeBalanceWords.numbersComeWithTheFirst}</p>
      ) : (
        <div className="min-h-0 flex-1 lg:overflow-auto">
          <Profile rows={rows} figures={figures} onRow={onMeasure} />
          {figures && poured !== null && poured > 0 && (
            <p className="mt-2 text-sm text-quiet">
              {composeBalanceWords.pouredIsPouredOil(formatPercent(poured, settings, 0))}
            </p>
          )}
          <p className="mt-2 text-sm text-quiet">
            {composeBalanceWords.greenIsThe} <TermOf term="band" />
            {composeBalanceWords.ofTheStyle}
          </p>
        </div>
      )}
    </section>
  );
});
