import { useState } from 'react';
import type { Settings } from '#contract';
import { BITES, DRAWN_G, TASTED_ON } from '#core/trial';
import { tasteWords } from '#words/screens/taste';
import { BITE_WORDS, ON_WORDS } from '#words/trial';
import type { Jar } from '../../data/jars';
import { Measured } from '../../parts/Measured';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Field } from '../../ui/Field';
import { TasteRows } from './TasteRows';
import type { TastingDraft } from './useTasting';

interface WhatItSaysProps {
  readonly jar: Jar;
  readonly settings: Settings;
  readonly draft: TastingDraft;
  /** Where there is room for it they stand with what is said first. */
  readonly actionsAbove: boolean;
}

/** Seven rows for the mouth, and what belongs to a tasting. */
export function WhatItSays({ jar, settings, draft, actionsAbove }: WhatItSaysProps) {
  const { on } = draft;
  const [more, setMore] = useState(false);
  return (
    <section aria-label={tasteWords.whatDoesItSay} className="card p-3 sm:p-4">
      <h2 className="sr-only">{tasteWords.whatDoesItSay}</h2>
      <TasteRows rows={draft.rows} onRows={draft.setRows} beside={<Flat draft={draft} />} />
      {draft.bites && (
        <div className="mt-3 flex flex-wrap items-center gap-2">
          {tasteWords.ofWhat}{' '}
          <Chips
            large
            label={tasteWords.biteOf}
            value={draft.bite}
            options={BITES.map((value) => ({ value, label: BITE_WORDS[value] }))}
            onChange={draft.setBite}
          />
        </div>
      )}
      <div
        className={`sticky bottom-0 -mx-4 mt-3 flex gap-4 bg-card px-4 py-3 ${actionsAbove ? 'sm:hidden' : ''}`}
      >
        <span className="hidden sm:contents">
          <Flat draft={draft} />
        </span>
        <TasteActions draft={draft} />
      </div>
      <Button
        className="mt-4 min-h-16 sm:hidden"
        aria-expanded={more}
        onClick={() => {
          setMore(!more);
        }}
      >
        {tasteWords.moreOfIt}
      </Button>
      <div className={more ? '' : 'hidden sm:block'}>
        <div className="mt-2 flex flex-wrap items-start gap-4">
          <div className="grid gap-1 font-semibold">
            {tasteWords.tasted}
            <Chips
              large
              label={tasteWords.tasted}
              value={on}
              options={TASTED_ON.map((value) => ({ value, label: ON_WORDS[value] }))}
              onChange={draft.setOn}
            />
          </div>
          <Figures draft={draft} />
          <Field
            label={tasteWords.inYourOwnWords}
            className="min-w-52 flex-1"
            maxLength={1000}
            value={draft.note}
            onText={draft.setNote}
          />
        </div>
        <p className="mt-2 text-sm text-quiet">
          {tasteWords.aCleanFormEachTime(on === 'dish' ? tasteWords.fork : on)}
        </p>
        <Measured jar={jar} settings={settings} onSay={(...events) => void draft.say(...events)} />
      </div>
    </section>
  );
}

/** Nothing of it stands out: the one word that is no side of a row. */
export function Flat({ draft: { flat, setFlat } }: { draft: TastingDraft }) {
  return (
    <Button
      className={`min-h-16 px-1 sm:min-w-20 sm:px-2 ${flat ? 'border-2 border-leaf bg-tape-soft' : ''}`}
      aria-pressed={flat}
      onClick={() => {
        setFlat(!flat);
      }}
    >
      {tasteWords.flat}
    </Button>
  );
}

/** Right as it is, or what was said. */
export function TasteActions({ draft }: { draft: TastingDraft }) {
  const { figures, nothing } = draft;
  return (
    <>
      <Button
        className="min-h-16 min-w-16 px-2 sm:min-w-20"
        disabled={!nothing || !figures.fits}
        title={nothing ? undefined : tasteWords.takeBackWhatWasSaid}
        onClick={() => {
          draft.recordTasting(true);
        }}
      >
        {tasteWords.right}
      </Button>
      <Button
        kind="main"
        data-next
        className="min-h-16 flex-1"
        disabled={nothing || !figures.fits}
        onClick={() => {
          draft.recordTasting(false);
        }}
      >
        {tasteWords.recordWhatItSays}
      </Button>
    </>
  );
}

/** How long after the shake, how warm, and how much was taken out for it. */
function Figures({ draft }: { draft: TastingDraft }) {
  const { figures } = draft;
  return (
    <>
      <Field
        label={tasteWords.minutesSinceTheShake}
        className="w-44"
        inputMode="decimal"
        placeholder={draft.sinceShake === null ? '' : String(Math.round(draft.sinceShake))}
        value={figures.minutesText}
        onText={figures.setMinutesText}
        problem={figures.minutes.fits ? null : tasteWords.aNumberOfMinutesOr}
      />
      <Field
        label={tasteWords.atC}
        className="w-24"
        inputMode="decimal"
        value={figures.temperatureText}
        onText={figures.setTemperatureText}
        problem={figures.temperature.fits ? null : tasteWords.n5To90}
      />
      <Field
        label={tasteWords.drawnG}
        className="w-24"
        inputMode="decimal"
        placeholder={draft.on === 'dish' ? '0' : String(DRAWN_G)}
        value={figures.drawnText}
        onText={figures.setDrawnText}
        problem={figures.drawn.fits ? null : tasteWords.n0To1000}
      />
    </>
  );
}
