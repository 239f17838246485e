import { DISH_KINDS, DRESSED, WATER_SOURCES } from '#core/service';
import { serveWords } from '#words/screens/serve';
import { Chips } from '../../ui/Chips';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { IconButton } from '../../ui/Button';
import { X } from 'lucide-react';
import type { Dish } from './dish';
import { DRESSED_WORDS, DISH_NAMES, TIMING_WORDS, WATER_NAMES } from '#words/service';

const NONE = 'none';

/** What is to be dressed. */
export function DishForm({ dish }: { dish: Dish }) {
  const { kind, dressed, servingText, coversText, servingG, covers, watery, set } = dish;
  const others = WATER_SOURCES.filter((source) => !watery.some((part) => part.source === source));
  return (
    <section aria-label={serveWords.theDish} className="card grid grid-cols-1 content-start gap-3 p-4">
      <h2 className="font-name text-lg font-bold">{serveWords.theDish}</h2>
      <Choice
        label={serveWords.kindOfDish}
        value={kind}
        options={DISH_KINDS.map((value) => ({ value, label: DISH_NAMES[value] }))}
        onChange={(value) => {
          // Another dish has its own weight and its own moment.
          set({ dish: value, each: null, when: null });
        }}
      />
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={serveWords.oneServingG}
          inputMode="decimal"
          value={servingText}
          onText={(text) => {
            set({ each: text });
          }}
          problem={servingG !== null && servingG > 0 ? null : serveWords.aWeightAboveNothing}
        />
        <Field
          label={serveWords.servings}
          inputMode="decimal"
          value={coversText}
          onText={(text) => {
            set({ covers: text });
          }}
          problem={covers !== null && covers > 0 ? null : serveWords.howMany}
        />
      </div>
      <Chips
        label={serveWords.howWellDressed}
        value={dressed}
        options={DRESSED.map((value) => ({ value, label: DRESSED_WORDS[value] }))}
        onChange={(value) => {
          set({ dressed: value });
        }}
      />
      <p className="text-quiet">{TIMING_WORDS[kind]}</p>
      <div className="grid gap-2 border-t border-rule pt-3">
        <h3 className="font-semibold">{serveWords.waterInTheBowl}</h3>
        {watery.map(({ source, text, massG }) => (
          <div key={source} className="flex items-start gap-2">
            <Field
              label={`${WATER_NAMES[source]}, g`}
              inputMode="decimal"
              value={text}
              onText={(next) => {
                set({ [source]: next });
              }}
              problem={massG !== null && massG >= 0 ? null : serveWords.aWeight}
              className="flex-1"
            />
            <IconButton
              label={serveWords.withoutWaternames(WATER_NAMES[source].toLowerCase())}
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
            label={serveWords.whatBringsWater}
            value={NONE}
            options={[
              { value: NONE, label: watery.length > 0 ? serveWords.andAlso : serveWords.nothingThatThinsIt },
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
