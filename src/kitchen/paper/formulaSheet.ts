/** A formula as one page of paper: words only; the server sets them. */
import { paperWords } from '#words/screens/paper';
import type { Settings } from '#contract';
import type { Formula } from '#core/formula';
import type { Sheet, SheetTable } from '#core/paper';
import { judgeFormula, type Reckoning } from '#core/reckoning';
import { allergenNames, sayCaution, sayKeeping } from '#words/safety';
import type { Vessel } from '#core/vessel';
import { formatAmount, formatMass, formatVolume } from '#words/numbers';

const MOST_NOTES = 60;
const PHASE_TITLES = {
  base: paperWords.firstAcidSaltSweetAromatics,
  oil: paperWords.thenTheOil,
  finish: paperWords.last,
};

export function formulaSheet(
  formula: Formula,
  reckoning: Reckoning,
  vessel: Vessel,
  settings: Settings,
): Sheet {
  const { keeping, allergens, cautions } = judgeFormula(reckoning);
  const { totals } = reckoning;
  const who = allergenNames(allergens);
  const noted = reckoning.additions.flatMap(({ addition }) => addition.note.split('\n').filter(Boolean));
  const warned = cautions.map((caution) => {
    const { what, why } = sayCaution(caution);
    return `${what} ${why}`;
  });
  const phases = [...new Set(reckoning.additions.map(({ addition }) => addition.phase))];
  return {
    title: formula.name,
    subtitle:
      formula.basedOnVersion === null
        ? paperWords.asItIsComposedNow
        : paperWords.asItIsComposedNowGrown(formula.basedOnVersion),
    facts: [
      [
        paperWords.makes,
        `${formatVolume(totals.mixedVolumeMl, settings)}, ${formatMass(totals.massG, settings)}`,
      ],
      [paperWords.in, vessel.name],
      [paperWords.allergens, who.length > 0 ? who.join(', ') : paperWords.noneListedIsKnown],
      [paperWords.keeps, sayKeeping(keeping)],
    ],
    tables: phases.map((phase): SheetTable => ({
      title: PHASE_TITLES[phase],
      note: '',
      ticks: false,
      columns: [
        { title: paperWords.amount, share: 3, align: 'left' },
        { title: paperWords.what, share: 6, align: 'left' },
        { title: paperWords.weighs, share: 2, align: 'right' },
      ],
      rows: reckoning.additions
        .filter(({ addition }) => addition.phase === phase)
        .map(({ addition, reading }) => [
          addition.amountText,
          [
            reading.status === 'read' ? reading.ingredient.name : addition.ingredientText,
            addition.form,
            ...(addition.optional ? [paperWords.ifYouLike] : []),
          ]
            .filter(Boolean)
            .join(', ')
            .slice(0, 600),
          reading.status === 'read' && reading.massG.nominal > 0
            ? formatAmount(reading.massG.nominal, 'g', settings)
            : '',
        ]),
    })),
    // What was noted may be cut, cautions may not.
    notes: [...noted.slice(0, MOST_NOTES - warned.length), ...warned].map((note) => note.slice(0, 1000)),
    signatures: [],
  };
}
