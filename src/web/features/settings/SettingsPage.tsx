import { useState } from 'react';
import { settingsSchema, type Settings } from '#contract';
import { SPOON_VOLUMES, type Range, type SpoonSystem } from '#core/quantity';
import { settingsWords } from '#words/screens/settings';
import {
  sayError,
  useSaveSettingsMutation,
  useSessionQuery,
  useSettingsQuery,
  useSignOutMutation,
} from '../../data/kitchenApi';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { BackupPart } from './BackupPart';
import { ThisDevice } from './ThisDevice';
import { BatchSettings } from './BatchSettings';
import { Complaint, NumberField } from './NumberField';
import { Loading, Trouble } from '../../parts/PageState';

export function SettingsPage() {
  const { data, error, refetch } = useSettingsQuery();
  if (data) {
    return (
      <>
        <SettingsForm saved={data} />
        <ThisDevice kitchenSign={data.decimalSign} />
        <BackupPart />
        <SignOut />
      </>
    );
  }
  return error ? (
    <Trouble error={error} retry={() => void refetch()} />
  ) : (
    <Loading what={settingsWords.settings} />
  );
}

const SPOON_NAMES: Record<SpoonSystem, string> = {
  us: 'US',
  metric: settingsWords.metric,
  imperial: settingsWords.imperial,
  au: settingsWords.australian,
};

type MeasureKind = 'volumeMl' | 'massG';
const BOUND_WORDS = {
  nominal: settingsWords.usual,
  low: settingsWords.low,
  high: settingsWords.high,
} as const;
const SMALL_MEASURES: readonly { kind: MeasureKind; name: string; label: string; unit: string }[] = [
  { kind: 'volumeMl', name: 'pinch', label: settingsWords.aPinch, unit: 'ml' },
  { kind: 'volumeMl', name: 'dash', label: settingsWords.aDash, unit: 'ml' },
  { kind: 'volumeMl', name: 'drop', label: settingsWords.aDrop, unit: 'ml' },
  { kind: 'volumeMl', name: 'splash', label: settingsWords.aSplash, unit: 'ml' },
  { kind: 'volumeMl', name: 'ladle', label: settingsWords.aLadle, unit: 'ml' },
  { kind: 'massG', name: 'grind', label: settingsWords.aGrind, unit: 'g' },
  { kind: 'massG', name: 'knob', label: settingsWords.aKnob, unit: 'g' },
  { kind: 'massG', name: 'handful', label: settingsWords.aHandfulOfLeaves, unit: 'g' },
];

function SettingsForm({ saved }: { saved: Settings }) {
  const [save, saving] = useSaveSettingsMutation();
  const [draft, setDraft] = useState<Settings>(saved);
  const checked = settingsSchema.safeParse(draft);
  const problems = new Map(
    checked.success ? [] : checked.error.issues.map((issue) => [issue.path.join('.'), issue.message]),
  );
  const set = (patch: Partial<Settings>): void => {
    setDraft((now) => ({ ...now, ...patch }));
  };
  const setMeasure = (kind: MeasureKind, name: string, bound: keyof Range, value: number): void => {
    const group = draft.smallMeasures[kind] as Readonly<Record<string, Range>>;
    set({
      smallMeasures: {
        ...draft.smallMeasures,
        [kind]: { ...group, [name]: { ...group[name], [bound]: value } },
      } as Settings['smallMeasures'],
    });
  };
  const changed = JSON.stringify(draft) !== JSON.stringify(saved);
  return (
    <form
      className="card mx-auto mt-2 grid max-w-3xl grid-cols-1 gap-4 p-5"
      onSubmit={(event) => {
        event.preventDefault();
        if (checked.success) void save(checked.data);
      }}
    >
      <h1 className="font-name text-2xl font-bold">{settingsWords.settings2}</h1>
      <div className="grid grid-cols-1 gap-4 sm:grid-cols-2">
        <label className="grid gap-1 font-semibold">
          {settingsWords.kitchen}
          <input
            className="field font-normal"
            value={draft.kitchenName}
            maxLength={120}
            aria-invalid={problems.has('kitchenName')}
            onChange={(event) => {
              set({ kitchenName: event.target.value });
            }}
          />
          <Complaint text={problems.get('kitchenName')} />
        </label>
        <label className="grid gap-1 font-semibold">
          {settingsWords.servingMl}
          <NumberField
            value={draft.servingVolumeMl}
            label={settingsWords.servingMl}
            invalid={problems.has('servingVolumeMl')}
            onChange={(servingVolumeMl) => {
              set({ servingVolumeMl });
            }}
          />
          <span className="text-sm font-normal text-quiet">{settingsWords.forNewFormulas}</span>
          <Complaint text={problems.get('servingVolumeMl')} />
        </label>
        <label className="grid gap-1 font-semibold">
          {settingsWords.makingsThatProveAVersion}
          <NumberField
            value={draft.provenAfter}
            label={settingsWords.makingsThatProveAVersion}
            invalid={problems.has('provenAfter')}
            onChange={(provenAfter) => {
              set({ provenAfter });
            }}
          />
          <span className="text-sm font-normal text-quiet">{settingsWords.rightAsMadeWithoutA}</span>
          <Complaint text={problems.get('provenAfter')} />
        </label>
        <label className="grid gap-1 font-semibold">
          {settingsWords.currency}
          <input
            className="field font-normal"
            value={draft.currency}
            maxLength={4}
            aria-invalid={problems.has('currency')}
            onChange={(event) => {
              set({ currency: event.target.value });
            }}
          />
          <span className="text-sm font-normal text-quiet">{settingsWords.theSignBeforePricesNothing}</span>
          <Complaint text={problems.get('currency')} />
        </label>
        <div className="grid grid-cols-1 gap-1">
          <span className="font-semibold">{settingsWords.spoonsAndCupsOfNew}</span>
          <Choice
            label={settingsWords.spoonsAndCups}
            value={draft.spoons}
            options={(Object.keys(SPOON_NAMES) as SpoonSystem[]).map((value) => ({
              value,
              label: settingsWords.spoonnamesTbspTbspmlMlCup(
                SPOON_NAMES[value],
                SPOON_VOLUMES[value].tbspMl.toFixed(1),
                SPOON_VOLUMES[value].cupMl.toFixed(0),
              ),
            }))}
            onChange={(spoons) => {
              set({ spoons });
            }}
          />
          <span className="text-sm text-quiet">{settingsWords.aFormulaKeepsTheSpoons}</span>
        </div>
        <div className="grid grid-cols-1 gap-1">
          <span className="font-semibold">{settingsWords.decimalSign}</span>
          <Choice
            label={settingsWords.decimalSign}
            value={draft.decimalSign}
            options={[
              { value: 'point', label: settingsWords.point151500 },
              { value: 'comma', label: settingsWords.comma151500 },
            ]}
            onChange={(decimalSign) => {
              set({ decimalSign });
            }}
          />
          <span className="text-sm text-quiet">{settingsWords.n05And05}</span>
        </div>
        <div className="grid grid-cols-1 gap-1">
          <span className="font-semibold">{settingsWords.besideEachAmount}</span>
          <Choice
            label={settingsWords.besideEachAmount}
            value={draft.amountsIn}
            options={[
              { value: 'grams', label: settingsWords.grams },
              { value: 'spoons', label: settingsWords.nearestKitchenMeasure },
            ]}
            onChange={(amountsIn) => {
              set({ amountsIn });
            }}
          />
        </div>
      </div>
      <fieldset>
        <legend className="font-semibold">{settingsWords.smallMeasures}</legend>
        <p className="mb-2 text-sm text-quiet">{settingsWords.commonPracticeAndLooseThe}</p>
        <div className="grid grid-cols-[minmax(0,1fr)_repeat(3,minmax(3rem,5.2rem))_2rem] items-center gap-x-2 gap-y-1.5">
          <span />
          <span className="text-sm text-quiet">{settingsWords.usual}</span>
          <span className="text-sm text-quiet">{settingsWords.low}</span>
          <span className="text-sm text-quiet">{settingsWords.high}</span>
          <span />
          {SMALL_MEASURES.map(({ kind, name, label, unit }) => {
            const range = (draft.smallMeasures[kind] as Readonly<Record<string, Range>>)[name]!;
            const path = `smallMeasures.${kind}.${name}`;
            const problem =
              problems.get(path) ?? [...problems].find(([key]) => key.startsWith(`${path}.`))?.[1];
            return (
              <div key={name} className="contents">
                <span>{label}</span>
                {(['nominal', 'low', 'high'] as const).map((bound) => (
                  <NumberField
                    key={bound}
                    value={range[bound]}
                    label={`${label}, ${BOUND_WORDS[bound]}, ${unit}`}
                    invalid={problem !== undefined}
                    onChange={(value) => {
                      setMeasure(kind, name, bound, value);
                    }}
                  />
                ))}
                <span className="text-sm text-quiet">{unit}</span>
                {problem && (
                  <span className="col-span-full text-sm text-acid-ink">
                    {label}: {problem}.
                  </span>
                )}
              </div>
            );
          })}
        </div>
      </fieldset>
      <BatchSettings
        batch={draft.batch}
        problems={problems}
        onChange={(batch) => {
          set({ batch });
        }}
      />
      <div className="flex flex-wrap items-center gap-3">
        <Button kind="main" type="submit" disabled={!checked.success || !changed || saving.isLoading}>
          {settingsWords.save}
        </Button>
        <Button
          disabled={!changed}
          onClick={() => {
            setDraft(saved);
          }}
        >
          {settingsWords.backToWhatIsSaved}
        </Button>
        <span role="status" className={saving.isError ? 'font-semibold text-acid-ink' : 'text-quiet'}>
          {saving.isError
            ? settingsWords.notSavedError(sayError(saving.error))
            : changed
              ? settingsWords.notSavedYet
              : saving.isSuccess
                ? settingsWords.saved
                : ''}
        </span>
      </div>
    </form>
  );
}

/** Only where the kitchen asks for a passcode. */
function SignOut() {
  const session = useSessionQuery().data;
  const [signOut, leaving] = useSignOutMutation();
  if (!session?.needed) return null;
  return (
    <div className="card mx-auto mt-3 flex max-w-3xl flex-wrap items-center gap-3 p-5">
      {settingsWords.thisKitchenAsksVisitorsFor}
      <Button onClick={() => void signOut()} disabled={leaving.isLoading}>
        {settingsWords.signOutOnThisDevice}
      </Button>
      {leaving.isError && (
        <span className="text-acid-ink">{settingsWords.notDoneError(sayError(leaving.error))}</span>
      )}
    </div>
  );
}
