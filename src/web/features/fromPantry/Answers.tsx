import { type FormulateAnswer, type Rounding } from '#core/balance';
import { fromPantryWords } from '#words/screens/fromPantry';
import { Button } from '../../ui/Button';
import { useSearch } from '../../workers/useSearch';
type Found = Extract<ReturnType<typeof useSearch<'formulate'>>['search'], { status: 'done' }>['answer'];

export function Answers({
  answer: { outcome, roundings },
  columns,
  onOpen,
  busy,
  volumeMl,
}: {
  answer: Found;
  columns: (answer: FormulateAnswer, rounding: Rounding) => React.ReactNode;
  onOpen: (answer: FormulateAnswer, rounding: Rounding) => void;
  busy: boolean;
  volumeMl: number;
}) {
  switch (outcome.status) {
    case 'not-enough':
      return (
        <p role="status">{fromPantryWords.allOfThatTogetherMakes(Math.floor(outcome.mostMl), volumeMl)}</p>
      );
    case 'too-much':
      return <p role="status">{fromPantryWords.whatIsToBeUsed(Math.ceil(outcome.leastMl))}</p>;
    case 'nothing-to-aim-for':
      return <p role="status">{fromPantryWords.thisStyleHasNoWindows}</p>;
    case 'answers':
      return (
        <ol
          className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-[repeat(auto-fill,minmax(12.25rem,1fr))]"
          data-testid="answers"
        >
          {outcome.answers.map((entry, index) => (
            <li key={index} className="flex flex-col rounded-lg border border-rule bg-paper p-3">
              {columns(entry, roundings[index]!)}
              <Button
                kind={index === 0 ? 'main' : 'plain'}
                className="mt-3"
                disabled={busy}
                onClick={() => {
                  onOpen(entry, roundings[index]!);
                }}
              >
                {fromPantryWords.openAsADraft}
              </Button>
            </li>
          ))}
        </ol>
      );
  }
}
