import { SETTINGS_ID } from '#contract';
import { useSaveShared } from '../../sync/useSaveShared';
import { useMemo } from 'react';
import { sayDuration } from '#words/hold';
import { lessonOf, looksInside } from '#core/trial';
import { logWords } from '#words/screens/log';
import { Tick } from '../../ui/Tick';
import { Alert } from '../../ui/Alert';
import { sayError, useLessonsQuery } from '../../data/kitchenApi';
import type { Jar } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';

/** What was learnt from looking and tasting, and the switches for it. */
export function Learning({ jars }: { jars: readonly Jar[] }) {
  const { settings } = useKitchen();
  const [save, saving] = useSaveShared('settings');
  const { learning } = settings;
  const lessons = useMemo(
    () =>
      jars.flatMap((jar) => {
        const lesson = lessonOf(jar.formulaId, jar.events);
        return lesson && (learning.since === null || lesson.at >= learning.since) ? [lesson] : [];
      }),
    [jars, learning.since],
  );
  const said = useLessonsQuery().data;
  const { looks, inside } = useMemo(
    () => looksInside((said ?? []).filter(({ at }) => learning.since === null || at >= learning.since)),
    [said, learning.since],
  );
  const set = (patch: Partial<typeof learning>): void => {
    const next = { ...settings, learning: { ...learning, ...patch } };
    save(SETTINGS_ID, settings, next).catch(() => undefined);
  };
  return (
    <section aria-label={logWords.whatWasLearnt} className="card grid gap-2 p-4">
      <h2 className="font-name text-lg font-bold">{logWords.whatWasLearnt}</h2>
      {lessons.length === 0 ? (
        <p className="text-quiet">{logWords.nobodyHasLookedAtA}</p>
      ) : (
        <ul className="text-sm" data-testid="lessons">
          {lessons.map(({ at, predicted, fineS, goneS, measuredS }) => (
            <li key={at} className="border-t border-rule py-1">
              {logWords.predictedMedians(sayDuration(predicted.medianS))}{' '}
              {[
                ...(fineS === null ? [] : [logWords.stillFineAtFines(sayDuration(fineS))]),
                ...(goneS === null ? [] : [logWords.apartAtGones(sayDuration(goneS))]),
                ...(measuredS == null ? [] : [logWords.measuredAt(sayDuration(measuredS))]),
              ].join(', ')}
              .
            </li>
          ))}
        </ul>
      )}
      {looks > 0 && (
        <p className="text-sm font-semibold" data-testid="inside">
          {logWords.ofLooksInside(looks, inside)}
        </p>
      )}
      {!learning.holds && <p className="text-sm">{logWords.theModelAloneSpeaksNow}</p>}
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        <Tick
          label={logWords.looksMovePredictedHolds}
          checked={learning.holds}
          onChange={(checked) => {
            set({ holds: checked });
          }}
        />
        <Tick
          label={logWords.tastingsMoveWindows}
          checked={learning.windows}
          onChange={(checked) => {
            set({ windows: checked });
          }}
        />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button
          onClick={() => {
            set({ since: new Date().toISOString() });
          }}
        >
          {logWords.forgetWhatWasLearntSo}
        </Button>
        {learning.since !== null && (
          <Button
            onClick={() => {
              set({ since: null });
            }}
          >
            {logWords.rememberItAgain}
          </Button>
        )}
      </div>
      {saving.error !== undefined && <Alert>{logWords.notSavedError(sayError(saving.error))}</Alert>}
      <p className="text-sm text-quiet">{logWords.forTheWholeKitchenThe}</p>
    </section>
  );
}
