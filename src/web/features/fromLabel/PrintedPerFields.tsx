import { PER_100_G, printedPer, type PrintedPer } from '#core/label';
import { fromLabelWords } from '#words/screens/fromLabel';
import { typedNumber } from '../../form/typed';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';

const KINDS = ['100g', '100ml', 'serving-g', 'serving-ml'] as const;
export interface PerTyped {
  readonly per: (typeof KINDS)[number];
  readonly serving: string;
  readonly netMl: string;
  readonly netG: string;
}
export const PER_START: PerTyped = { per: '100g', serving: '15', netMl: '', netG: '' };

const servingOf = (text: string) => typedNumber(text, { from: 1, to: 500 });
const contentOf = (text: string) => typedNumber(text, { from: 10, to: 20_000 });

/** What the figures are printed of; null where a serving cannot be read: of 100 g they would be other figures. */
export function perOf({ per, serving, netMl, netG }: PerTyped): PrintedPer | null {
  if (per === '100g') return PER_100_G;
  const unit = per.endsWith('ml') ? 'ml' : 'g';
  const [ml, g] = [contentOf(netMl), contentOf(netG)];
  const net = ml.fits && g.fits ? { ml: ml.value, g: g.value } : null;
  const amount = servingOf(serving);
  if (per === '100ml') return printedPer(unit, null, net);
  return amount.fits ? printedPer(unit, amount.value, net) : null;
}

/** "Per 100 g", or of a serving or 100 ml, where the bottle's own weight says how heavy a millilitre is. */
export function PrintedPerFields({
  typed,
  onTyped,
}: {
  readonly typed: PerTyped;
  readonly onTyped: (next: Partial<PerTyped>) => void;
}) {
  const { per, serving, netMl, netG } = typed;
  const byVolume = per.endsWith('ml');
  const content = (text: string): string | null =>
    text.trim() === '' || contentOf(text).fits ? null : fromLabelWords.aContent;
  return (
    <div className="col-span-2 grid grid-cols-2 gap-3">
      <div className="col-span-2 grid gap-1 font-semibold">
        {fromLabelWords.printedPer}
        <Choice
          label={fromLabelWords.printedPer}
          value={per}
          options={KINDS.map((value) => ({ value, label: fromLabelWords.per[value] }))}
          onChange={(next) => {
            onTyped({ per: next });
          }}
          className="font-normal"
        />
      </div>
      {per.startsWith('serving') && (
        <Field
          label={byVolume ? fromLabelWords.servingMl : fromLabelWords.servingG}
          inputMode="decimal"
          value={serving}
          onText={(next) => {
            onTyped({ serving: next });
          }}
          problem={servingOf(serving).fits ? null : fromLabelWords.anAmount}
          className="col-span-2"
        />
      )}
      {byVolume && (
        <>
          <Field
            label={fromLabelWords.bottleMl}
            inputMode="decimal"
            value={netMl}
            onText={(next) => {
              onTyped({ netMl: next });
            }}
            problem={content(netMl)}
          />
          <Field
            label={fromLabelWords.bottleG}
            inputMode="decimal"
            value={netG}
            onText={(next) => {
              onTyped({ netG: next });
            }}
            problem={content(netG)}
          />
          <p className="col-span-2 text-sm text-quiet">{fromLabelWords.weightHelps}</p>
        </>
      )}
    </div>
  );
}
