/** A formula as one page of paper: words only; the server sets them. */
import type { Settings } from '#contract';
import type { Formula } from '#core/formula';
import type { Sheet, SheetTable } from '#core/paper';
import { judgeFormula, type Reckoning } from '#core/reckoning';
import { allergenNames, sayCaution, sayKeeping } from '#words/safety';
import type { Vessel } from '#core/vessel';
import { formatAmount, formatMass, formatVolume } from '#words/numbers';

const MOST_NOTES = 60;
const PHASE_TITLES = {
  base: 'First: acid, salt, sweet, aromatics',
  oil: 'Then the oil',
  finish: 'Last',
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
        ? 'As it is composed now, not frozen'
        : `As it is composed now, grown from v${formula.basedOnVersion}`,
    facts: [
      ['Makes', `${formatVolume(totals.mixedVolumeMl, settings)}, ${formatMass(totals.massG, settings)}`],
      ['In', vessel.name],
      ['Allergens', who.length > 0 ? who.join(', ') : 'none listed is known'],
      ['Keeps', sayKeeping(keeping)],
    ],
    tables: phases.map((phase): SheetTable => ({
      title: PHASE_TITLES[phase],
      note: '',
      ticks: false,
      columns: [
        { title: 'Amount', share: 3, align: 'left' },
        { title: 'What', share: 6, align: 'left' },
        { title: 'Weighs', share: 2, align: 'right' },
      ],
      rows: reckoning.additions
        .filter(({ addition }) => addition.phase === phase)
        .map(({ addition, reading }) => [
          addition.amountText,
          [
            reading.status === 'read' ? reading.ingredient.name : addition.ingredientText,
            addition.form,
            ...(addition.optional ? ['if you like'] : []),
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
