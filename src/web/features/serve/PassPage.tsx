import { useMemo, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import type { VersionRecord } from '#contract';
import { remixOf } from '#core/emulsion';
import { sayDuration } from '#words/hold';
import { formatClock } from '#words/numbers';
import { passWords, sayPass } from '#words/screens/pass';
import { DISH_NAMES } from '#words/service';
import { FirstStrip } from '../../parts/FirstSentence';
import { NameTape } from '../../parts/FormulaPage';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { useShortcuts } from '../../ui/shortcuts';
import { useAwake } from '../../ui/useAwake';
import { PassSettings } from './PassSettings';
import { useOnTheLine } from './useOnTheLine';
import { usePass, type Pass } from './usePass';
import { useServed } from './useServed';
import { WithServed } from './WithServed';

/** One large screen for a service: how much on each plate, what is left, what to do next. Nothing to reckon. */
export function PassPage() {
  return <WithServed>{(served) => <AtThePass key={served.working.id} {...served} />}</WithServed>;
}

function AtThePass({ working, versions }: { working: WorkingFormula; versions: readonly VersionRecord[] }) {
  const served = useServed(working, versions);
  const { need, covers, bowl, dish, judgement } = served;
  const { hold, standOut } = useOnTheLine(served);
  const { search } = useLocation();
  const back = `/formulas/${working.id}/serve${search}`;
  const remix = remixOf(hold);
  const shakeEveryS = remix.kind === 'every' ? remix.seconds : remix.kind === 'each-portion' ? 0 : null;
  const about = useMemo(
    () => ({
      shakeEveryS,
      standOutS: standOut?.code === 'oil-sets' ? standOut.standOutS : 0,
      cold: judgement.keeping.cold,
    }),
    [shakeEveryS, standOut, judgement],
  );
  const dishName = bowl?.kept.name ?? DISH_NAMES[dish.kind];
  const head = (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <NameTape name={working.formula.name} detail={passWords.atThePass(dishName)} />
      <Link to={back} className="ml-auto inline-flex min-h-11 items-center text-leaf underline">
        {passWords.toServe}
      </Link>
    </div>
  );
  if (need === null || covers === null || !(covers > 0) || !(need.ml > 0))
    return (
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
        {head}
        <p className="card p-5 text-lg">{passWords.sayTheDishFirst}</p>
      </div>
    );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      {head}
      <Plates
        key={bowl?.kept.id ?? dish.kind}
        name={`${working.id}-${bowl?.kept.id ?? dish.kind}`}
        plates={covers}
        perPlateMl={need.ml / covers}
        about={about}
      />
    </div>
  );
}

function Plates(props: Parameters<typeof usePass>[0]) {
  const pass = usePass(props);
  const { state, portion, happened, takeBack, events, fits } = pass;
  const { shakeEveryS } = props.about;
  useAwake(events.length > 0 && (state?.left ?? 0) > 0);
  const counts = state !== null && fits;
  useShortcuts([
    { keys: [' ', 'Enter'], does: passWords.plateIsOut, when: () => counts, run: () => happened('plate') },
    { keys: ['c'], does: passWords.containerIsOut, when: () => counts, run: () => happened('container') },
    { keys: ['s'], does: passWords.itIsShaken, when: () => counts, run: () => happened('shook') },
    {
      keys: ['mod+z', 'Backspace'],
      does: passWords.takeBack,
      when: () => events.length > 0,
      run: takeBack,
    },
  ]);
  if (!state || !portion) return <PassSettings pass={pass} open />;
  const first = sayPass(state, shakeEveryS === 0);
  return (
    <>
      <FirstStrip tall tone={first.tone} sentence={first.says}>
        {state.needed === 0 && <span className="font-semibold">{passWords.holdsNoPlate}</span>}
      </FirstStrip>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_400px]">
        <section
          aria-label={passWords.onEachPlate}
          className="card grid grid-cols-[minmax(0,1fr)] content-between gap-4 p-5"
        >
          <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
            <p>
              <span
                className="font-name block text-6xl leading-none font-bold lg:text-8xl"
                data-testid="portion"
              >
                {passWords.portion(portion.count, pass.tool)}
              </span>
              <span className="text-xl">{passWords.ofMlOnEachPlate(pass.texts.toolMl)}</span>
            </p>
            <p className="text-right">
              <span
                className="font-name block text-6xl leading-none font-bold lg:text-8xl"
                data-testid="left"
              >
                {state.left}
              </span>
              <span className="text-xl">{passWords.platesToGo(state.left)}</span>
            </p>
          </div>
          <Button
            kind="main"
            data-next
            className="font-name min-h-40 text-4xl lg:min-h-56"
            disabled={!fits}
            onClick={() => {
              happened('plate');
            }}
          >
            {passWords.plateIsOut}
          </Button>
          <div className="flex flex-wrap items-center justify-between gap-4 text-lg">
            <span>
              {passWords.ofPlates(state.sent, state.sent + state.left)}
              {state.paceS !== null &&
                state.paceS >= LEAST_PACE_S &&
                `. ${passWords.pace(sayPace(state.paceS))}`}
            </span>
            <Button className="min-h-16 px-6 text-lg" disabled={events.length === 0} onClick={takeBack}>
              {passWords.takeBack}
            </Button>
          </div>
        </section>
        <Beside pass={pass} state={state} about={props.about} />
      </div>
      <PassSettings pass={pass} open={false} />
    </>
  );
}

/** Nobody dresses faster: that was a finger on the screen. */
const LEAST_PACE_S = 3;
const sayPace = (seconds: number): string =>
  seconds < 60 ? `${Math.max(1, Math.round(seconds))} s` : sayDuration(seconds);

function Beside({
  pass: { happened, fits, texts, portion },
  state,
  about: { shakeEveryS, cold },
}: {
  pass: Pass;
  state: NonNullable<Pass['state']>;
  about: Parameters<typeof usePass>[0]['about'];
}) {
  const { brought, needed, inContainers, nextAfterPlates, shakeInS, throwAwayAtMs } = state;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
      <Tile
        title={passWords.container}
        due={nextAfterPlates === 0}
        action={brought === 0 ? passWords.firstContainerIsOut : passWords.containerIsOut}
        disabled={!fits}
        onDone={() => {
          happened('container');
        }}
      >
        <p className="text-2xl font-semibold" data-testid="container">
          {brought === 0 ? passWords.noneOut : passWords.doesMore(inContainers)}
        </p>
        <p>
          {passWords.containersOf(brought, needed)}{' '}
          {nextAfterPlates !== null && nextAfterPlates > 0 && passWords.nextAfter(nextAfterPlates)}
        </p>
      </Tile>
      <Tile
        title={passWords.shake}
        due={shakeInS === 0}
        action={shakeEveryS ? passWords.itIsShaken : null}
        disabled={!fits}
        onDone={() => {
          happened('shook');
        }}
      >
        <p className="text-2xl font-semibold" data-testid="shake">
          {shakeEveryS === null
            ? passWords.shakeOnce
            : shakeEveryS === 0
              ? passWords.shakeEach
              : shakeInS === null
                ? passWords.shakeWhenOut
                : passWords.shakeIn(sayDuration(shakeInS))}
        </p>
      </Tile>
      <Tile title={passWords.outOfTheCold} due={state.over} action={null}>
        <p className="text-xl font-semibold" data-testid="cold">
          {!cold
            ? passWords.needNotBeCold
            : throwAwayAtMs === null
              ? passWords.noneOut
              : passWords.throwAwayAt(formatClock(new Date(throwAwayAtMs)))}
        </p>
      </Tile>
      <p className="text-sm text-quiet">
        {portion && passWords.ofSoMuch(`${texts.toolMl} ml`, `${Math.round(portion.ml)} ml`)}{' '}
        {passWords.anEstimate}
      </p>
    </div>
  );
}

function Tile({
  title,
  due,
  action,
  disabled = false,
  onDone,
  children,
}: {
  title: string;
  due: boolean;
  action: string | null;
  disabled?: boolean;
  onDone?: () => void;
  children: ReactNode;
}) {
  return (
    <section
      aria-label={title}
      className={`card grid grid-cols-[minmax(0,1fr)] gap-2 p-4 ${due ? 'border-l-8 border-l-acid' : ''}`}
    >
      <h2 className="font-name font-bold">{title}</h2>
      {children}
      {action !== null && (
        <Button
          kind={due ? 'main' : 'plain'}
          className="min-h-16 text-lg"
          disabled={disabled}
          onClick={onDone}
        >
          {action}
        </Button>
      )}
    </section>
  );
}
