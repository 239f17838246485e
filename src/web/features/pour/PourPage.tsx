import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import type { VesselId } from '#core/formula';
import { massOf, named, takenOut, unnamedIn, withThing, type PouredThing } from '#kitchen/pour';
import { handMeasure, type Kitchen } from '#kitchen/reading';
import { formatAmount, formatPlainRatio, formatRatio, inSentence } from '#words/numbers';
import { shortName } from '#words/judgement';
import { pourWords } from '#words/screens/pour';
import { useKitchen } from '../../data/kitchen';
import { FirstStrip } from '../../parts/FirstSentence';
import { ScaleCard } from './ScaleCard';
import { TesterPanel } from '../../parts/TesterPanel';
import { Button } from '../../ui/Button';
import { useShortcuts } from '../../ui/shortcuts';
import { Asked } from './Asked';
import { ByHandOrLevel } from './ByHandOrLevel';
import { FinishPanel } from './FinishPanel';
import { HowItStands } from './HowItStands';
import { JarFilling } from './JarFilling';
import { KeptPour } from './KeptPour';
import { PouredList } from './PouredList';
import { StartAnew } from './StartAnew';
import { useFreePour } from './useFreePour';
import { useKnown, useLikely } from './useLikely';
import { usePoured, type Poured } from './usePoured';
import { useScaleAtPour } from './useScaleAtPour';

type Panel = 'finish' | 'anew' | null;

/** A jar on the scale, nothing composed: what goes in is noticed, and named after. */
export function PourPage() {
  const kitchen = useKitchen();
  const { catalogue, settings } = kitchen;
  const free = useFreePour();
  const { pour, change } = free;
  const poured = usePoured(pour, kitchen);
  const navigate = useNavigate();
  const [panel, setPanel] = useState<Panel>(null);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const scale = useScaleAtPour(free);
  const asked = pour.things.find(({ id }) => id === chosenId) ?? unnamedIn(pour).at(-1) ?? null;
  const { known, failed } = useKnown(kitchen);
  const likely = useLikely(known, pour, asked, kitchen);
  const out = (id: string): void => {
    setChosenId(null);
    change((now) => takenOut(now, id));
  };
  const { kept, arrived, forget } = free;
  useEffect(() => {
    if (!kept || !arrived) return;
    forget();
    void navigate(`/formulas/${kept.formulaId}/taste?jar=${kept.jarId}`);
  }, [kept, arrived, forget, navigate]);
  useShortcuts([
    {
      keys: ['t'],
      does: pourWords.keyTare,
      when: () => scale.status === 'ready',
      run: () => void scale.tare(),
    },
    { keys: ['mod+z'], does: pourWords.keyUndo, run: free.undo },
    {
      keys: ['n'],
      does: pourWords.keyField,
      run: () => document.querySelector<HTMLElement>(`[data-pour-field=${asked ? 'name' : 'line'}]`)?.focus(),
    },
  ]);
  const isEmpty = pour.things.length === 0;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5">
      <h1 className="sr-only">{pourWords.pourFirst}</h1>
      {kept && <KeptPour kept={kept} onForget={forget} />}
      <FirstStrip
        tone="plain"
        sentence={<First poured={poured} kitchen={kitchen} asked={asked} scale={scale.status === 'ready'} />}
      >
        <Button
          kind="main"
          data-next
          className="min-h-16 px-6 text-lg"
          disabled={poured.lines.length === 0}
          onClick={() => {
            setPanel('finish');
          }}
        >
          {pourWords.finish}
        </Button>
      </FirstStrip>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_270px_300px]">
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <ScaleCard scale={scale} settings={settings} />
          {asked && (
            <Asked
              key={asked.id}
              thing={asked}
              amount={sayAmount(asked, kitchen)}
              likely={likely}
              catalogue={catalogue}
              onName={(ingredient) => {
                setChosenId(null);
                change((now) => named(now, asked.id, ingredient.id));
              }}
              onOut={() => {
                out(asked.id);
              }}
            />
          )}
          {failed && asked && <p className="text-sm text-quiet">{pourWords.formulasCouldNot}</p>}
          <PouredList
            pour={pour}
            lines={poured.lines}
            kitchen={kitchen}
            askedId={asked?.id ?? null}
            onAsk={setChosenId}
            onOut={out}
            onUndo={pour.past.length > 0 ? free.undo : null}
          />
          <ByHandOrLevel
            kitchen={kitchen}
            vessel={poured.vessel}
            volumeMl={poured.volumeMl}
            onVessel={(vesselId: VesselId) => {
              change((now) => ({ ...now, vesselId }));
            }}
            onThings={(things) => {
              change((now) => things.reduce(withThing, now));
            }}
          />
          {!isEmpty && (
            <Button
              kind="quiet"
              className="min-h-11 justify-self-start"
              onClick={() => {
                setPanel('anew');
              }}
            >
              {pourWords.startAnew}
            </Button>
          )}
        </div>
        <JarFilling pour={pour} poured={poured} kitchen={kitchen} />
        <HowItStands poured={poured} kitchen={kitchen} />
      </div>
      {scale.simulated && <TesterPanel counter={scale.counter} docked />}
      {panel === 'finish' && (
        <FinishPanel
          vessel={poured.vessel}
          unnamed={unnamedIn(pour).length}
          onKeep={async (name, tool) => {
            await free.finish(name, tool, kitchen);
            setPanel(null);
          }}
          onClose={() => {
            setPanel(null);
          }}
        />
      )}
      {panel === 'anew' && (
        <StartAnew
          amount={formatAmount(poured.massG, 'g', settings)}
          onAnew={() => {
            free.startAnew();
            setPanel(null);
          }}
          onClose={() => {
            setPanel(null);
          }}
        />
      )}
    </div>
  );
}

function sayAmount(thing: PouredThing, { catalogue, settings }: Kitchen): string {
  return thing.raisedMl === null
    ? pourWords.kinds[thing.kind](formatAmount(massOf(thing, catalogue), 'g', settings))
    : pourWords.raised(formatAmount(thing.raisedMl, 'ml', settings));
}

interface FirstProps {
  readonly poured: Poured;
  readonly kitchen: Kitchen;
  readonly asked: PouredThing | null;
  readonly scale: boolean;
}
/** What a cook wants to know between two pours. */
function First({ poured, kitchen, asked, scale }: FirstProps) {
  const { ratio, next, lines } = poured;
  const { settings } = kitchen;
  if (lines.length === 0 && !asked)
    return scale ? pourWords.putTheJarOnAndPour : pourWords.sayTheLevelOrCount;
  if (ratio === null || ratio === 0) return asked ? pourWords.sayOrPourOn : pourWords.pourOn;
  const oil = lines.filter(({ ingredient }) => ingredient.category === 'oil').at(-1)?.ingredient;
  const more =
    oil && next && !asked
      ? pourWords.moreOil(
          handMeasure(next.moreOilMl * oil.spoonDensityGPerMl, oil, settings.spoons, settings),
          inSentence(shortName(oil.name)),
          formatPlainRatio(next.ratio, settings),
        )
      : '';
  return [pourWords.ratioIs(formatRatio(ratio, settings)), more].filter(Boolean).join(' ');
}
