import type { BatchLoad, BatchPlan, BatchRequest } from '#core/batch';
import { sayCooling, sayWayToCool } from '#words/batch';
import { mixedVolumeMlPerG } from '#core/composition';
import { TOOL_WORDS, sayDuration } from '#words/hold';
import type { Settings } from '#contract';
import { batchRunWords } from '#words/screens/batchRun';
import { Jar, type JarPart } from '../../parts/drawing/Jar';
import { liquidColour } from '../../parts/drawing/colours';
import { formatMass, formatNumber, formatVolume, inSentence } from '#words/numbers';

const WARM_C = 40;
const MOST_DRAWN = 6;

/** At a machine seconds count. */
const saySeconds = (seconds: number): string =>
  seconds < 120 ? `${Math.max(5, Math.round(seconds / 5) * 5)} s` : sayDuration(seconds);

export const partsOfLoad = ({ lines }: Pick<BatchLoad, 'lines'>): readonly JarPart[] =>
  lines.map(({ line: { id, ingredient }, massG }) => ({
    key: id,
    name: ingredient.name,
    colour: liquidColour(ingredient),
    volumeMl: massG * mixedVolumeMlPerG(ingredient),
  }));

/** The loads as vessels, how each is mixed, and how what is kept gets cold. */
export function LoadsAside({
  plan,
  request,
  settings,
}: {
  plan: BatchPlan;
  request: BatchRequest;
  settings: Settings;
}) {
  const { loads, storage, handsOnS } = plan;
  const { mixingVessel, tool, cooling } = request;
  const volume = (ml: number): string => formatVolume(ml, settings);
  const [first, last] = [loads[0]!, loads.at(-1)!];
  const toolName = TOOL_WORDS[tool];
  // Full loads and a rest differ; equal ones are told once.
  const distinct =
    last === first || Math.abs(last.volumeMl - first.volumeMl) < 1
      ? [{ load: first, name: `${toolName}: ` }]
      : [
          { load: first, name: batchRunWords.toolnameFullLoad(toolName) },
          { load: last, name: batchRunWords.loadLength(loads.length) },
        ];
  const warm = Math.max(...loads.map(({ warmingK }) => cooling.startC + warmingK));
  return (
    <section
      aria-label={batchRunWords.loads}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
    >
      <h2 className="font-name text-lg font-bold">
        {batchRunWords.formHandsonsOfWork(
          loads.length === 1 ? batchRunWords.oneLoad : batchRunWords.lengthLoads(loads.length),
          sayDuration(handsOnS),
        )}
      </h2>
      {plan.handWork.seconds >= 60 && (
        <p className="text-sm" data-testid="hand-work">
          {batchRunWords.ofItByHand(
            sayDuration(plan.handWork.seconds),
            plan.handWork.things
              .map(({ ingredient }) => inSentence(ingredient.name.split(',')[0]!))
              .join(', '),
          )}
        </p>
      )}
      <ul className="flex flex-wrap gap-3" data-testid="loads">
        {loads.slice(0, MOST_DRAWN).map((load, i) => (
          <li key={i} className="text-center text-sm">
            <Jar
              vessel={mixingVessel}
              parts={partsOfLoad(load)}
              width={84}
              height={88}
              label={batchRunWords.loadPartVolumeInThe(i + 1, volume(load.volumeMl), mixingVessel.name)}
            />
            <span className="block">
              {i + 1}: {volume(load.volumeMl)}
            </span>
          </li>
        ))}
        {loads.length > MOST_DRAWN && (
          <li className="self-center text-quiet">{batchRunWords.andPartMore(loads.length - MOST_DRAWN)}</li>
        )}
      </ul>
      {distinct.map(({ load, name }) => (
        <p key={name} className="text-sm">
          {name}
          {load.pour.status === 'stages'
            ? batchRunWords.theOilOverAtLeast(saySeconds(load.pour.totalS))
            : batchRunWords.everythingInThenMix}
          {saySeconds(load.mixSeconds)}
          {load.powerWPerL !== null &&
            batchRunWords.atAboutPowerwperlWA(formatNumber(load.powerWPerL, 0, settings))}
          {batchRunWords.anEstimate}
        </p>
      ))}
      {warm > WARM_C && (
        <p className="text-sm font-semibold">
          {batchRunWords.theMachineWarmsItTo(formatNumber(warm, 0, settings))}
        </p>
      )}
      {storage && (
        <div className="border-t border-rule pt-2 text-sm" data-testid="storage">
          <p>
            <strong>
              {storage.count} × {storage.vessel.name}
            </strong>
            {batchRunWords.volumeInEach(volume(storage.fillMl))}
          </p>
          <p className={storage.cooling.status === 'cools' && storage.cooling.inTime ? '' : 'font-semibold'}>
            {sayCooling(storage.cooling)}
          </p>
          {storage.cooling.status === 'cools' && storage.cooling.ways.length > 0 && (
            <p>
              {batchRunWords.instead}{' '}
              {storage.cooling.ways
                .map((way) =>
                  sayWayToCool(way, (amount, unit) =>
                    unit === 'ml' ? volume(amount) : formatMass(amount, settings),
                  ),
                )
                .join(', or ')}
              .
            </p>
          )}
        </div>
      )}
    </section>
  );
}
