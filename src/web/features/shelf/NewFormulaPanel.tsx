import { useState } from 'react';
import { Link } from 'react-router';
import { STYLE_IDS, STYLE_RECIPES, type StyleId } from '#core/palate';
import { sayStyle } from '#words/palate';
import { shelfToolWords } from '#words/screens/shelfTools';
import { shelfWords } from '#words/screens/shelf';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

export type NewFrom =
  | { readonly from: 'nothing' }
  | { readonly from: 'style'; readonly style: StyleId }
  | { readonly from: 'text'; readonly text: string };

/** A new formula: empty, from a style's invented start, or from pasted lines. */
export function NewFormulaPanel({
  busy,
  trouble,
  onMake,
  onClose,
}: {
  busy: boolean;
  trouble: string | null;
  onMake: (what: NewFrom) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  return (
    <Dialog title={shelfWords.newFormula} open onClose={onClose}>
      {trouble && <Alert className="mb-3">{shelfToolWords.notMadeTrouble(trouble)}</Alert>}
      <Button
        kind="main"
        autoFocus
        disabled={busy}
        onClick={() => {
          onMake({ from: 'nothing' });
        }}
      >
        {shelfToolWords.emptyJar}
      </Button>
      <Link
        to="/from-pantry"
        className="ml-2 inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint"
      >
        {shelfToolWords.fromThePantryFindThe}
      </Link>
      <Link
        to="/import"
        className="mt-2 ml-2 inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint sm:mt-0"
      >
        {shelfToolWords.bringInARecipe}
      </Link>
      <Link
        to="/from-label"
        className="mt-2 ml-2 inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint sm:mt-0"
      >
        {shelfToolWords.fromALabel}
      </Link>
      <Link
        to="/from-liking"
        className="mt-2 ml-2 inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint sm:mt-0"
      >
        {shelfToolWords.fromALiking}
      </Link>
      <h3 className="font-name mt-5 mb-1 font-bold">{shelfToolWords.orStartFromAStyle}</h3>
      <p className="mb-2 text-sm text-quiet">{shelfToolWords.inventedAmountsToBeChanged}</p>
      <ul className="grid grid-cols-[minmax(0,1fr)] gap-1 sm:grid-cols-2">
        {STYLE_IDS.map((style) => (
          <li key={style}>
            <button
              type="button"
              disabled={busy}
              className="w-full rounded-md border border-rule bg-paper px-3 py-1.5 text-left hover:border-leaf hover:bg-mint"
              onClick={() => {
                onMake({ from: 'style', style });
              }}
            >
              <span className="block font-semibold">{STYLE_RECIPES[style].name}</span>
              <span className="block text-sm text-quiet">{sayStyle({ id: style, says: '' })}</span>
            </button>
          </li>
        ))}
      </ul>
      <form
        className="mt-5 grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim()) onMake({ from: 'text', text });
        }}
      >
        <label className="grid gap-1 font-semibold">
          {shelfToolWords.orPasteAListOne}
          <textarea
            className="field min-h-24 font-normal"
            maxLength={20_000}
            placeholder={shelfToolWords.n30MlCiderVinegar1}
            value={text}
            onChange={(event) => {
              setText(event.target.value);
            }}
          />
        </label>
        <Button type="submit" disabled={busy || !text.trim()} className="justify-self-start">
          {shelfToolWords.makeItFromTheseLines}
        </Button>
      </form>
    </Dialog>
  );
}
