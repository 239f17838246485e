import { partsWords } from '#words/screens/parts';
import type { Caution, Keeping } from '#core/safety';
import { sayCaution, sayCautions } from '#words/safety';

interface CautionLinesProps {
  readonly of: { readonly cautions: readonly Caution[]; readonly keeping: Keeping };
  /** Guests and menu are told where it is served. */
  readonly serving?: boolean;
  /** The rest is folded behind one press; false where another press shows all. */
  readonly more?: boolean;
  /** At most so many sentences, the gravest first; the press that shows all shows the others. */
  readonly most?: number;
}

/** What may hurt somebody in one line, at most two of what to do, the rest on request. */
export function CautionLines({ of, serving = false, more = true, most = Infinity }: CautionLinesProps) {
  const said = sayCautions(of, { serving });
  return (
    <>
      {said.grave !== null && (
        <p className="font-semibold [overflow-wrap:anywhere] text-acid-ink" data-testid="grave">
          {said.grave}
        </p>
      )}
      {said.lines.slice(0, said.grave === null ? most : most - 1).map((line) => (
        <p key={line} className="[overflow-wrap:anywhere]">
          {line}
        </p>
      ))}
      {more && said.more.length > 0 && (
        <details>
          <summary className="min-h-8 cursor-pointer py-1 font-semibold underline underline-offset-2">
            {partsWords.lengthMoreWithReasons(said.more.length)}
          </summary>
          <ul className="grid gap-1 [overflow-wrap:anywhere]">
            {said.more.map((caution) => {
              const { what, why } = sayCaution(caution);
              return (
                <li key={caution.code}>
                  <strong>{what}</strong> {why}
                </li>
              );
            })}
          </ul>
        </details>
      )}
    </>
  );
}
