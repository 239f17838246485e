import { useMemo, useState } from 'react';
import type { VersionRecord } from '#contract';
import { mixedVolumeMlPerG } from '#core/composition';
import { GLASS_LIMITS_MM, stripOf, USUAL_GLASS_MM, type StripAnswer } from '#core/paper';
import { reckonFormula } from '#core/reckoning';
import { formatNumber } from '#words/numbers';
import { batchPlanWords } from '#words/screens/batchPlan';
import { Alert } from '../../ui/Alert';
import { typedNumber } from '../../form/typed';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { usePaper } from '../../data/usePaper';

/** A paper strip to tape on a jar, so that it is filled with no scale and no cup. */
export function JarStrip({ working, version }: { working: WorkingFormula; version: VersionRecord }) {
  const kitchen = useKitchen();
  const { settings, vessels } = kitchen;
  const [vesselId, setVesselId] = useState(version.formula.vesselId);
  const [glassText, setGlassText] = useState('');
  const paper = usePaper();
  const vessel = vesselOf({ ...version.formula, vesselId }, vessels);
  const typedGlass = typedNumber(glassText, { from: GLASS_LIMITS_MM.low, to: GLASS_LIMITS_MM.high });
  const glass = typedGlass.blank ? USUAL_GLASS_MM : typedGlass.value;
  const glassFits = glass !== null;
  const additions = useMemo(
    () =>
      reckonFormula(version.formula, vessel, contextFor(version.formula, kitchen)).additions.flatMap(
        ({ addition, reading, counted }) =>
          counted && reading.status === 'read' && reading.massG.nominal > 0
            ? [
                {
                  name: reading.ingredient.name,
                  said: addition.amountText,
                  mixedVolumeMl: reading.massG.nominal * mixedVolumeMlPerG(reading.ingredient),
                },
              ]
            : [],
      ),
    [version, vessel, kitchen],
  );
  const strip = useMemo(
    () => (glassFits ? stripOf(vessel, additions, glass) : null),
    [vessel, additions, glass, glassFits],
  );
  const print = (): void => {
    if (strip?.status !== 'strip') return;
    const lines = strip.lines.map(({ name, said, bySpoon }) =>
      bySpoon ? `${name}: ${said}` : `${name}, ${said}`,
    );
    const words = { name: working.formula.name, version: `v${version.number}`, vessel: vessel.name, lines };
    void paper.print('strip', { strip, words }, `jar-strip-${version.number}.pdf`);
  };
  return (
    <section
      aria-label={batchPlanWords.jarStrip}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4 print:hidden"
    >
      <h2 className="font-name text-lg font-bold">{batchPlanWords.jarStrip}</h2>
      <p className="text-quiet">{batchPlanWords.tapeItUprightOnThe(version.number)}</p>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
        <div className="grid content-start gap-1 font-semibold">
          {batchPlanWords.jar}
          <Choice
            label={batchPlanWords.jarForTheStrip}
            value={vessel.id}
            options={vessels.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setVesselId}
            className="font-normal"
          />
        </div>
        <Field
          label={batchPlanWords.glassOfItsFloorMm}
          inputMode="decimal"
          placeholder={String(USUAL_GLASS_MM)}
          value={glassText}
          onText={setGlassText}
          problem={glassFits ? null : batchPlanWords.lowToHighMm(GLASS_LIMITS_MM.low, GLASS_LIMITS_MM.high)}
        />
      </div>
      {strip && strip.status !== 'strip' && <Alert>{sayNoStrip(strip)}</Alert>}
      {strip?.status === 'strip' && (
        <ol className="text-sm" data-testid="strip-lines">
          {strip.lines.map(({ name, said, alongMm, bySpoon }, i) => (
            <li key={i} className="flex gap-3 border-t border-rule py-1">
              <span className="flex-1">
                {i + 1}. {name}, {said}
              </span>
              <span className="whitespace-nowrap">
                {bySpoon
                  ? batchPlanWords.byTheSpoon
                  : batchPlanWords.alongmmMm(formatNumber(alongMm, 1, settings))}
              </span>
            </li>
          ))}
        </ol>
      )}
      {paper.error && <Alert>{paper.error}</Alert>}
      <Button
        className="justify-self-start"
        disabled={strip?.status !== 'strip' || paper.busy}
        onClick={print}
      >
        {batchPlanWords.printTheStrip}
      </Button>
    </section>
  );
}

function sayNoStrip(strip: Exclude<StripAnswer, { status: 'strip' }>): string {
  switch (strip.status) {
    case 'too-tall':
      return batchPlanWords.thatIsRoundMmTall(Math.round(strip.mm));
    case 'overflows':
      return batchPlanWords.itDoesNotFitThe(strip.name.toLowerCase());
    case 'nothing-in-it':
      return batchPlanWords.thereIsNothingInThisVersion;
  }
}
