import type { ReactNode } from 'react';
import type { Settings } from '#contract';
import { sayDuration } from '#words/hold';
import type { Catalogue, IngredientId } from '#core/ingredient';
import { standingEvents, stepStates, trialLines, type TrialEvent } from '#core/trial';
import { SIGHT_WORDS, WAY_WORDS, sayDeed, sayTasting } from '#words/trial';
import { partsWords } from '#words/screens/parts';
import { useCooksQuery } from '../data/kitchenApi';
import { formatAmount, formatMoment, formatNumber, inSentence } from '#words/numbers';
import { makingOf, type Jar } from '../data/jars';

const PLAN_WORDS = {
  'poured-too-much': partsWords.pouredOtherwiseThanPlanned,
  'left-out': partsWords.somethingWasLeftOut,
  swapped: partsWords.somethingElseWentIn,
  mend: partsWords.toMendIt,
  rescue: partsWords.toSaveIt,
  'by-hand': partsWords.further,
  'next-stage': partsWords.onToTheNextStage,
} as const;

/** Everything that happened to this jar, oldest first, with what it weighed then. Nothing here can be edited away. */
export function JarLog({ jar, catalogue, settings }: { jar: Jar; catalogue: Catalogue; settings: Settings }) {
  const cooks = useCooksQuery().data ?? [];
  const stands = new Set(standingEvents(jar.events).map(({ id }) => id));
  const who = (cookId: string | null): string => {
    const cook = cooks.find(({ id }) => id === cookId);
    return cook ? `${cook.initials}, ` : '';
  };
  const massAfter = (count: number): string => {
    const lines = trialLines(jar.lines, jar.events.slice(0, count));
    return formatAmount(
      lines.reduce((sum, { massG }) => sum + massG, 0),
      'g',
      settings,
    );
  };
  const words = useEventWords(catalogue, settings);
  return (
    <ol className="text-sm" data-testid="jar-log">
      <LogLine at={jar.at} who={who(jar.by.cookId)} mass={massAfter(0)}>
        <strong>
          {jar.making
            ? partsWords.makingOfVVersionBegun(jar.version)
            : partsWords.madeFromVVersion(jar.version)}
        </strong>
      </LogLine>
      {jar.events.map(({ id, event, by, at }, i) => (
        <LogLine
          key={id}
          at={at}
          who={who(by.cookId)}
          mass={jar.waiting.has(id) ? partsWords.waiting : massAfter(i + 1)}
          undone={event.kind !== 'corrected' && !stands.has(id)}
        >
          {words(event, jar)}
        </LogLine>
      ))}
    </ol>
  );
}

/** An event as a sentence, as it stands in every log. */
export function useEventWords(
  catalogue: Catalogue,
  settings: Settings,
): (event: TrialEvent, jar: Pick<Jar, 'making' | 'events'> | null) => ReactNode {
  const amount = (massG: number, id: IngredientId): string =>
    `${formatAmount(massG, 'g', settings)} ${inSentence(catalogue.get(id)?.name ?? id)}`;
  const nameOf = (id: IngredientId): string => catalogue.get(id)?.name ?? id;
  return (event, jar) => sayEvent(event, jar, amount, nameOf, settings);
}

const SOURCE_WORDS = { simulated: ', simulated', typed: ', typed', device: '' } as const;

/** What a step of this jar is called. */
function stepWordsIn(
  jar: Pick<Jar, 'making' | 'events'> | null,
  nameOf: (id: IngredientId) => string,
  settings: Settings,
): (stepId: string) => string {
  const making = makingOf({ making: jar?.making ?? null });
  const states = stepStates(making.steps, jar?.events ?? []);
  return (stepId) => {
    const step = states.find((state) => state.step.id === stepId)?.step;
    if (!step) return partsWords.aStep;
    if (step.kind === 'do')
      return inSentence(
        sayDeed(step, making.tool, {
          nameOf,
          amount: (massG) => formatAmount(massG, 'g', settings),
        }),
      );
    return inSentence(nameOf(step.kind === 'weigh' ? step.line.ingredientId : step.ingredientId));
  };
}

function sayEvent(
  event: TrialEvent,
  jar: Pick<Jar, 'making' | 'events'> | null,
  amount: (massG: number, id: IngredientId) => string,
  nameOf: (id: IngredientId) => string,
  settings: Settings,
): ReactNode {
  const stepWords = stepWordsIn(jar, nameOf, settings);
  switch (event.kind) {
    case 'tasted':
      return (
        <>
          {sayTasting(event)}
          {event.note && `: ${event.note}`}
        </>
      );
    case 'added':
      return (
        <strong>
          {partsWords.addedLines(
            event.lines.map(({ ingredientId, massG }) => amount(massG, ingredientId)).join(', '),
          )}
          {event.note && `: ${event.note}`}
        </strong>
      );
    case 'took':
      return (
        <>
          <strong>{amount(event.line.massG, event.line.ingredientId)}</strong>
          {SOURCE_WORDS[event.reading.source]}
        </>
      );
    case 'did':
      return <>{partsWords.doneStepwords(stepWords(event.stepId))}</>;
    case 'left-out':
      return <>{partsWords.leftOutStepwords(stepWords(event.stepId))}</>;
    case 'planned':
      return (
        <>
          {PLAN_WORDS[event.reason]}:{' '}
          {event.steps
            .flatMap((step) =>
              step.kind === 'weigh' ? [amount(step.line.massG, step.line.ingredientId)] : [],
            )
            .join(', ') ||
            event.note ||
            WAY_WORDS[event.way ?? 'as-it-is']}
        </>
      );
    case 'corrected':
      return <>{partsWords.correctionTheEntryStruckOut}</>;
    case 'settled':
      return <>{partsWords.settledWhichWeightCountsStepwords(stepWords(event.stepId))}</>;
    case 'measured':
      return (
        <>
          {event.what === 'ph'
            ? partsWords.phValue(formatNumber(event.value, 2, settings))
            : `${formatNumber(event.value, 1, settings)} °C`}
          {SOURCE_WORDS[event.reading.source]}
        </>
      );
    case 'shook':
      return <>{partsWords.shaken}</>;
    case 'looked':
      return (
        <>
          {partsWords.lookedAtItSecondsAfter(sayDuration(event.seconds), SIGHT_WORDS[event.saw])}
          {event.note && `: ${event.note}`}
        </>
      );
    case 'split':
      return <>{partsWords.itSplit}</>;
  }
}

function LogLine({
  at,
  who,
  mass,
  undone = false,
  children,
}: {
  at: string;
  who: string;
  mass: string;
  undone?: boolean;
  children: ReactNode;
}) {
  return (
    <li className="grid grid-cols-[1fr_auto] gap-3 border-b border-rule py-1.5">
      <span>
        {undone ? <del>{children}</del> : children}{' '}
        <span className="text-quiet">
          {who}
          {formatMoment(at)}
        </span>
      </span>
      <span className="whitespace-nowrap">{mass}</span>
    </li>
  );
}
