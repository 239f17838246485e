import { SETTINGS_ID, settingsSchema, type Settings } from '#contract';
import { settingsWords } from '#words/screens/settings';
import { firstJarWords } from '#words/screens/firstJar';
import { useState } from 'react';
import { sayError } from '../../data/kitchenApi';
import { useSettings } from '../../data/kitchen';
import { DECIMAL_SIGNS, SPOON_OPTIONS } from '../../form/settingsChoices';
import { useSaveShared } from '../../sync/useSaveShared';
import { Alert } from '../../ui/Alert';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';

/** Asked while the first jar is filled, kept at once; later it stands in Settings. */
export function FirstSettings() {
  const settings = useSettings();
  const [name, setName] = useState<string | null>(null);
  const [save, saving] = useSaveShared('settings');
  if (!settings) return null;
  const keep = (patch: Partial<Settings>): void => {
    const next = settingsSchema.safeParse({ ...settings, ...patch });
    if (next.success) save(SETTINGS_ID, settings, next.data).catch(() => undefined);
  };
  return (
    <section aria-label={firstJarWords.inPassing} className="card grid gap-3 p-5">
      <h2 className="font-semibold">{firstJarWords.inPassing}</h2>
      <div className="flex flex-wrap items-end gap-4">
        <Field
          label={settingsWords.kitchen}
          className="w-60"
          maxLength={120}
          value={name ?? settings.kitchenName}
          onText={setName}
          onBlur={() => {
            if (name?.trim()) keep({ kitchenName: name.trim() });
          }}
        />
        <Choice
          label={settingsWords.spoonsAndCupsOfNew}
          value={settings.spoons}
          options={SPOON_OPTIONS}
          onChange={(spoons) => {
            keep({ spoons });
          }}
        />
        <Choice
          label={settingsWords.decimalSign}
          value={settings.decimalSign}
          options={DECIMAL_SIGNS}
          onChange={(decimalSign) => {
            keep({ decimalSign });
          }}
        />
      </div>
      {saving.error !== undefined && <Alert>{settingsWords.notDoneError(sayError(saving.error))}</Alert>}
    </section>
  );
}
