import type { TrialRecord } from '#contract';
import type { Catalogue } from '#core/ingredient';
import { sayTasting, trialPortions } from '#core/trial';
import { useCooksQuery } from '../../api/kitchenApi';
import { formatAmount, formatMoment, inSentence, type NumberStyle } from '../../format';

/** Everything that happened to this jar, oldest first, with what it weighed then. Nothing here can be edited away. */
export function JarLog({
  trial,
  catalogue,
  settings,
}: {
  trial: TrialRecord;
  catalogue: Catalogue;
  settings: NumberStyle;
}) {
  const cooks = useCooksQuery().data ?? [];
  const who = (cookId: string | null): string => {
    const cook = cooks.find(({ id }) => id === cookId);
    return cook ? `${cook.initials}, ` : '';
  };
  const massAfter = (count: number): string => {
    const events = trial.events.slice(0, count).map(({ event }) => event);
    const massG = trialPortions(trial.lines, events, catalogue).reduce(
      (sum, portion) => sum + portion.massG.nominal,
      0,
    );
    return formatAmount(massG, 'g', settings);
  };
  return (
    <ol className="text-sm" data-testid="jar-log">
      <LogLine at={trial.at} who={who(trial.by.cookId)} mass={massAfter(0)}>
        <strong>Made from v{trial.version}</strong>
      </LogLine>
      {trial.events.map(({ id, event, by, at }, i) => (
        <LogLine key={id} at={at} who={who(by.cookId)} mass={massAfter(i + 1)}>
          {event.kind === 'tasted' ? (
            <>
              {sayTasting(event)}
              {event.note && `: ${event.note}`}
            </>
          ) : (
            <strong>
              Added{' '}
              {event.lines
                .map(
                  ({ ingredientId, massG }) =>
                    `${formatAmount(massG, 'g', settings)} ${inSentence(catalogue.get(ingredientId)?.name ?? ingredientId)}`,
                )
                .join(', ')}
            </strong>
          )}
        </LogLine>
      ))}
    </ol>
  );
}

function LogLine({
  at,
  who,
  mass,
  children,
}: {
  at: string;
  who: string;
  mass: string;
  children: React.ReactNode;
}) {
  return (
    <li className="grid grid-cols-[1fr_auto] gap-3 border-b border-rule py-1.5">
      <span>
        {children}{' '}
        <span className="text-quiet">
          {who}
          {formatMoment(at)}
        </span>
      </span>
      <span className="whitespace-nowrap">{mass}</span>
    </li>
  );
}
