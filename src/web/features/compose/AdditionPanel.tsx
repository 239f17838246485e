import { useState } from 'react';
import type { Addition } from '#core/formula';
import { findIngredient, type Catalogue } from '#core/ingredient';
import { Button } from '../../ui/Button';
import { Panel } from '../../ui/Panel';

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
        ? `Taken as ${found.ingredient.name}.`
        : ''
      : `Not in the pantry.${found.near.length ? ` Near it: ${found.near.map((near) => near.name).join('; ')}.` : ''} It is kept as typed and not reckoned.`;
  return (
    <Panel title={known?.name ?? 'Addition'} open onClose={onClose}>
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
          Ingredient
          <input
            className="field font-normal"
            value={name}
            maxLength={200}
            list="known-ingredients"
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
          Form
          <input
            className="field font-normal"
            value={form}
            maxLength={200}
            placeholder="grated to a paste"
            onChange={(event) => {
              setForm(event.target.value);
            }}
          />
        </label>
        <label className="grid gap-1 font-semibold">
          Note
          <textarea
            className="field min-h-20 font-normal"
            value={note}
            maxLength={2000}
            placeholder="label says 5 % acid"
            onChange={(event) => {
              setNote(event.target.value);
            }}
          />
        </label>
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={!name.trim()}>
            Keep
          </Button>
          <Button onClick={onClose}>Leave as it was</Button>
        </div>
      </form>
    </Panel>
  );
}
