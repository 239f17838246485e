import type { Hold } from '#core/emulsion';
import type { Vessel } from '#core/vessel';
import { makingHold } from '#kitchen/holds';
import { useHolds } from '../../workers/useHolds';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { composition } from '#core/composition';
import { findingOf, type Finding, type Remedy } from '#core/balance';
import type { Style } from '#core/palate';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import { currentStep, mixedAt, standingEvents, standingOf, type Step } from '#core/trial';
import { usableVolumeMl } from '#core/vessel';
import { formatAmount } from '#words/numbers';
import { tasteWords } from '#words/screens/taste';
import { newId } from '../../sync/device';
import { makingOf, statesOf, type Jar } from '../../data/jars';
import { contextFor, mendsFrom, vesselOf } from '#kitchen/reading';
import { sayDoses } from '#words/balance';
import { useSpokenKitchen } from '../../data/kitchen';
import { judgedBy, useStyles } from '../../data/styles';
import { useSearch } from '../../workers/useSearch';
import { useJarJudged } from '../../data/useJarJudged';
import { portionsNow } from '../../data/trials';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { BestWhen } from '../../parts/BestWhen';
import { GesturePad } from '../../parts/GesturePad';
import { JarCautions } from '../../parts/JarCautions';
import { JarLog } from '../../parts/JarLog';
import { useTasting, type TastingDraft } from './useTasting';
import { WhatItSays } from './WhatItSays';
import { Mends, useMendQuestion } from './Mends';
import { TasteFirst } from './TasteFirst';

/** A phone shows one of these at a time. */
const PARTS = [
  { value: 'says', label: tasteWords.partSays },
  { value: 'mends', label: tasteWords.partMends },
  { value: 'hand', label: tasteWords.partHand },
  { value: 'jar', label: tasteWords.partJar },
] as const;
type Part = (typeof PARTS)[number]['value'];

/** What answers a tasting: weighed on the scale as steps, or put in by hand and written down. */
function useMending(jar: Jar, draft: TastingDraft, seconds: number) {
  const navigate = useNavigate();
  const shakeAgain = (): Step => ({ kind: 'do', id: `do-mix-${newId()}`, deed: 'mix', seconds, said: '' });
  /** What the mouth said is kept first; what answers it becomes steps on the scale. */
  const weigh = async (remedy: Remedy): Promise<void> => {
    const steps = remedy.doses.map(({ mayAdd: { ingredient, form }, massG }): Step => ({
      kind: 'weigh',
      id: `mend-${newId()}`,
      said: '',
      paced: false,
      line: { ingredientId: ingredient.id, form, massG },
    }));
    await draft.mended({
      kind: 'planned',
      reason: 'mend',
      targets: [],
      steps: [...steps, shakeAgain()],
      before: null,
      note: '',
    });
    void navigate(`/formulas/${jar.formulaId}/make?jar=${jar.id}`);
  };
  /** By hand it is in already: written down with what was said of the jar before. */
  const putIn = (remedy: Remedy): void => {
    const lines = remedy.doses.map(({ mayAdd: { ingredient, form }, massG }) => ({
      ingredientId: ingredient.id,
      form,
      massG,
    }));
    void draft.mended({ kind: 'added', lines, note: sayDoses(remedy.doses) });
  };
  return { weigh, putIn };
}

/** One jar: what the mouth says of it, what would mend it, and what has happened to it. */
export function TasteJar({ working, jar }: { working: WorkingFormula; jar: Jar }) {
  const { id, formula } = working;
  const kitchen = useSpokenKitchen();
  const { settings } = kitchen;
  const styles = useStyles();
  const draft = useTasting(jar);
  const [shown, setShown] = useState<Part>('says');
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const portions = useMemo(() => portionsNow(jar, kitchen.catalogue), [jar, kitchen.catalogue]);
  const { style, fitted } = useMemo(() => judgedBy(formula, styles, portions), [formula, styles, portions]);
  const unread = useJarJudged(jar, id, portions, kitchen)?.allergens.missing ?? NOTHING;
  const vessel = vesselOf({ ...formula, vesselId: jar.vesselId }, kitchen.vessels);
  const roomMl = Math.max(0, usableVolumeMl(vessel) - composition(portions).mixedVolumeMl);
  const open = currentStep(statesOf(jar));
  const { tool, seconds } = makingOf(jar);
  const mixed = useMemo(() => ({ tool, seconds, vessel }), [tool, seconds, vessel]);
  const { weigh, putIn } = useMending(jar, draft, seconds);
  const mayAdd = useMemo(() => mendsFrom(portions, kitchen, context).mayAdd, [portions, kitchen, context]);
  const standing = standingOf(jar.events);
  const right = standing === 'right' || standing === 'right-after-mending';
  const last = standingEvents(jar.events).at(-1);
  const only = (part: Part): string => (part === shown ? '' : 'hidden lg:block');
  const asked = useMendQuestion(draft.said, { portions, unread, style, roomMl, context, kitchen }, false);
  const first = useSearch('remedies', asked);
  const finding = useFinding(portions, style, unread, useHoldOf(jar, portions, vessel));
  return (
    <>
      <TasteFirst
        working={working}
        jar={jar}
        kitchen={kitchen}
        right={right}
        finding={finding}
        fitted={fitted}
        draft={draft}
        remedy={first.search.status === 'done' ? (first.search.answer.remedies[0] ?? null) : null}
        onPutIn={draft.figures.fits ? putIn : null}
      />
      {!open && (
        <BestWhen
          portions={portions}
          since={mixedAt(jar.events)}
          name={formula.name}
          formulaId={id}
          trialId={jar.id}
        />
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_440px]">
        <div className="lg:hidden">
          <Chips
            large
            className="grid auto-cols-fr grid-flow-col"
            label={tasteWords.shown}
            value={shown}
            options={PARTS}
            onChange={setShown}
          />
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5 empty:hidden">
          {open && <StillMade to={`/formulas/${id}/make?jar=${jar.id}`} />}
          <div className={only('says')}>
            <WhatItSays
              jar={jar}
              settings={settings}
              draft={draft}
              actionsAbove={!right || jar.batch !== null || draft.said.length > 0}
            />
          </div>
          <section className={`card p-4 ${only('hand')}`}>
            <h2 className="font-name mb-2 text-lg font-bold">{tasteWords.byHand}</h2>
            <GesturePad
              portions={portions}
              mayAdd={mayAdd}
              context={context}
              settings={settings}
              onPut={(line, said) => void draft.say({ kind: 'added', lines: [line], note: said })}
            />
          </section>
          <section aria-label={tasteWords.thisJarSoFar} className={`card p-4 ${only('jar')}`}>
            <div className="flex flex-wrap items-center justify-between gap-3">
              <h2 className="font-name text-lg font-bold">{tasteWords.thisJarSoFar}</h2>
              {last && (
                <Button
                  className="min-h-16 px-5"
                  onClick={() => void draft.say({ kind: 'corrected', eventId: last.id })}
                >
                  {tasteWords.undoTheLast}
                </Button>
              )}
            </div>
            <JarLog jar={jar} catalogue={kitchen.catalogue} settings={settings} />
          </section>
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <section
            aria-label={tasteWords.whatWouldMendIt}
            className={`card content-start p-4 ${only('mends')}`}
          >
            <div className="mb-2 flex items-baseline justify-between gap-2">
              <h2 className="font-name text-lg font-bold">{tasteWords.whatWouldMendIt}</h2>
              <span className="text-sm text-quiet">
                {tasteWords.roomInTheJarRoomml(formatAmount(roomMl, 'ml', settings))}
              </span>
            </div>
            <Mends
              mixed={mixed}
              portions={portions}
              unread={unread}
              said={draft.said}
              style={style}
              roomMl={roomMl}
              context={context}
              kitchen={kitchen}
              beingMade={open !== null}
              ready={draft.figures.fits}
              first={first}
              onPutIn={putIn}
              onWeigh={(remedy) => void weigh(remedy)}
            />
          </section>
          <div className={only('jar')}>
            <JarCautions jar={jar} formulaId={id} portions={portions} kitchen={kitchen} />
          </div>
        </div>
      </div>
    </>
  );
}

function StillMade({ to }: { to: string }) {
  return (
    <p className="border-l-4 border-l-sweet bg-tape-soft px-3 py-2 font-semibold">
      {tasteWords.thisJarIsStillBeing}{' '}
      <Link to={to} className="text-leaf underline">
        {tasteWords.goOnWithItsSteps}
      </Link>
    </p>
  );
}

/** What is reckoned of the jar as it stands. */
const useFinding = (
  portions: readonly JudgedPortion[],
  style: Style | null,
  unread: readonly string[],
  hold: Hold | null,
): Finding =>
  useMemo(
    () => findingOf({ judgement: judgePortions(portions, unread), hold, style, unread }),
    [portions, style, unread, hold],
  );

/** How it holds as it was made; null until that is reckoned. */
function useHoldOf(jar: Jar, portions: readonly JudgedPortion[], vessel: Vessel): Hold | null {
  const { tool, seconds, roomC } = makingOf(jar);
  const asked = useMemo(
    () => [makingHold(portions, { tool, seconds, vessel, roomC })],
    [portions, tool, seconds, vessel, roomC],
  );
  const [hold = null] = useHolds(asked);
  return hold;
}

const NOTHING: readonly string[] = [];
