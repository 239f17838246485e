import { useCallback, useRef, useState } from 'react';
import { deviationNote } from '#kitchen/repair';
import { makeWords } from '#words/screens/make';
import { useCounter } from '../../data/instruments';
import type { Jar } from '../../data/jars';
import { useSpokenKitchen } from '../../data/kitchen';
import { useScaleClaim } from '../../data/scale';
import { JarCautions } from '../../parts/JarCautions';
import { OutboxNotice } from '../../parts/OutboxNotice';
import { TesterPanel } from '../../parts/TesterPanel';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { KeyHelp } from '../../ui/KeyHelp';
import { nextThing } from '../../ui/nextThing';
import { useShortcuts } from '../../ui/shortcuts';
import { ByHand } from './ByHand';
import { JarNow } from './JarNow';
import { OtherwisePanel } from './OtherwisePanel';
import { makingKeys } from './makingKeys';
import type { StepActions } from './stepActions';
import { StepList } from './StepList';
import { StepNow } from './StepNow';
import { useAwake } from '../../ui/useAwake';
import { focusStep, useStepFocus } from './stepFocus';
import { useJarState, useSay, useViewed } from './useMaking';

interface MakingProps {
  readonly jar: Jar;
  /** The other loads of its batch. */
  readonly batchMates: readonly Jar[];
  readonly working: WorkingFormula;
  readonly onAnother: () => void;
}

/** One step at a time: what is next, what the scale says, what is in the jar. */
export function Making({ jar, batchMates, working, onAnother }: MakingProps) {
  const kitchen = useSpokenKitchen();
  const { catalogue, settings } = kitchen;
  const state = useJarState(jar, batchMates, working, kitchen);
  const { making, states, current, newest, vessel, context, portions, volumeMl, deviation, off } = state;
  const viewed = useViewed(state);
  const { shown, viewing, back, forward } = viewed;
  const [panel, setPanel] = useState<'otherwise' | 'keys' | 'by-hand' | null>(null);
  const show = (which: typeof panel) => (): void => {
    setPanel(which);
  };
  // Not state: a panel says them at every render.
  const actions = useRef<StepActions>({});
  const setActions = useCallback((next: StepActions) => {
    actions.current = next;
  }, []);
  const counter = useCounter(viewed.isOpen ? jar.id : null);
  const scale = useScaleClaim(counter, jar.id, working.formula.name, current !== null);
  useAwake(current !== null);
  const saying = useSay(jar, viewed.toNext);
  const { say } = saying;
  const undo = (): void => {
    if (newest && newest.event.kind !== 'tasted') say({ kind: 'corrected', eventId: newest.id });
  };
  const shortcuts = makingKeys({
    actions,
    next: () => {
      if (viewing) forward();
      else if (actions.current.next) actions.current.next();
      else nextThing()?.click();
    },
    back,
    undo,
    goOtherwise: show('otherwise'),
    openByHand: show('by-hand'),
    openHelp: show('keys'),
  });
  useShortcuts(shortcuts);
  useStepFocus(shown?.step.id ?? 'all in');

  return (
    // A tap leaves the focus at the step, so that what is pressed next is "next" and not the last button again.
    <div
      className="grid grid-cols-[minmax(0,1fr)] gap-3"
      onClick={({ detail }) => {
        if (detail > 0 && document.activeElement instanceof HTMLButtonElement) focusStep();
      }}
    >
      <OutboxNotice trialId={jar.id} />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:h-[calc(100dvh-128px)] lg:min-h-[560px] lg:grid-cols-[250px_minmax(0,1fr)_190px] xl:grid-cols-[300px_minmax(0,1fr)_250px]">
        <StepList
          place={shown ? states.indexOf(shown) + 1 : null}
          states={states}
          current={viewing ? shown : (off?.state ?? shown)}
          waiting={jar.waiting}
          note={deviationNote(states, making, deviation, catalogue, settings)}
          making={making}
          catalogue={catalogue}
          settings={settings}
        />
        <div className="order-first grid content-start gap-3 lg:order-none lg:min-h-0 lg:overflow-auto">
          <StepNow
            jar={jar}
            batchMates={batchMates}
            working={working}
            kitchen={kitchen}
            state={state}
            viewed={viewed}
            saying={saying}
            scale={scale}
            counter={counter}
            onAnother={onAnother}
            onUndo={undo}
            onActions={setActions}
          />
          <div className="grid grid-cols-2 gap-4 sm:flex sm:flex-wrap">
            <Button
              className="min-h-16 px-2 sm:px-5"
              disabled={shown !== null && states.indexOf(shown) === 0}
              onClick={back}
            >
              {makeWords.back}
            </Button>
            <Button
              className="min-h-16 px-2 sm:px-5"
              disabled={!newest || newest.event.kind === 'tasted'}
              onClick={undo}
            >
              {makeWords.undoTheLast}
            </Button>
            <Button className="min-h-16 px-2 sm:px-5" onClick={show('by-hand')}>
              {makeWords.somethingByHand}
            </Button>
            {current && (
              <Button className="min-h-16 px-2 sm:px-5" onClick={show('otherwise')}>
                {makeWords.itWentOtherwise}
              </Button>
            )}
          </div>
        </div>
        <JarNow
          portions={portions}
          vessel={vessel}
          volumeMl={volumeMl}
          settings={settings}
          states={states}
          making={making}
          catalogue={catalogue}
          shown={shown}
          pouring={shown && shown.status === 'open' ? scale.netG : null}
        />
      </div>
      {!current && <JarCautions jar={jar} formulaId={jar.formulaId} portions={portions} kitchen={kitchen} />}
      {scale.simulated && <TesterPanel counter={counter} docked />}
      {panel === 'otherwise' && current && (
        <OtherwisePanel
          state={current}
          states={states}
          scale={scale}
          making={making}
          catalogue={catalogue}
          context={context}
          onSay={say}
          onClose={show(null)}
        />
      )}
      {panel === 'by-hand' && (
        <ByHand portions={portions} kitchen={kitchen} context={context} onSay={say} onClose={show(null)} />
      )}
      {panel === 'keys' && (
        <KeyHelp open onClose={show(null)} groups={[{ title: makeWords.make, shortcuts }]} />
      )}
    </div>
  );
}
