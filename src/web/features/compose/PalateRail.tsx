import { memo } from 'react';
import type { PalateKey, Palate, Style } from '#core/palate';
import { MEASURE_WORDS } from '#words/palate';
import type { Judgement, Reckoning } from '#core/reckoning';
import type { Caution } from '#core/safety';
import type { Settings } from '#contract';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { CautionLines } from '../../parts/CautionLines';
import { ComponentMark } from '../../parts/drawing/ComponentMark';
import { Track } from '../../parts/drawing/Track';
import { formatPercent } from '#words/numbers';
import { Button } from '../../ui/Button';
import { MARKS, sentenceFor, showMeasure } from '#words/judgement';

interface PalateRailProps {
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly style: Style | null;
  /** Where it stood when it was last tasted, or the version it grew from. */
  readonly before: { readonly palate: Palate; readonly name: string } | null;
  readonly settings: Settings;
  readonly onMeasure: (key: PalateKey) => void;
  readonly onWays: () => void;
  readonly onCautions: () => void;
}

/** Always shown, and those that only matter where there is some. */
const ALWAYS: ReadonlySet<PalateKey> = new Set<PalateKey>(['acid', 'salt', 'sweet', 'fat']);
const ORDER: readonly PalateKey[] = [
  'acid',
  'fat',
  'salt',
  'sweet',
  'body',
  'garlic',
  'heat',
  'mustard',
  'bitter',
];
const BODY_MATTERS = 10;

function isShown(key: PalateKey, palate: Palate, style: Style | null): boolean {
  if (ALWAYS.has(key)) return true;
  const { value } = palate[key];
  if (key === 'body') return (value ?? 0) >= BODY_MATTERS || (style?.windows.body?.low ?? 0) >= BODY_MATTERS;
  const window = style?.windows[key];
  return (value ?? 0) > 0 && (!window || value! > window.high * 0.1);
}

/** How sharp, rich, salty, sweet and pungent it is, against the style aimed at; and the cautions. */
export const PalateRail = memo(function PalateRail({
  reckoning,
  judgement,
  style,
  before,
  settings,
  onMeasure,
  onWays,
  onCautions,
}: PalateRailProps) {
  const { palate, portions } = judgement;
  const poured = reckoning.totals.measures.oilMassFraction;
  return (
    <section aria-label={composeBalanceWords.onThePalate} className="card flex min-h-0 flex-col p-4">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="font-name text-lg font-bold">{composeBalanceWords.onThePalate}</h2>
        {before && portions.length > 0 && (
          <span className="text-sm text-quiet">
            <span className="mr-1 border-l-2 border-dotted border-ink" />{' '}
            {composeBalanceWords.asInName(before.name)}
          </span>
        )}
      </div>
      {portions.length === 0 ? (
        <p className="text-quiet">{composeBalanceWords.numbersComeWithTheFirst}</p>
      ) : (
        <>
          <ul className="-mx-1 min-h-0 flex-1 px-1 lg:overflow-auto">
            {ORDER.filter((key) => isShown(key, palate, style)).map((key) => (
              <MeasureRow
                key={key}
                measure={key}
                judgement={judgement}
                style={style}
                mark={before?.palate[key].value ?? null}
                settings={settings}
                extra={
                  key === 'fat' && poured
                    ? composeBalanceWords.pouredIsPouredOil(formatPercent(poured, settings, 0))
                    : ''
                }
                onOpen={() => {
                  onMeasure(key);
                }}
              />
            ))}
          </ul>
          <Button kind="main" className="mt-2 shrink-0" onClick={onWays}>
            {style ? composeBalanceWords.waysIntoTheBand : composeBalanceWords.whatWouldMendIt}
          </Button>
          <CautionBox judgement={judgement} onAll={onCautions} />
        </>
      )}
    </section>
  );
});

function MeasureRow({
  measure,
  judgement,
  style,
  mark,
  settings,
  extra,
  onOpen,
}: {
  measure: PalateKey;
  judgement: Judgement;
  style: Style | null;
  mark: number | null;
  settings: Settings;
  extra: string;
  onOpen: () => void;
}) {
  const { palate, portions } = judgement;
  const window = style?.windows[measure];
  const shown = showMeasure(measure, palate[measure].value, settings.decimalSign);
  const sentence = `${sentenceFor(measure, palate[measure], window, portions)} ${extra}`.trim();
  const band = window
    ? composeBalanceWords.bandShowmeasureToShowmeasure2(
        showMeasure(measure, window.low, settings.decimalSign),
        showMeasure(measure, window.high, settings.decimalSign),
      )
    : '';
  return (
    <li className="border-b border-rule py-1.5" data-testid={`gauge-${measure}`}>
      <button
        type="button"
        className="w-full rounded-md text-left hover:bg-mint"
        aria-label={composeBalanceWords.titleShownWhoBringsIt(MEASURE_WORDS[measure].title, shown)}
        onClick={onOpen}
      >
        <span className="mb-1 flex items-center gap-2">
          <ComponentMark component={MARKS[measure]} />
          <span className="font-semibold">{MEASURE_WORDS[measure].title}</span>
          <span className="font-name ml-auto text-[1.02rem] font-semibold">{shown}</span>
        </span>
        <Track
          component={MARKS[measure]}
          value={palate[measure].value}
          range={palate[measure].range}
          window={window}
          mark={mark}
          label={`${MEASURE_WORDS[measure].title} ${shown}${band}`}
        />
        <span className="mt-1 block text-[0.8125rem] leading-4 text-quiet">{sentence}</span>
      </button>
    </li>
  );
}

const TIER_LOOK: Record<Caution['tier'], string> = {
  1: 'border-l-acid',
  2: 'border-l-sweet',
  3: 'border-l-rule',
};

function CautionBox({ judgement, onAll }: { judgement: Judgement; onAll: () => void }) {
  const [gravest] = judgement.cautions;
  return (
    <div
      className={`mt-2 border-l-4 bg-acid-wash px-3 py-2 text-[0.8125rem] leading-[1.15rem] ${TIER_LOOK[gravest?.tier ?? 3]}`}
      data-testid="cautions"
    >
      <CautionLines of={judgement} more={false} />
      <button type="button" className="min-h-6 font-semibold underline underline-offset-2" onClick={onAll}>
        {composeBalanceWords.allCautionsAllergensAndWhy}
      </button>
    </div>
  );
}
