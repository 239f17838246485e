import { DISH_KINDS, DRESSED, WATER_SOURCES } from '#core/service';
import { Chips } from '../../ui/Chips';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { IconButton } from '../../ui/Button';
import { X } from 'lucide-react';
import type { Dish } from './dish';
import { DISH_NAMES, TIMING_WORDS, WATER_NAMES } from '#words/service';

const NONE = 'none';

/** What is to be dressed. */
export function DishForm({ dish }: { dish: Dish }) {
  const { kind, dressed, servingText, coversText, servingG, covers, watery, set } = dish;
  const others = WATER_SOURCES.filter((source) => !watery.some((part) => part.source === source));
  return (
    <section aria-label="The dish" className="card grid grid-cols-1 content-start gap-3 p-4">
      <h2 className="font-name text-lg font-bold">The dish</h2>
      <Choice
        label="Kind of dish"
        value={kind}
        options={DISH_KINDS.map((value) => ({ value, label: DISH_NAMES[value] }))}
        onChange={(value) => {
          // Another dish has its own weight and its own moment.
          set({ dish: value, each: null, when: null });
        }}
      />
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="One serving, g"
          inputMode="decimal"
          value={servingText}
          onText={(text) => {
            set({ each: text });
          }}
          problem={servingG !== null && servingG > 0 ? null : 'A weight above nothing.'}
        />
        <Field
          label="Servings"
          inputMode="decimal"
          value={coversText}
          onText={(text) => {
            set({ covers: text });
          }}
          problem={covers !== null && covers > 0 ? null : 'How many?'}
        />
      </div>
      <Chips
        label="How well dressed"
        value={dressed}
        options={DRESSED.map((value) => ({ value, label: value }))}
        onChange={(value) => {
          set({ dressed: value });
        }}
      />
      <p className="text-quiet">{TIMING_WORDS[kind]}</p>
      <div className="grid gap-2 border-t border-rule pt-3">
        <h3 className="font-semibold">Water in the bowl</h3>
        {watery.map(({ source, text, massG }) => (
          <div key={source} className="flex items-start gap-2">
            <Field
              label={`${WATER_NAMES[source]}, g`}
              inputMode="decimal"
              value={text}
              onText={(next) => {
                set({ [source]: next });
              }}
              problem={massG !== null && massG >= 0 ? null : 'A weight.'}
              className="flex-1"
            />
            <IconButton
              label={`Without ${WATER_NAMES[source].toLowerCase()}`}
              className="mt-6"
              onClick={() => {
                set({ [source]: null });
              }}
            >
              <X size={16} aria-hidden />
            </IconButton>
          </div>
        ))}
        {others.length > 0 && (
          <Choice
            label="What brings water"
            value={NONE}
            options={[
              { value: NONE, label: watery.length > 0 ? 'and also…' : 'nothing that thins it' },
              ...others.map((value) => ({ value, label: WATER_NAMES[value] })),
            ]}
            onChange={(value) => {
              if (value !== NONE) set({ [value]: '100' });
            }}
          />
        )}
      </div>
    </section>
  );
}
