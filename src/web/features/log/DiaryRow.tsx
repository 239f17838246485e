import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { diaryOf, type DiaryEntry } from '#core/trial';
import { sayDuration } from '#words/hold';
import { SIGHT_WORDS, sayTasting } from '#words/trial';
import { formatAmount, formatMoment, inSentence } from '#words/numbers';
import { glassWords } from '#words/screens/glass';
import { logWords } from '#words/screens/log';
import type { Kitchen } from '#kitchen/reading';
import { handAmount, vesselOf } from '#kitchen/reading';
import { useCooksQuery } from '../../data/kitchenApi';
import { isBeingMade, type Jar } from '../../data/jars';
import { JarLog } from '../../parts/JarLog';
import { JarPictures } from '../../parts/JarPictures';
import { TrialJar } from '../../parts/TrialJar';
import { jarsLink } from './logFilter';

interface DiaryRowProps {
  readonly jar: Jar;
  /** Its number among the jars of its formula, or the formula's name where jars of several stand together. */
  readonly place?: number;
  readonly name?: string;
  readonly kitchen: Kitchen;
  readonly open: boolean;
}

const LOOK: Readonly<Record<DiaryEntry['standing'], string>> = {
  untasted: 'border-l-edge',
  right: 'border-l-leaf',
  'right-after-mending': 'border-l-sweet',
  'not-right': 'border-l-acid',
};
const STANDING_WORDS: Readonly<Record<DiaryEntry['standing'], string>> = {
  untasted: logWords.notTasted,
  right: logWords.rightAsMade,
  'right-after-mending': logWords.rightAfterMending,
  'not-right': logWords.notRight,
};

/** One making: the jar as it stands, who made it of what, what was said, what went in and how long it held. */
export function DiaryRow({ jar, place, name, kitchen, open }: DiaryRowProps) {
  // Pictures are fetched once somebody opens it.
  const [shown, setShown] = useState(open);
  const called = name ?? logWords.jarOf(place ?? 1);
  const { catalogue, settings, vessels } = kitchen;
  const cook = (useCooksQuery().data ?? []).find(({ id }) => id === jar.by.cookId);
  const { standing, said, mended, held } = useMemo(() => diaryOf(jar.events), [jar.events]);
  const added = mended.map(({ ingredientId, massG }) => {
    const ingredient = catalogue.get(ingredientId);
    return ingredient
      ? handAmount(massG, ingredient, settings.spoons, settings)
      : `${formatAmount(massG, 'g', settings)} ${inSentence(ingredientId)}`;
  });
  return (
    <details
      open={open}
      className={`border-t border-l-4 border-t-rule ${LOOK[standing]}`}
      data-testid="jar"
      onToggle={({ currentTarget }) => {
        if (currentTarget.open) setShown(true);
      }}
    >
      <summary className="grid min-h-16 cursor-pointer grid-cols-[3.5rem_minmax(0,1fr)] items-center gap-3 px-2 py-2">
        <TrialJar
          trial={jar}
          vessel={vesselOf({ vesselId: jar.vesselId }, vessels)}
          catalogue={catalogue}
          width={52}
          height={58}
          label={called}
        />
        <span className="grid min-w-0 gap-0.5">
          <span className="flex flex-wrap items-baseline gap-x-3">
            <strong>{called}</strong>
            <span className="font-semibold">{STANDING_WORDS[standing]}</span>
            <span className="text-sm text-quiet">
              {logWords.vVersionAt(jar.version, formatMoment(jar.at))}
              {cook && `, ${cook.name}`}
            </span>
          </span>
          <span className="text-sm [overflow-wrap:anywhere]">
            {[
              said && !said.right ? `${sayTasting(said)}.` : '',
              added.length > 0 ? logWords.wentIn(added.join(', ')) : '',
              held ? logWords.held(SIGHT_WORDS[held.saw], sayDuration(held.seconds)) : '',
            ]
              .filter(Boolean)
              .join(' ')}
          </span>
        </span>
      </summary>
      <div className="pb-2 pl-4">
        {name !== undefined && (
          <Link to={jarsLink(jar.formulaId, [jar.id])} className="text-leaf underline">
            {logWords.inTheLogOf(name)}
          </Link>
        )}
        {shown && <JarPictures jar={jar} />}
        {!isBeingMade(jar) && (
          <Link
            to={`/formulas/${jar.formulaId}/look?jar=${jar.id}`}
            className="inline-flex min-h-9 items-center text-leaf underline"
          >
            {glassWords.lookWithAPicture}
          </Link>
        )}
        <JarLog jar={jar} catalogue={catalogue} settings={settings} />
      </div>
    </details>
  );
}
