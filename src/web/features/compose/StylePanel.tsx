import { useSaveShared } from '../../sync/useSaveShared';
import { useMemo, useState } from 'react';
import {
  nearestStyles,
  PALATE_KEYS,
  verdictOf,
  windowsFrom,
  withTypedRatio,
  type PalateKey,
  type PalatePortion,
  type Style,
  type PalateWindow,
} from '#core/palate';
import { sayWhy } from '#words/finding';
import { MEASURE_WORDS } from '#words/palate';
import type { Judgement } from '#core/reckoning';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import type { ShelfRecord } from '#contract';
import { sayStyle } from '#words/palate';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { Tick } from '../../ui/Tick';
import { sayError } from '../../data/kitchenApi';
import { useChoices } from '../../parts/FormulaChoice';
import { typedNumber } from '../../form/typed';
import { newId } from '../../sync/device';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import type { KitchenStyle } from '../../data/styles';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Alert } from '../../ui/Alert';

interface StylePanelProps {
  readonly styles: readonly KitchenStyle[];
  readonly chosenId: string | null;
  readonly typedRatio: number | null;
  readonly judgement: Judgement;
  readonly kitchen: Kitchen;
  readonly onChoose: (id: string | null) => void;
  readonly onForgetRatio: () => void;
  readonly onClose: () => void;
}

/** How this dressing sits in each style; choose one, move its windows, or make one from what the kitchen likes. */
export function StylePanel(props: StylePanelProps) {
  const [view, setView] = useState<'choose' | 'own' | { readonly windowsOf: string }>('choose');
  const back = (): void => {
    setView('choose');
  };
  if (view === 'own') return <OwnStyle {...props} onBack={back} />;
  if (view !== 'choose') {
    const style = props.styles.find(({ id }) => id === view.windowsOf);
    if (style) return <StyleWindows key={style.id} style={style} onBack={back} onClose={props.onClose} />;
  }
  return (
    <ChooseStyle
      {...props}
      onOwn={() => {
        setView('own');
      }}
      onWindows={(windowsOf) => {
        setView({ windowsOf });
      }}
    />
  );
}

function ChooseStyle({
  styles,
  chosenId,
  typedRatio,
  judgement,
  onChoose,
  onForgetRatio,
  onClose,
  onOwn,
  onWindows,
}: StylePanelProps & { onOwn: () => void; onWindows: (id: string) => void }) {
  const empty = judgement.portions.length === 0;
  const rows = useMemo(() => {
    const asked = styles.map((style) => ({ ...style, ...withTypedRatio(style, typedRatio) }));
    const fits = nearestStyles(judgement.portions, asked);
    return fits.length > 0
      ? fits.map(({ style, verdict }) => ({ style, verdict }))
      : asked.map((style) => ({ style, verdict: verdictOf(judgement.palate, style) }));
  }, [styles, typedRatio, judgement]);
  return (
    <Dialog title={composeBalanceWords.whatItIsAimingFor} open onClose={onClose}>
      {typedRatio !== null && (
        <p className="mb-2 flex flex-wrap items-center gap-2">
          {composeBalanceWords.theRatioYouSetTypedratio(typedRatio.toFixed(1))}
          <Button onClick={onForgetRatio}>{composeBalanceWords.leaveItToTheStyle}</Button>
        </p>
      )}
      <ul className="grid gap-1" data-testid="styles">
        {rows.map(({ style, verdict }, place) => (
          <li key={style.id} className={`flex gap-2 ${!empty && place === NEAREST ? 'mt-3' : ''}`}>
            <button
              type="button"
              aria-pressed={style.id === chosenId}
              className={`grid flex-1 grid-cols-[1fr_auto] gap-x-3 rounded-md border px-3 py-1 text-left hover:border-leaf ${style.id === chosenId ? 'border-leaf bg-mint' : 'border-rule bg-paper'}`}
              onClick={() => {
                onChoose(style.id);
                onClose();
              }}
            >
              <span className="font-semibold">
                {style.name}
                {style.kind !== 'built-in' && (
                  <span className="ml-2 text-sm font-normal text-quiet">
                    {style.kind === 'own' ? composeBalanceWords.ours : composeBalanceWords.adjusted}
                  </span>
                )}
              </span>
              <span className="font-name font-semibold">{empty ? '' : verdict.score}</span>
              <span className="col-span-full text-sm text-quiet">
                {empty ? sayStyle(style) : sayWhy(verdict)}
                {!empty && place < NEAREST && composeBalanceWords.amongTheNearest}
              </span>
            </button>
            <Button
              kind="quiet"
              aria-label={composeBalanceWords.windowsOfName(style.name)}
              onClick={() => {
                onWindows(style.id);
              }}
            >
              {composeBalanceWords.windows}
            </Button>
          </li>
        ))}
      </ul>
      <p className="my-3 text-sm text-quiet">{composeBalanceWords.windowsComeFromAFew}</p>
      <div className="flex gap-3">
        <Button onClick={onOwn}>{composeBalanceWords.aStyleOfOurOwn}</Button>
        {chosenId !== null && (
          <Button
            onClick={() => {
              onChoose(null);
              onClose();
            }}
          >
            {composeBalanceWords.aimForNone}
          </Button>
        )}
      </div>
    </Dialog>
  );
}

/** So many stand apart at the top: they are nearest to what is in the jar. */
const NEAREST = 3;

type Typed = Partial<Record<PalateKey, { low: string; high: string }>>;

function StyleWindows({
  style,
  onBack,
  onClose,
}: {
  style: KitchenStyle;
  onBack: () => void;
  onClose: () => void;
}) {
  const shown = (key: PalateKey, value: number): string =>
    String(Number((value * MEASURE_WORDS[key].factor).toFixed(3)));
  const keys = PALATE_KEYS.filter((key) => style.setWindows[key]);
  const [typed, setTyped] = useState<Typed>(
    Object.fromEntries(
      keys.map((key) => {
        const { low, high } = style.setWindows[key]!;
        return [key, { low: shown(key, low), high: shown(key, high) }];
      }),
    ),
  );
  const [save, saving] = useSaveShared('style');
  const saved = style.kind === 'built-in' ? null : styleOf(style);
  const windows = new Map(keys.map((key) => [key, readWindow(key, typed[key]!)]));
  const wrong = [...windows.values()].some((window) => window === null);
  return (
    <Dialog title={composeBalanceWords.windowsOfName2(style.name)} open onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (wrong) return;
          const { id, name, says } = style;
          const next: Style = { id, name, says, windows: Object.fromEntries(windows) as Style['windows'] };
          save(id, saved, next).then(onBack, () => undefined);
        }}
      >
        <table className="w-full text-left">
          <thead className="text-sm text-quiet">
            <tr>
              <th className="font-normal">{composeBalanceWords.measure}</th>
              <th className="font-normal">{composeBalanceWords.from}</th>
              <th className="font-normal">{composeBalanceWords.to}</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {keys.map((key) => (
              <tr key={key} className="border-t border-rule">
                <th scope="row" className="py-1 font-normal">
                  {MEASURE_WORDS[key].title}
                </th>
                {(['low', 'high'] as const).map((end) => (
                  <td key={end} className="pr-2">
                    <input
                      className={`field w-24 ${windows.get(key) === null ? 'border-acid-ink bg-acid-wash' : ''}`}
                      inputMode="decimal"
                      aria-label={`${MEASURE_WORDS[key].title}, ${end === 'low' ? 'from' : 'to'}`}
                      aria-invalid={windows.get(key) === null}
                      value={typed[key]![end]}
                      onChange={(event) => {
                        setTyped((now) => ({ ...now, [key]: { ...now[key]!, [end]: event.target.value } }));
                      }}
                    />
                  </td>
                ))}
                <td className="text-sm text-quiet">{MEASURE_WORDS[key].unit}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {style.shifts.length > 0 && (
          <ul className="mt-2 border-l-4 border-l-leaf pl-2 text-sm" data-testid="shifts">
            {style.shifts.map(({ measure, end, from, to, count }) => (
              <li key={`${measure} ${end}`}>
                {MEASURE_WORDS[measure].title},{' '}
                {end === 'low' ? composeBalanceWords.from : composeBalanceWords.to}: {shown(measure, from)} →{' '}
                {composeBalanceWords.shownMovedByFormIn(
                  shown(measure, to),
                  count === 1 ? composeBalanceWords.oneTasting : composeBalanceWords.countTastings(count),
                )}
              </li>
            ))}
          </ul>
        )}
        <p role="status" className="my-2 min-h-5 text-sm text-acid-ink">
          {wrong ? composeBalanceWords.eachWindowNeedsTwoNumbers : ''}
          {saving.error !== undefined ? composeBalanceWords.notKeptError(sayError(saving.error)) : ''}
        </p>
        <div className="flex flex-wrap gap-3">
          <Button kind="main" type="submit" disabled={wrong || saving.isLoading}>
            {composeBalanceWords.keep}
          </Button>
          <Button onClick={onBack}>{composeBalanceWords.back}</Button>
          {style.kind !== 'built-in' && (
            <Button
              onClick={() => {
                save(style.id, saved, null).then(onBack, () => undefined);
              }}
            >
              {style.kind === 'own'
                ? composeBalanceWords.takeThisStyleAway
                : composeBalanceWords.backToItsOwnWindows}
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}

/** As it is kept: without what tastings moved. */
const styleOf = ({ id, name, says, setWindows: windows }: KitchenStyle): Style => ({
  id,
  name,
  says,
  windows,
});

function readWindow(key: PalateKey, { low, high }: { low: string; high: string }): PalateWindow | null {
  const [from, to] = [typedNumber(low, { from: 0 }).value, typedNumber(high).value];
  if (from === null || to === null || from >= to) return null;
  const { factor } = MEASURE_WORDS[key];
  return { low: from / factor, high: to / factor };
}

function OwnStyle({
  kitchen,
  judgement,
  onChoose,
  onClose,
  onBack,
}: StylePanelProps & { onBack: () => void }) {
  const [q, setQ] = useState('');
  const choices = useChoices(q, false);
  const [name, setName] = useState('');
  const [liked, setLiked] = useState<readonly ShelfRecord[]>([]);
  const [save, saving] = useSaveShared('style');
  const found = choices?.records ?? [];
  const others = [...liked, ...found.filter(({ id }) => liked.every((one) => one.id !== id))];
  return (
    <Dialog title={composeBalanceWords.aStyleOfOurOwn2} open onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const dressings = liked.map((record) => portionsOf(record, kitchen));
          const all = dressings.length > 0 ? dressings : [judgement.portions];
          const id = `own_${newId()}`;
          const says = composeBalanceWords.fromDressingsThisKitchenLikes;
          const style: Style = { id, name: name.trim(), says, windows: windowsFrom(all, { sweet: true }) };
          save(id, null, style).then(
            () => {
              onChoose(id);
              onClose();
            },
            () => undefined,
          );
        }}
      >
        <label className="grid gap-1 font-semibold">
          {composeBalanceWords.name}
          <input
            autoFocus
            className="field font-normal"
            maxLength={120}
            value={name}
            onChange={(event) => {
              setName(event.target.value);
            }}
          />
        </label>
        <fieldset>
          <legend className="font-semibold">{composeBalanceWords.madeFromTheDressingsYou}</legend>
          {(q !== '' || (choices?.total ?? 0) > found.length) && (
            <input
              type="search"
              className="field mb-1 w-full"
              aria-label={composeBalanceWords.partOfItsName}
              placeholder={composeBalanceWords.partOfItsName}
              value={q}
              onChange={({ target }) => {
                setQ(target.value);
              }}
            />
          )}
          <div className="max-h-72 overflow-auto">
            {others.map((record) => (
              <Tick
                key={record.id}
                label={record.formula.name}
                checked={liked.includes(record)}
                onChange={(checked) => {
                  setLiked((now) => (checked ? [...now, record] : now.filter(({ id }) => id !== record.id)));
                }}
              />
            ))}
          </div>
        </fieldset>
        {saving.error !== undefined && (
          <Alert>{composeBalanceWords.notKeptError2(sayError(saving.error))}</Alert>
        )}
        <div className="flex gap-3">
          <Button kind="main" type="submit" disabled={!name.trim() || saving.isLoading}>
            {composeBalanceWords.makeAndAimForIt}
          </Button>
          <Button onClick={onBack}>{composeBalanceWords.back}</Button>
        </div>
      </form>
    </Dialog>
  );
}

function portionsOf({ formula }: ShelfRecord, kitchen: Kitchen): readonly PalatePortion[] {
  const reckoning = reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen));
  return judgeFormula(reckoning).portions;
}
