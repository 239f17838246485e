import { X } from 'lucide-react';
import { useState } from 'react';
import {
  serviceSchema,
  type KeptDish,
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
import { readBowl } from '#kitchen/bowl';
import { sayTime, type Asked } from '#kitchen/day';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { sayDuration } from '#words/hold';
import type { PlannedBowls } from '../../data/bowls';
import { useKitchen } from '../../data/kitchen';
import { useShared } from '../../sync/useWork';
import { TimeField } from './planFields';
import { DISH_NAMES, DRESSED_WORDS, MOMENT_WORDS } from '#words/service';

interface ServiceFormProps {
  readonly content: PlanContent;
  readonly shelf: readonly ShelfRecord[];
  readonly asked: ReadonlyMap<string, Asked>;
  readonly bowls: PlannedBowls;
  readonly onChange: (services: PlanContent['services']) => void;
}

/** Services of the day, each with what is dressed at it. */
export function ServiceForm({ content, shelf, asked, bowls, onChange }: ServiceFormProps) {
  const kitchen = useKitchen();
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
              bowl={bowls.bowlOf(dish)}
              bestToMin={asked.get(dish.formulaId)?.bestToMin ?? null}
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
            kitchen={kitchen}
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
  bowl,
  bestToMin,
  name,
  onChange,
}: {
  dish: PlanDish;
  /** Its list; null: it has none. */
  bowl: KeptDish | null;
  /** Null: not known yet. */
  bestToMin: number | null;
  name: string;
  onChange: (next: PlanDish | null) => void;
}) {
  return (
    <div className="grid gap-1 rounded-md border border-rule p-2 text-sm">
      <div className="flex items-center gap-2">
        <span className="flex-1">
          <strong>{name}</strong>{' '}
          {bowl
            ? planWords.onBowl(bowl.name, DRESSED_WORDS[bowl.dressed])
            : planWords.onDishnamesDressedServinggG(
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
      {!dish.fresh && bestToMin !== null && bestToMin < A_DAY_MIN && (
        <p className="text-quiet">{planWords.bestWithin(sayDuration(bestToMin * 60))}</p>
      )}
    </div>
  );
}

const A_DAY_MIN = 1440;
const BOWL = 'bowl:';

function AddDish({ kitchen, onAdd }: { kitchen: Kitchen; onAdd: (dish: PlanDish) => void }) {
  const { data: choices, error } = useChoicesQuery('', false);
  const [picked, setPicked] = useState<ShelfRecord | null>(null);
  const chosen = picked ?? choices?.records[0];
  if (!choices) return error ? <Alert>{sayError(error)}</Alert> : null;
  if (!chosen) return <p className="text-quiet">{planWords.thereIsNoDressingOn}</p>;
  return (
    <div className="flex flex-wrap gap-2">
      <FormulaChoice label={planWords.dressing} chosen={picked} onChoose={setPicked} className="max-w-52" />
      <OnWhat key={chosen.id} chosen={chosen} kitchen={kitchen} onAdd={onAdd} />
    </div>
  );
}

/** A dish that the dressing has a list of, or a kind of dish. */
function OnWhat({
  chosen: { id, formula },
  kitchen,
  onAdd,
}: {
  chosen: ShelfRecord;
  kitchen: Kitchen;
  onAdd: (dish: PlanDish) => void;
}) {
  const listed = useShared('dishes', id).thing?.doc.dishes ?? [];
  const [what, setWhat] = useState<string | null>(null);
  const [dressed, setDressed] = useState<PlanDish['dressed']>('normally');
  const bowl = listed.find((one) => `${BOWL}${one.id}` === what) ?? null;
  const kind = DISH_KINDS.find((value) => value === what) ?? 'tender-leaves';
  const add = (): void => {
    const read = bowl && readBowl(bowl, null, [], contextFor(formula, kitchen));
    const about = { id: newId(), formulaId: id, version: null, fresh: true };
    if (!bowl || !read || read.massG <= 0) {
      onAdd({ ...about, kind, dressed, servingG: DISHES[kind].servingG, moment: TIMING[kind].best });
      return;
    }
    onAdd({
      ...about,
      kind: read.kind ?? 'raw-vegetables',
      dressed: bowl.dressed,
      servingG: Math.min(5000, read.massG / bowl.servings),
      moment: read.moment,
      bowlId: bowl.id,
    });
  };
  return (
    <>
      <Choice
        label={planWords.onWhat}
        value={bowl ? what! : kind}
        options={[
          ...listed.map(({ id: bowlId, name }) => ({ value: `${BOWL}${bowlId}`, label: name })),
          ...DISH_KINDS.map((value) => ({ value: value as string, label: DISH_NAMES[value] })),
        ]}
        onChange={setWhat}
        className="max-w-48"
      />
      {!bowl && (
        <Choice
          label={planWords.howWellDressed}
          value={dressed}
          options={DRESSED.map((value) => ({ value, label: DRESSED_WORDS[value] }))}
          onChange={setDressed}
        />
      )}
      <Button onClick={add}>{planWords.addTheDish}</Button>
    </>
  );
}
