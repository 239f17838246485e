/** What of a pasted text is no addition: shown where it was put, so that nothing is lost in silence. */
import { shareWords } from '#words/screens/share';
import { Button } from '../../ui/Button';

/** Things of the dish: they stay out of the jar unless the cook says otherwise. */
export function SetAside({
  dish,
  onTake,
}: {
  dish: readonly (Beside & { readonly place: number })[];
  onTake: (place: number) => void;
}) {
  return (
    <section aria-label={shareWords.ofTheDish} className="border-t border-rule pt-2">
      <h3 className="font-semibold">{shareWords.ofTheDish}</h3>
      <ul data-testid="import-dish">
        {dish.map(({ place, text }) => (
          <li key={place} className="flex flex-wrap items-center gap-3 py-0.5">
            <span className="min-w-0 flex-1">{text}</span>
            <Button
              onClick={() => {
                onTake(place);
              }}
            >
              {shareWords.putItIntoTheJar}
            </Button>
          </li>
        ))}
      </ul>
      <p className="text-sm text-quiet">{shareWords.theyBecomeItsDish}</p>
    </section>
  );
}

interface Beside {
  readonly at: number;
  readonly text: string;
}
/** What is no addition: the method as notes, headings left out. */
export function KeptBeside({ notes, headings }: { notes: readonly Beside[]; headings: readonly Beside[] }) {
  return (
    <>
      {notes.length > 0 && (
        <details>
          <summary className="min-h-8 cursor-pointer font-semibold">{shareWords.keptAsNotes}</summary>
          <ol className="list-decimal pl-6 text-sm" data-testid="import-notes">
            {notes.map(({ at, text }) => (
              <li key={at}>{text}</li>
            ))}
          </ol>
        </details>
      )}
      {headings.length > 0 && (
        <p className="text-sm text-quiet" data-testid="import-headings">
          {shareWords.leftOutAsHeadingsHeadings(
            headings.map(({ text }) => text.replace(/:$/, '')).join('; '),
          )}
        </p>
      )}
    </>
  );
}
