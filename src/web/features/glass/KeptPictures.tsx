import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { PictureRecord, Settings } from '#contract';
import type { Hold } from '#core/emulsion';
import { standingEvents } from '#core/trial';
import { sayDuration } from '#words/hold';
import { formatMoment } from '#words/numbers';
import { glassWords } from '#words/screens/glass';
import type { Jar } from '../../data/jars';
import { sayError, useRemovePictureMutation } from '../../data/kitchenApi';
import { record } from '../../sync/outbox';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { SeenLayers } from './SeenLayers';
import { isFarOutside, measuredOf, type BelowAt } from './seenIn';

const HoldChart = lazy(async () => ({ default: (await import('../../parts/chart/HoldChart')).HoldChart }));

interface KeptPicturesProps {
  readonly jar: Jar;
  readonly pictures: readonly PictureRecord[];
  readonly liquidMm: number;
  readonly below: BelowAt;
  readonly settings: Settings;
}

/** The looks with a picture of a jar, oldest first. */
export function KeptPictures({ jar, pictures, liquidMm, below, settings }: KeptPicturesProps) {
  const [remove, removing] = useRemovePictureMutation();
  const [asked, setAsked] = useState<string | null>(null);
  const stands = useMemo(() => new Set(standingEvents(jar.events).map(({ id }) => id)), [jar.events]);
  const takeAway = async (id: string, withLook: boolean): Promise<void> => {
    setAsked(null);
    const answer = await remove(id);
    if ('error' in answer || !withLook || !stands.has(id)) return;
    await record({ trialId: jar.id, formulaId: jar.formulaId }, [{ kind: 'corrected', eventId: id }]);
  };
  return (
    <section aria-label={glassWords.kept} className="card grid grid-cols-[minmax(0,1fr)] gap-2 p-4">
      <h2 className="font-name text-lg font-bold">{glassWords.kept}</h2>
      {pictures.length === 0 && <p className="text-quiet">{glassWords.noneKept}</p>}
      <ol
        className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-[repeat(auto-fill,minmax(14rem,1fr))]"
        data-testid="kept-pictures"
      >
        {pictures.map(({ id, takenAt, seconds, seen }) => {
          const time = formatMoment(takenAt);
          return (
            <li key={id} className="grid content-start gap-1 rounded-lg border border-rule bg-paper p-2">
              <img
                src={`/api/pictures/${id}`}
                alt={time}
                loading="lazy"
                className="h-40 w-full rounded object-contain"
              />
              <p className="font-semibold">
                {seconds === null ? glassWords.timeNotKnown : glassWords.after(sayDuration(seconds))}
              </p>
              <SeenLayers layers={seen.layers} liquidMm={liquidMm} below={below} settings={settings} />
              {seen.byHand && <p className="text-sm text-quiet">{glassWords.borderByHand}</p>}
              {asked === id ? (
                <p className="flex flex-wrap gap-2">
                  <Button onClick={() => void takeAway(id, true)}>{glassWords.reallyRemove}</Button>
                  {stands.has(id) && (
                    <Button onClick={() => void takeAway(id, false)}>{glassWords.removeOnly}</Button>
                  )}
                  <Button
                    autoFocus
                    onClick={() => {
                      setAsked(null);
                    }}
                  >
                    {glassWords.keepIt}
                  </Button>
                </p>
              ) : (
                <Button
                  disabled={removing.isLoading}
                  onClick={() => {
                    setAsked(id);
                  }}
                >
                  {glassWords.remove} <span className="sr-only">{glassWords.theOneOf(time)}</span>
                </Button>
              )}
            </li>
          );
        })}
      </ol>
      {removing.error !== undefined && <Alert>{glassWords.notRemoved(sayError(removing.error))}</Alert>}
    </section>
  );
}

/** What was measured over what was predicted. */
export function Course({
  formulaId,
  pictures,
  hold,
  failed,
  below,
}: {
  readonly formulaId: string;
  readonly pictures: readonly PictureRecord[];
  /** With its frames, once they are drawn. */
  readonly hold: Hold | null;
  readonly failed: string | null;
  readonly below: BelowAt;
}) {
  const measured = useMemo(() => measuredOf(pictures, below), [pictures, below]);
  if (measured.length === 0) return null;
  return (
    <section aria-label={glassWords.course} className="card grid grid-cols-[minmax(0,1fr)] gap-2 p-4">
      <h2 className="font-name text-lg font-bold">{glassWords.course}</h2>
      {failed !== null && <Alert>{failed}</Alert>}
      {isFarOutside(hold, pictures) && (
        <p className="font-semibold" data-testid="far-outside">
          {glassWords.farOutside}{' '}
          <Link to={`/formulas/${formulaId}/log`} className="text-leaf underline">
            {glassWords.sayWhat}
          </Link>
        </p>
      )}
      {hold && (
        <Suspense fallback={<div className="h-64" />}>
          <HoldChart holds={[hold]} names={[glassWords.theModel]} measured={measured} />
        </Suspense>
      )}
    </section>
  );
}
