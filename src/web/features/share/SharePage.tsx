import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { stageStarts, type FormulaId } from '#core/formula';
import { toCsv, toJsonLd, toMarkdown, toPlainText, type RecipeText } from '#core/interchange';
import { reckonFormula } from '#core/reckoning';
import { formatVolume } from '#words/numbers';
import { contextFor, vesselOf } from '#kitchen/reading';
import { shareWords } from '#words/screens/share';
import { Alert } from '../../ui/Alert';
import { useKitchen } from '../../data/kitchen';
import { useWorking } from '../../sync/useWorking';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { FormulaPending } from '../../parts/FormulaPage';
import { usePaper } from '../../data/usePaper';
import { formulaSheet, methodOf } from '#kitchen/paper';
import { saveText } from '../../ui/saveFile';
import { additionRows, ADDITION_HEADER } from '#kitchen/tables';
import { StageHead } from '../../parts/StageHead';

/** A formula out of the kitchen, in forms that others can read. */
export function SharePage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  return working ? (
    <Share key={id} working={working} />
  ) : (
    <FormulaPending error={error} retry={retry} what={shareWords.theFormula} />
  );
}

function Share({ working }: { working: WorkingFormula }) {
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const { formula } = working;
  const [copied, setCopied] = useState<string | null>(null);
  const paper = usePaper();
  const vessel = vesselOf(formula, kitchen.vessels);
  const reckoning = useMemo(
    () => reckonFormula(formula, vessel, contextFor(formula, kitchen)),
    [formula, vessel, kitchen],
  );
  const recipe = useMemo((): RecipeText => {
    const counted = reckoning.additions.filter((entry) => entry.counted);
    return {
      name: formula.name,
      yields: formatVolume(reckoning.totals.mixedVolumeMl, settings),
      ingredients: counted.map(({ addition, reading }) => {
        const name = reading.status === 'read' ? reading.ingredient.name : addition.ingredientText;
        const said = `${addition.amountText} ${name}${addition.form ? `, ${addition.form}` : ''}`.trim();
        // What a cook noted stands by its line; how it is made is what the making says.
        return addition.note ? `${said} (${addition.note.split('\n').filter(Boolean).join('; ')})` : said;
      }),
      stages: stageStarts(
        formula,
        counted.map(({ addition }) => addition),
      ),
      instructions: methodOf(formula, reckoning, vessel, kitchen),
    };
  }, [reckoning, formula, vessel, kitchen, settings]);
  const file =
    formula.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'formula';
  const plain = toPlainText(recipe);
  const forms = formsOf(recipe, file, [ADDITION_HEADER, ...additionRows(formula, reckoning)]);
  const copy = (name: string, text: string): void => {
    void navigator.clipboard.writeText(text).then(
      () => {
        setCopied(shareWords.nameIsCopied(name));
      },
      () => {
        setCopied(shareWords.thisBrowserDoesNotLet);
      },
    );
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <StageHead id={working.id} name={formula.name} detail={shareWords.toOthers} />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-2">
        <section
          aria-label={shareWords.forms}
          className="card grid grid-cols-[minmax(0,1fr)] content-start gap-1 p-4"
        >
          <h2 className="font-name text-lg font-bold">{shareWords.asOthersCanReadIt}</h2>
          <ul>
            <li className="flex flex-wrap items-center gap-3 border-t border-rule py-2">
              <span className="flex-1 basis-56">
                <strong>{shareWords.ygranaDocument}</strong> {shareWords.withAllVersionsLossless}
              </span>
              <a
                href={`/api/document?formula=${working.id}`}
                download={shareWords.fileYgranaJson(file)}
                className="inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint"
              >
                {shareWords.save}
              </a>
            </li>
            {forms.map((form) => (
              <FormRow key={form.name} form={form} onCopy={copy} />
            ))}
          </ul>
          <div className="flex flex-wrap items-center gap-3 border-t border-rule py-2">
            <span className="flex-1 basis-56">
              <strong>{shareWords.pdf}</strong>
              {shareWords.onePageToPrintWith}
            </span>
            <Button
              disabled={paper.busy}
              onClick={() =>
                void paper.print('sheet', formulaSheet(formula, reckoning, vessel, settings), `${file}.pdf`)
              }
            >
              {shareWords.save}
              <span className="sr-only"> {shareWords.pdf}</span>
            </Button>
          </div>
          {paper.error && <Alert>{paper.error}</Alert>}
          {copied && <p role="status">{copied}</p>}
          <p className="text-sm text-quiet">
            {shareWords.asItIsComposedNow}{' '}
            <Link to={`/formulas/${working.id}/batch`} className="underline">
              {shareWords.batch}
            </Link>
            .
          </p>
        </section>
        <section aria-label={shareWords.asPlainText} className="card p-4">
          <pre className="font-sans whitespace-pre-wrap" data-testid="plain-text">
            {plain}
          </pre>
        </section>
      </div>
    </div>
  );
}

interface TextForm {
  readonly name: string;
  readonly says: string;
  readonly text: string;
  readonly as: string;
  readonly type: string;
}
/** The forms that others can read. */
function formsOf(
  recipe: RecipeText,
  file: string,
  table: readonly (readonly string[])[],
): readonly TextForm[] {
  return [
    {
      name: shareWords.plainText,
      says: shareWords.forAMessage,
      text: toPlainText(recipe),
      as: `${file}.txt`,
      type: 'text/plain',
    },
    {
      name: shareWords.markdown,
      says: shareWords.forNotes,
      text: toMarkdown(recipe),
      as: `${file}.md`,
      type: 'text/markdown',
    },
    {
      name: shareWords.recipeJsonLd,
      says: shareWords.schemaOrgForOtherPrograms,
      text: JSON.stringify(toJsonLd(recipe), null, 2),
      as: `${file}.jsonld`,
      type: 'application/ld+json',
    },
    {
      name: shareWords.tableCsv,
      says: shareWords.forASpreadsheetComesBack,
      text: toCsv(table),
      as: `${file}.csv`,
      type: 'text/csv',
    },
  ];
}

interface FormRowProps {
  readonly form: TextForm;
  readonly onCopy: (name: string, text: string) => void;
}
function FormRow({ form: { name, says, text, as, type }, onCopy }: FormRowProps) {
  return (
    <li className="flex flex-wrap items-center gap-3 border-t border-rule py-2">
      <span className="flex-1 basis-56">
        <strong>{name}</strong>, {says}
      </span>
      <Button
        onClick={() => {
          saveText(text, as, type);
        }}
      >
        {shareWords.save}
        <span className="sr-only"> {name}</span>
      </Button>
      <Button
        onClick={() => {
          onCopy(name, text);
        }}
      >
        {shareWords.copy}
        <span className="sr-only"> {name}</span>
      </Button>
    </li>
  );
}
