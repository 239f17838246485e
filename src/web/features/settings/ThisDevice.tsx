import { useSyncExternalStore } from 'react';
import { DEFAULT_SETTINGS } from '#contract';
import { formatMoment, formatTimeOfDay } from '#words/numbers';
import { settingsWords } from '#words/screens/settings';
import { choose, chooseTongue, LIGHTS, useHere } from '../../data/here';
import { offlineState, onOfflineState } from '../../sync/offline';
import { frameLaterWords } from '#words/screens/frameLater';
import { SoundSwitch } from '../../parts/Sound';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Tick } from '../../ui/Tick';

const LANGUAGES = ['en-GB', 'en-US', 'de-DE', 'fr-FR', 'sv-SE'] as const;
const EXAMPLE = '2026-11-27T14:05:00';
const FIVE_PAST_TWO_MIN = 14 * 60 + 5;
/** Keys that a page or a browser needs: none of them can be a foot switch alone. */
const NEEDED: ReadonlySet<string> = new Set(['Tab', 'Escape', 'Shift', 'Control', 'Alt', 'Meta', 'CapsLock']);

/** Press the pedal once, and its key is known. */
function FootSwitch({ footKey }: { footKey: string | null }) {
  return (
    <div className="grid min-w-0 content-start gap-1">
      <Field
        label={settingsWords.footSwitch}
        value={footKey === null ? '' : footKey === ' ' ? settingsWords.space : footKey}
        placeholder={settingsWords.pressThePedal}
        readOnly
        onText={() => undefined}
        onKeyDown={(event) => {
          if (NEEDED.has(event.key)) return;
          event.preventDefault();
          choose({ footKey: event.key === 'Backspace' || event.key === 'Delete' ? null : event.key });
        }}
        hint={settingsWords.pageDownIsNextAnyway}
      />
    </div>
  );
}

/** A choice cannot be an empty string. */
const UNCHOSEN = 'unchosen';

/** How this device writes numbers, dates and times; nothing of it reaches the kitchen or another screen. */
export function ThisDevice({
  kitchenSign = DEFAULT_SETTINGS.decimalSign,
}: {
  kitchenSign?: 'point' | 'comma';
}) {
  const here = useHere();
  const offline = useSyncExternalStore(onOfflineState, offlineState);
  return (
    <section
      data-testid="this-device"
      aria-label={settingsWords.onThisDevice}
      className="card grid gap-3 p-5"
    >
      <h2 className="font-name text-lg font-bold">{settingsWords.onThisDevice}</h2>
      <p className="text-sm text-quiet">{settingsWords.keptAtOnceAndOnlyHere}</p>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4 sm:grid-cols-2">
        <div className="grid min-w-0 content-start gap-1">
          <span className="font-semibold">{settingsWords.numbersHere}</span>
          <Choice
            label={settingsWords.numbersHere}
            value={here.decimalSign ?? UNCHOSEN}
            options={[
              { value: UNCHOSEN, label: settingsWords.asTheKitchen(kitchenSign === 'comma' ? '1,5' : '1.5') },
              { value: 'point', label: '1.5' },
              { value: 'comma', label: '1,5' },
            ]}
            onChange={(sign) => {
              choose({ decimalSign: sign === UNCHOSEN ? null : (sign as 'point' | 'comma') });
            }}
          />
        </div>
        <div className="grid min-w-0 content-start gap-1">
          <span className="font-semibold">{settingsWords.datesHere}</span>
          <Choice
            label={settingsWords.datesHere}
            value={here.dates ?? UNCHOSEN}
            options={[
              { value: UNCHOSEN, label: settingsWords.asTheBrowser(dateIn(undefined)) },
              ...LANGUAGES.map((language) => ({ value: language as string, label: dateIn(language) })),
            ]}
            onChange={(language) => {
              choose({ dates: language === UNCHOSEN ? null : language });
            }}
          />
        </div>
        <div className="grid min-w-0 content-start gap-1">
          <span className="font-semibold">{settingsWords.clockHere}</span>
          <Choice
            label={settingsWords.clockHere}
            value={String(here.hours ?? UNCHOSEN)}
            options={[
              { value: UNCHOSEN, label: settingsWords.asTheDates(timeIn(here.dates ?? undefined)) },
              { value: '24', label: timeIn(undefined, 24) },
              { value: '12', label: timeIn(undefined, 12) },
            ]}
            onChange={(hours) => {
              choose({ hours: hours === UNCHOSEN ? null : hours === '12' ? 12 : 24 });
            }}
          />
        </div>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4 sm:grid-cols-2">
        <div className="grid min-w-0 content-start gap-1">
          <span className="font-semibold">{settingsWords.languageHere}</span>
          <Choice
            label={settingsWords.languageHere}
            value={here.tongue}
            options={[
              { value: 'en', label: settingsWords.english },
              { value: 'de', label: settingsWords.german },
            ]}
            onChange={chooseTongue}
          />
          <span className="text-sm text-quiet">{settingsWords.germanSpeaks}</span>
        </div>
        <div className="grid min-w-0 content-start gap-1">
          <span className="font-semibold">{settingsWords.lightHere}</span>
          <Choice
            label={settingsWords.lightHere}
            value={here.light}
            options={LIGHTS.map((light) => ({ value: light, label: settingsWords.lights[light] }))}
            onChange={(light) => {
              choose({ light });
            }}
          />
        </div>
        <FootSwitch footKey={here.footKey} />
        <Tick
          label={settingsWords.singleKeys}
          checked={here.singleKeys}
          onChange={(singleKeys) => {
            choose({ singleKeys });
          }}
          className="self-end"
        />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <span className="font-semibold">{frameLaterWords.sound}</span>
        <SoundSwitch />
      </div>
      <div data-testid="offline">
        <h3 className="font-semibold">{settingsWords.withoutTheServer}</h3>
        <p className="text-sm">{settingsWords.offline[offline]}</p>
      </div>
    </section>
  );
}

const dateIn = (language: string | undefined): string => formatMoment(EXAMPLE, { language });
const timeIn = (language: string | undefined, hours?: 12 | 24): string =>
  formatTimeOfDay(FIVE_PAST_TWO_MIN, { language, hours });
