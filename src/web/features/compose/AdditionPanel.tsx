import { useState } from 'react';
import type { Addition } from '#core/formula';
import { findIngredient, type Catalogue } from '#core/ingredient';
import { composeWords } from '#words/screens/compose';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

interface AdditionPanelProps {
  readonly addition: Addition;
  readonly catalogue: Catalogue;
  readonly onSave: (patch: Partial<Addition>) => void;
  readonly onClose: () => void;
}

/** Ingredient, form and note of one addition. */
export function AdditionPanel({ addition, catalogue, onSave, onClose }: AdditionPanelProps) {
  const known = addition.ingredientId ? catalogue.get(addition.ingredientId) : undefined;
  const [name, setName] = useState(known?.name ?? addition.ingredientText);
  const [form, setForm] = useState(addition.form);
  const [note, setNote] = useState(addition.note);
  const found = findIngredient(name, catalogue);
  const hint =
    found.status === 'found'
      ? found.guessed
        ? composeWords.takenAsName(found.ingredient.name)
        : ''
      : composeWords.notInThePantryForm(
          found.near.length ? composeWords.nearItNear(found.near.map((near) => near.name).join('; ')) : '',
        );
  return (
    <Dialog title={known?.name ?? composeWords.addition} open onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const ingredientId = found.status === 'found' ? found.ingredient.id : null;
          onSave({ ingredientId, ingredientText: name.trim(), form: form.trim(), note: note.trim() });
          onClose();
        }}
      >
        <label className="grid gap-1 font-semibold">
          {composeWords.ingredient}
          <input
            className="field font-normal"
            value={name}
            maxLength={200}
            list={composeWords.knownIngredients}
            onChange={(event) => {
              setName(event.target.value);
            }}
            aria-describedby="ingredient-hint"
          />
          <datalist id="known-ingredients">
            {[...catalogue.values()].map(({ id, name: option }) => (
              <option key={id} value={option} />
            ))}
          </datalist>
          <span id="ingredient-hint" className="text-sm font-normal text-quiet">
            {hint}
          </span>
        </label>
        <label className="grid gap-1 font-semibold">
          {composeWords.form}
          <input
            className="field font-normal"
            value={form}
            maxLength={200}
            placeholder={composeWords.gratedToAPaste}
            onChange={(event) => {
              setForm(event.target.value);
            }}
          />
        </label>
        <label className="grid gap-1 font-semibold">
          {composeWords.note}
          <textarea
            className="field min-h-20 font-normal"
            value={note}
            maxLength={2000}
            placeholder={composeWords.labelSays5Acid}
            onChange={(event) => {
              setNote(event.target.value);
            }}
          />
        </label>
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={!name.trim()}>
            {composeWords.keep}
          </Button>
          <Button onClick={onClose}>{composeWords.leaveAsItWas}</Button>
        </div>
      </form>
    </Dialog>
  );
}
