import { X } from 'lucide-react';
import { useState } from 'react';
import {
  serviceSchema,
  type PlanContent,
  type PlanDish,
  type PlanService,
  type ShelfRecord,
} from '#contract';
import { DISH_KINDS, DISHES, DRESSED, MOMENTS, TIMING } from '#core/service';
import { planWords } from '#words/screens/plan';
import { newId } from '../../sync/device';
import { Button, IconButton } from '../../ui/Button';
import { Alert } from '../../ui/Alert';
import { sayError } from '../../data/kitchenApi';
import { FormulaChoice, useChoicesQuery } from '../../parts/FormulaChoice';
import { Choice } from '../../ui/Choice';
import { ReadField, TextField } from '../../form/fields';
import { useDraft } from '../../form/useDraft';
import { sayTime } from '#kitchen/day';
import { TimeField } from './planFields';
import { DISH_NAMES, DRESSED_WORDS, MOMENT_WORDS } from '#words/service';

interface ServiceFormProps {
  readonly content: PlanContent;
  readonly shelf: readonly ShelfRecord[];
  readonly onChange: (services: PlanContent['services']) => void;
}

/** Services of the day, each with what is dressed at it. */
export function ServiceForm({ content, shelf, onChange }: ServiceFormProps) {
  const draft = useDraft<PlanService>({
    schema: serviceSchema,
    start: { id: newId(), name: planWords.lunch, atMin: 12 * 60, covers: 40, dishes: [] },
    startAnew: true,
    save: (service) => {
      onChange([...content.services, { ...service, id: newId(), name: service.name.trim() }]);
      return Promise.resolve();
    },
  });
  const { control } = draft.form;
  const change = (id: string, patch: Partial<PlanService>): void => {
    onChange(content.services.map((service) => (service.id === id ? { ...service, ...patch } : service)));
  };
  return (
    <section aria-label={planWords.services} className="card grid grid-cols-1 content-start gap-3 p-4">
      <h2 className="font-name text-lg font-bold">{planWords.services}</h2>
      {content.services.map((service) => (
        <div key={service.id} className="grid gap-2 border-t border-rule pt-2" data-testid="service">
          <div className="flex items-center gap-3">
            <strong className="flex-1">
              {planWords.nameSaytimeCoversCovers(service.name, sayTime(service.atMin * 60), service.covers)}
            </strong>
            <IconButton
              label={planWords.withoutName(service.name)}
              onClick={() => {
                onChange(content.services.filter(({ id }) => id !== service.id));
              }}
            >
              <X size={16} aria-hidden />
            </IconButton>
          </div>
          {service.dishes.map((dish) => (
            <DishRow
              key={dish.id}
              dish={dish}
              name={
                shelf.find(({ id }) => id === dish.formulaId)?.formula.name ?? planWords.aDressingThatIsGone
              }
              onChange={(next) => {
                change(service.id, {
                  dishes: next
                    ? service.dishes.map((one) => (one.id === dish.id ? next : one))
                    : service.dishes.filter((one) => one.id !== dish.id),
                });
              }}
            />
          ))}
          <AddDish
            onAdd={(dish) => {
              change(service.id, { dishes: [...service.dishes, dish] });
            }}
          />
        </div>
      ))}
      <form
        id="add-service"
        className="flex flex-wrap items-end gap-3 border-t border-rule pt-3"
        onSubmit={draft.submit}
      >
        <TextField control={control} name="name" label={planWords.service} maxLength={120} className="w-36" />
        <TimeField control={control} name="atMin" label={planWords.at} className="w-24" />
        <ReadField
          control={control}
          name="covers"
          label={planWords.covers}
          inputMode="numeric"
          className="w-24"
        />
        <Button type="submit" disabled={!draft.isValid}>
          {planWords.addTheService}
        </Button>
      </form>
    </section>
  );
}

function DishRow({
  dish,
  name,
  onChange,
}: {
  dish: PlanDish;
  name: string;
  onChange: (next: PlanDish | null) => void;
}) {
  return (
    <div className="grid gap-1 rounded-md border border-rule p-2 text-sm">
      <div className="flex items-center gap-2">
        <span className="flex-1">
          <strong>{name}</strong>{' '}
          {planWords.onDishnamesDressedServinggG(
            DISH_NAMES[dish.kind].toLowerCase(),
            DRESSED_WORDS[dish.dressed],
            dish.servingG,
          )}
        </span>
        <IconButton
          label={planWords.withoutName(name)}
          onClick={() => {
            onChange(null);
          }}
        >
          <X size={16} aria-hidden />
        </IconButton>
      </div>
      <div className="flex flex-wrap gap-2">
        <Choice
          label={planWords.whenNameGoesOn(name)}
          value={dish.moment}
          options={MOMENTS.map((value) => ({ value, label: MOMENT_WORDS[value] }))}
          onChange={(moment) => {
            onChange({ ...dish, moment });
          }}
        />
        <Choice
          label={planWords.whereNameComesFrom(name)}
          value={dish.fresh ? 'fresh' : 'fridge'}
          options={[
            { value: 'fresh', label: planWords.madeThatDay },
            { value: 'fridge', label: planWords.fromTheFridge },
          ]}
          onChange={(value) => {
            onChange({ ...dish, fresh: value === 'fresh' });
          }}
        />
      </div>
    </div>
  );
}

function AddDish({ onAdd }: { onAdd: (dish: PlanDish) => void }) {
  const { data: choices, error } = useChoicesQuery('', false);
  const [picked, setPicked] = useState<ShelfRecord | null>(null);
  const [kind, setKind] = useState<PlanDish['kind']>('tender-leaves');
  const [dressed, setDressed] = useState<PlanDish['dressed']>('normally');
  const chosen = picked ?? choices?.records[0];
  if (!choices) return error ? <Alert>{sayError(error)}</Alert> : null;
  if (!chosen) return <p className="text-quiet">{planWords.thereIsNoDressingOn}</p>;
  return (
    <div className="flex flex-wrap gap-2">
      <FormulaChoice label={planWords.dressing} chosen={picked} onChoose={setPicked} className="max-w-52" />
      <Choice
        label={planWords.onWhat}
        value={kind}
        options={DISH_KINDS.map((value) => ({ value, label: DISH_NAMES[value] }))}
        onChange={setKind}
        className="max-w-48"
      />
      <Choice
        label={planWords.howWellDressed}
        value={dressed}
        options={DRESSED.map((value) => ({ value, label: DRESSED_WORDS[value] }))}
        onChange={setDressed}
      />
      <Button
        onClick={() => {
          onAdd({
            id: newId(),
            formulaId: chosen.id,
            version: null,
            kind,
            dressed,
            servingG: DISHES[kind].servingG,
            moment: TIMING[kind].best,
            fresh: true,
          });
        }}
      >
        {planWords.addTheDish}
      </Button>
    </div>
  );
}
