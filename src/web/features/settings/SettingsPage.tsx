import { useSaveShared } from '../../sync/useSaveShared';
import { SETTINGS_ID, settingsSchema, type Settings } from '#contract';
import { useState } from 'react';
import { settingsWords } from '#words/screens/settings';
import { sayError, useSessionQuery, useSettingsQuery, useSignOutMutation } from '../../data/kitchenApi';
import { useSettings } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { BackupPart } from './BackupPart';
import { ThisDevice } from './ThisDevice';
import { BatchSettings } from './BatchSettings';
import { ChoiceField, ReadField, TextField } from '../../form/fields';
import { DECIMAL_SIGNS, SPOON_OPTIONS } from '../../form/settingsChoices';
import { SaveRow } from '../../form/SaveRow';
import { useDraft } from '../../form/useDraft';
import { clearDevice, unsentHere } from '../../sync/leave';
import { ClashNotice } from '../../parts/ClashList';
import { keyOf } from '../../sync/shared';
import { SmallMeasures } from './SmallMeasures';
import { Loading, Trouble } from '../../parts/PageState';

export function SettingsPage() {
  const { error, refetch } = useSettingsQuery();
  const data = useSettings();
  if (data) {
    return (
      <div className="mx-auto grid max-w-7xl grid-cols-[minmax(0,1fr)] items-start gap-3.5 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5">
          <ClashNotice workKey={keyOf('settings', SETTINGS_ID)} />
          <SettingsForm saved={data} />
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5">
          <ThisDevice kitchenSign={data.decimalSign} />
          <BackupPart />
          <SignOut />
        </div>
      </div>
    );
  }
  return error ? (
    <Trouble error={error} retry={() => void refetch()} />
  ) : (
    <Loading what={settingsWords.settings} />
  );
}

const AMOUNTS_IN = [
  { value: 'grams', label: settingsWords.grams },
  { value: 'spoons', label: settingsWords.nearestKitchenMeasure },
] as const;
function SettingsForm({ saved }: { saved: Settings }) {
  const [save] = useSaveShared('settings');
  const draft = useDraft<Settings>({
    schema: settingsSchema,
    start: saved,
    save: (value, from) => save(SETTINGS_ID, from, value),
  });
  const { control } = draft.form;
  return (
    <form className="card grid grid-cols-1 gap-4 p-5" onSubmit={draft.submit}>
      <h1 className="font-name text-2xl font-bold">{settingsWords.settings2}</h1>
      <div className="grid grid-cols-1 gap-4 sm:grid-cols-2">
        <TextField control={control} name="kitchenName" label={settingsWords.kitchen} maxLength={120} />
        <ReadField
          control={control}
          name="servingVolumeMl"
          label={settingsWords.servingMl}
          hint={settingsWords.forNewFormulas}
        />
        <ReadField
          control={control}
          name="provenAfter"
          label={settingsWords.makingsThatProveAVersion}
          inputMode="numeric"
          hint={settingsWords.rightAsMadeWithoutA}
        />
        <TextField
          control={control}
          name="currency"
          label={settingsWords.currency}
          maxLength={4}
          hint={settingsWords.theSignBeforePricesNothing}
        />
        <ChoiceField
          control={control}
          name="spoons"
          label={settingsWords.spoonsAndCupsOfNew}
          options={SPOON_OPTIONS}
          hint={settingsWords.aFormulaKeepsTheSpoons}
        />
        <ChoiceField
          control={control}
          name="decimalSign"
          label={settingsWords.decimalSign}
          options={DECIMAL_SIGNS}
          hint={settingsWords.n05And05}
        />
        <ChoiceField
          control={control}
          name="amountsIn"
          label={settingsWords.besideEachAmount}
          options={AMOUNTS_IN}
        />
      </div>
      <SmallMeasures control={control} />
      <BatchSettings control={control} />
      <SaveRow draft={draft} sayError={sayError} mayRevert />
    </form>
  );
}

/** Only where the kitchen asks for a passcode. */
function SignOut() {
  const session = useSessionQuery().data;
  const [signOut, leaving] = useSignOutMutation();
  const [asks, setAsks] = useState(0);
  if (!session?.needed) return null;
  const leave = async (): Promise<void> => {
    try {
      await signOut().unwrap();
    } catch {
      return;
    }
    await clearDevice();
    window.location.assign('/');
  };
  const asked = async (): Promise<void> => {
    const waiting = await unsentHere();
    if (waiting > 0) setAsks(waiting);
    else await leave();
  };
  return (
    <div className="card flex flex-wrap items-center gap-3 p-5">
      {settingsWords.thisKitchenAsksVisitorsFor}
      <Button onClick={() => void asked()} disabled={leaving.isLoading}>
        {settingsWords.signOutOnThisDevice}
      </Button>
      {asks > 0 && (
        <div role="alert" className="flex w-full flex-wrap items-center gap-3">
          <span className="font-semibold">{settingsWords.unsentWork(asks)}</span>
          <Button onClick={() => void leave()}>{settingsWords.leaveAllTheSame}</Button>
          <Button
            kind="main"
            onClick={() => {
              setAsks(0);
            }}
          >
            {settingsWords.stay}
          </Button>
        </div>
      )}
      {leaving.isError && (
        <span className="text-acid-ink">{settingsWords.notDoneError(sayError(leaving.error))}</span>
      )}
    </div>
  );
}
