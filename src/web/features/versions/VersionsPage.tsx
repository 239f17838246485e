import { useMemo, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { VersionRecord } from '#contract';
import { restoredFrom, sameContent, type Formula, type FormulaId } from '#core/formula';
import { sayVersion } from '#words/version';
import { describeChange, namedByIngredient, sayChange } from '#words/changes';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { versionsWords } from '#words/screens/versions';
import { useVersionsQuery } from '../../data/kitchenApi';
import { useFormulasById } from '../../data/shelf';
import { useChoices } from '../../parts/FormulaChoice';
import { CautionLines } from '../../parts/CautionLines';
import { Jar } from '../../parts/drawing/Jar';
import { jarParts } from '../../parts/drawing/jarParts';
import { formatAmount, formatPercent, formatRatio } from '#words/numbers';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { useAppDispatch } from '../../sync/store';
import { useWorking } from '../../sync/useWorking';
import { formulaEdited, formulaUndone, type WorkingFormula } from '../../sync/working';
import { Choice } from '../../ui/Choice';
import { FormulaPending, NameTape } from '../../parts/FormulaPage';
import { FormulaStages } from '../../parts/FormulaStages';
import { useShortcuts } from '../../ui/shortcuts';
import { aimOf, useStyles } from '../../data/styles';
import { HoldCompare } from './HoldCompare';
import { Lineage } from './Lineage';
import { PalateCompare } from './PalateCompare';

export function VersionsPage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  const versions = useVersionsQuery(id);
  if (working && versions.data) return <Versions working={working} versions={versions.data} />;
  return (
    <FormulaPending
      error={error ?? versions.error}
      what={versionsWords.theVersions}
      retry={() => {
        retry();
        void versions.refetch();
      }}
    />
  );
}

/** The working state among the versions one may compare. */
const WORKING = 'working';
/** Another formula of the shelf, as it stands. */
const OTHER = 'formula-';

function Versions({ working, versions }: { working: WorkingFormula; versions: readonly VersionRecord[] }) {
  const kitchen = useKitchen();
  const dispatch = useAppDispatch();
  const [params, setParams] = useSearchParams();
  const { id, formula, baseVersion } = working;
  const undo = (): void => void dispatch(formulaUndone(id));
  useShortcuts([{ keys: ['mod+z'], does: versionsWords.undo, run: undo }]);
  const changed = baseVersion === null || !sameContent(baseVersion.formula, formula);
  const [q, setQ] = useState('');
  const choices = useChoices(q, false);
  const compared = [params.get('from'), params.get('to')].flatMap((key) =>
    key?.startsWith(OTHER) ? [key.slice(OTHER.length)] : [],
  );
  const open = useFormulasById(compared);
  const others = [
    ...open,
    ...(choices?.records ?? []).filter((record) => open.every((one) => one.id !== record.id)),
  ].filter((record) => record.id !== id);
  const stateOf = (key: string): Formula =>
    versions.find(({ number }) => String(number) === key)?.formula ??
    others.find((record) => `${OTHER}${record.id}` === key)?.formula ??
    formula;
  const from = params.get('from') ?? String(baseVersion?.number ?? WORKING);
  const to = params.get('to') ?? WORKING;
  const choose = (patch: { from?: string; to?: string }): void => {
    setParams({ from, to, ...patch }, { replace: true });
  };
  const nameOf = (key: string): string =>
    key === WORKING
      ? versionsWords.nowFormula(sayVersion(formula, baseVersion))
      : key.startsWith(OTHER)
        ? stateOf(key).name
        : `v${key}`;
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <NameTape name={formula.name} detail={versionsWords.versions} />
        <span className="ml-auto max-w-full min-w-0">
          <FormulaStages id={id} />
        </span>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,440px)_minmax(0,1fr)]">
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <Lineage
            working={working}
            versions={versions}
            changed={changed}
            onCompare={(number) => {
              choose({ from: String(number), to: WORKING });
            }}
            onRestore={(version) => {
              dispatch(formulaEdited(id, restoredFrom(version)));
            }}
          />
        </div>
        <section aria-label={versionsWords.whatChanged} className="card min-w-0 p-4">
          <div className="mb-3 flex flex-wrap items-center gap-2">
            <h2 className="font-name mr-2 text-lg font-bold">{versionsWords.whatChanged}</h2>
            {(['from', 'to'] as const).map((side) => (
              <span key={side} className="flex items-center gap-2">
                {side === 'from' ? versionsWords.from : versionsWords.to}
                <Choice
                  label={side === 'from' ? versionsWords.compareFrom : versionsWords.compareTo}
                  value={side === 'from' ? from : to}
                  options={[
                    { value: WORKING, label: nameOf(WORKING) },
                    ...versions.map(({ number }) => ({ value: String(number), label: `v${number}` })),
                    ...others.map((record) => ({
                      value: `${OTHER}${record.id}`,
                      label: record.formula.name,
                    })),
                  ]}
                  onChange={(key) => {
                    choose({ [side]: key });
                  }}
                />
              </span>
            ))}
          </div>
          {(q !== '' || (choices?.total ?? 0) > (choices?.records.length ?? 0)) && (
            <input
              type="search"
              className="field mb-3 w-60"
              aria-label={versionsWords.anotherFormulaByName}
              placeholder={versionsWords.anotherFormulaByName}
              value={q}
              onChange={({ target }) => {
                setQ(target.value);
              }}
            />
          )}
          <Comparison
            before={stateOf(from)}
            after={stateOf(to)}
            names={[nameOf(from), nameOf(to)]}
            strangers={from.startsWith(OTHER) || to.startsWith(OTHER)}
            kitchen={kitchen}
          />
        </section>
      </div>
    </div>
  );
}

function Comparison({
  before,
  after,
  names,
  strangers,
  kitchen,
}: {
  before: Formula;
  after: Formula;
  names: readonly [string, string];
  /** Not two states of one formula: additions are matched by what they are. */
  strangers: boolean;
  kitchen: Kitchen;
}) {
  const styles = useStyles();
  const lines = useMemo(
    () =>
      describeChange(
        strangers ? namedByIngredient(before) : before,
        strangers ? namedByIngredient(after) : after,
        {
          ingredient: ({ ingredientId, ingredientText }) =>
            (ingredientId && kitchen.catalogue.get(ingredientId)?.name) || ingredientText,
          vessel: (id) => kitchen.vessels.find((vessel) => vessel.id === id)?.name ?? id,
          style: (id) => styles.find((style) => style.id === id)?.name ?? id,
        },
      ),
    [before, after, strangers, kitchen, styles],
  );
  const judged = (formula: Formula) =>
    judgeFormula(reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen)));
  return (
    <>
      {lines.length === 0 ? (
        <p className="text-quiet">{versionsWords.nothingTheTwoAreThe}</p>
      ) : (
        <ul className="gap-x-8 xl:columns-2" data-testid="changes">
          {lines.map((line) => (
            <li key={`${line.kind}-${line.what}-${line.to}`} className="break-inside-avoid pb-1">
              {sayChange(line)}
            </li>
          ))}
        </ul>
      )}
      <PalateCompare
        before={judged(before)}
        after={judged(after)}
        names={names}
        style={aimOf(after, styles)}
        settings={kitchen.settings}
      />
      <HoldCompare formulas={[before, after]} names={names} kitchen={kitchen} />
      <div className="mt-5 grid grid-cols-2 gap-4">
        {[before, after].map((formula, index) => (
          <Side key={index} formula={formula} name={names[index]!} kitchen={kitchen} />
        ))}
      </div>
    </>
  );
}

function Side({ formula, name, kitchen }: { formula: Formula; name: string; kitchen: Kitchen }) {
  const { settings } = kitchen;
  const vessel = vesselOf(formula, kitchen.vessels);
  const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
  const { totals, fillShare, additions } = reckoning;
  const judgement = judgeFormula(reckoning);
  const { measures } = totals;
  return (
    <figure className="min-w-0">
      <figcaption className="font-semibold">{name}</figcaption>
      <div className="flex flex-wrap items-end gap-4">
        <Jar
          vessel={vessel}
          parts={jarParts({ additions })}
          width={130}
          height={190}
          label={versionsWords.nameName2FillshareFull(
            name,
            vessel.name,
            formatPercent(fillShare, settings, 0),
          )}
        />
        <dl className="grid grid-cols-[auto_auto] gap-x-3 text-sm">
          <dt className="text-quiet">{versionsWords.oilToAcid}</dt>
          <dd>{formatRatio(measures.oilToAcidVolumeRatio, settings)}</dd>
          <dt className="text-quiet">{versionsWords.volume}</dt>
          <dd>{formatAmount(totals.mixedVolumeMl, 'ml', settings)}</dd>
          <dt className="text-quiet">{versionsWords.fat}</dt>
          <dd>{formatPercent(measures.fatMassFraction, settings)}</dd>
          <dt className="text-quiet">{versionsWords.salt}</dt>
          <dd>{formatPercent(measures.saltEquivalentMassFraction, settings)}</dd>
          <dt className="text-quiet">{versionsWords.sugars}</dt>
          <dd>{formatPercent(measures.sugarMassFraction, settings)}</dd>
        </dl>
      </div>
      {additions.length > 0 && (
        <div className="mt-2 border-l-4 border-l-sweet pl-2 text-sm">
          <CautionLines of={judgement} />
        </div>
      )}
    </figure>
  );
}
