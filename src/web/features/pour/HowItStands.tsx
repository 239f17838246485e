import { useMemo } from 'react';
import type { Kitchen } from '#kitchen/reading';
import { sayMixed } from '#words/hold';
import { pourWords } from '#words/screens/pour';
import { CautionLines } from '../../parts/CautionLines';
import { Profile } from '../../parts/drawing/Profile';
import { profileRows } from '../../parts/palateProfile';
import type { Poured } from './usePoured';

/** How sharp, rich, salt and sweet it is up to now, how thick, how long it holds, and what to mind. */
export function HowItStands({ poured, kitchen: { settings } }: { poured: Poured; kitchen: Kitchen }) {
  const { judgement, style, hold } = poured;
  const { palate, portions } = judgement;
  const rows = useMemo(
    () => profileRows(palate, style, settings.decimalSign),
    [palate, style, settings.decimalSign],
  );
  return (
    <section aria-label={pourWords.howItStands} className="card p-4">
      <h2 className="font-name mb-1 text-lg font-bold">{pourWords.howItStands}</h2>
      {portions.length === 0 ? (
        <p className="text-quiet">{pourWords.asSoonAs}</p>
      ) : (
        <div className="grid gap-3">
          <Profile rows={rows} figures />
          {hold && <p data-testid="poured-hold">{sayMixed(hold)}</p>}
          <div className="border-l-4 border-l-sweet pl-3 text-sm">
            <CautionLines of={judgement} most={3} />
          </div>
        </div>
      )}
    </section>
  );
}
