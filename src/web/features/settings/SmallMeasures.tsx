import { useFormState, type Control, type FieldPath } from 'react-hook-form';
import type { Settings } from '#contract';
import { sayCode } from '#words/problems';
import { formWords } from '#words/screens/form';
import { settingsWords } from '#words/screens/settings';
import { ReadField } from '../../form/fields';

type SettingsControl = Control<Settings, unknown, Settings>;
const BOUNDS = [
  ['nominal', settingsWords.usual],
  ['low', settingsWords.low],
  ['high', settingsWords.high],
] as const;
const SMALL_MEASURES = [
  { path: 'smallMeasures.volumeMl.pinch', label: settingsWords.aPinch, unit: 'ml' },
  { path: 'smallMeasures.volumeMl.dash', label: settingsWords.aDash, unit: 'ml' },
  { path: 'smallMeasures.volumeMl.drop', label: settingsWords.aDrop, unit: 'ml' },
  { path: 'smallMeasures.volumeMl.splash', label: settingsWords.aSplash, unit: 'ml' },
  { path: 'smallMeasures.volumeMl.ladle', label: settingsWords.aLadle, unit: 'ml' },
  { path: 'smallMeasures.massG.grind', label: settingsWords.aGrind, unit: 'g' },
  { path: 'smallMeasures.massG.knob', label: settingsWords.aKnob, unit: 'g' },
  { path: 'smallMeasures.massG.handful', label: settingsWords.aHandfulOfLeaves, unit: 'g' },
] as const;

/** What a pinch and its like come to here, with their spread. */
export function SmallMeasures({ control }: { control: SettingsControl }) {
  return (
    <fieldset>
      <legend className="font-semibold">{settingsWords.smallMeasures}</legend>
      <p className="mb-2 text-sm text-quiet">{settingsWords.commonPracticeAndLooseThe}</p>
      <div className="grid grid-cols-[minmax(5.5rem,1fr)_repeat(3,minmax(2.75rem,5.2rem))_2rem] items-center gap-x-2 gap-y-1.5">
        <span />
        {BOUNDS.map(([bound, words]) => (
          <span key={bound} className="text-sm text-quiet">
            {words}
          </span>
        ))}
        <span />
        {SMALL_MEASURES.map(({ path, label, unit }) => (
          <div key={path} className="contents">
            <span>{label}</span>
            {BOUNDS.map(([bound, words]) => (
              <ReadField
                key={bound}
                bare
                control={control}
                name={`${path}.${bound}`}
                label={`${label}, ${words}, ${unit}`}
              />
            ))}
            <span className="text-sm text-quiet">{unit}</span>
            <ProblemOf
              control={control}
              paths={[path, ...BOUNDS.map(([bound]) => `${path}.${bound}` as const)]}
              label={label}
            />
          </div>
        ))}
      </div>
    </fieldset>
  );
}

interface ProblemOfProps {
  readonly control: SettingsControl;
  readonly paths: readonly FieldPath<Settings>[];
  readonly label?: string;
}
/** What is wrong with one of these, below their row. */
export function ProblemOf({ control, paths, label }: ProblemOfProps) {
  const { errors } = useFormState({ control });
  for (const path of paths) {
    const found = errorAt(errors, path);
    if (found?.message === undefined) continue;
    const words = sayCode(found.message) ?? found.message;
    return (
      <span className="col-span-full text-sm text-acid-ink">
        {label === undefined ? formWords.sentence(words) : `${label}: ${words}.`}
      </span>
    );
  }
  return null;
}

interface Found {
  readonly type?: string;
  readonly message?: string;
  readonly root?: Found;
}
function errorAt(errors: object, path: string): Found | undefined {
  const found = path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], errors) as
    Found | undefined;
  return found?.message === undefined ? found?.root : found;
}
