import { useState } from 'react';
import { Link } from 'react-router';
import { sayHold } from '#words/hold';
import { minutesSinceShake, SIGHTS, type Sight, type TrialEvent } from '#core/trial';
import { SIGHT_WORDS } from '#words/trial';
import { logWords } from '#words/screens/log';
import { typedNumber } from '../../form/typed';
import { useJarHold } from '../../data/jarHold';
import type { Jar } from '../../data/jars';
import { record } from '../../sync/outbox';
import { predictedBy } from '../../data/trials';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useHolds } from '../../workers/useHolds';

/** A look at the newest jar: how it stands, so long after the shake. */
export function LookAt({ working, jar, place }: { working: WorkingFormula; jar: Jar; place: number }) {
  const [text, setText] = useState('');
  const [note, setNote] = useState('');
  const [writing, setWriting] = useState(false);
  const { asked, seconds } = useJarHold(working.formula, jar);
  const [hold = null] = useHolds(asked);
  const since = minutesSinceShake(jar.events, new Date().toISOString());
  const said = typedNumber(text, { above: 0, to: 60 * 1440 });
  const typed = said.blank ? since : said.value;
  const fits = typed !== null && typed > 0;
  const say = async (event: TrialEvent): Promise<void> => {
    if (writing) return;
    setWriting(true);
    await record({ trialId: jar.id, formulaId: working.id }, [event]);
    setText('');
    setNote('');
    setWriting(false);
  };
  const look = (saw: Sight): void => {
    if (!fits) return;
    void say({ kind: 'looked', saw, seconds: typed * 60, predicted: predictedBy(hold, jar), note });
  };
  return (
    <section
      aria-label={logWords.lookAtIt}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <h2 className="font-name text-lg font-bold">{logWords.lookAtJarPlace(place)}</h2>
      <Link
        to={`/formulas/${working.id}/look?jar=${jar.id}`}
        className="flex min-h-11 items-center text-leaf underline"
      >
        {logWords.withAPicture}
      </Link>
      {hold && <p className="text-sm text-quiet">{logWords.theModelHold(sayHold(hold))}</p>}
      <Field
        label={logWords.minutesSinceTheShake}
        className="w-56"
        inputMode="decimal"
        placeholder={since === null ? '' : String(Math.round(since))}
        value={text}
        onText={setText}
        problem={text.trim() !== '' && !fits ? logWords.minutesAboveNothing : null}
      />
      <Field label={logWords.inYourOwnWords} maxLength={1000} value={note} onText={setNote} />
      <div className="flex flex-wrap gap-4">
        {SIGHTS.map((saw) => (
          <Button
            key={saw}
            className="min-h-16 flex-1 px-4"
            disabled={!fits || writing}
            onClick={() => {
              look(saw);
            }}
          >
            {SIGHT_WORDS[saw].charAt(0).toUpperCase() + SIGHT_WORDS[saw].slice(1)}
          </Button>
        ))}
      </div>
      <Button
        className="min-h-16 px-4"
        disabled={writing}
        onClick={() => void say({ kind: 'shook', seconds })}
      >
        {logWords.shakenAgainNow}
      </Button>
    </section>
  );
}
