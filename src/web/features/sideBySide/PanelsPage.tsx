import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { MOST_TASTERS, type PanelRecord, type SampleRef, type ShelfRecord } from '#contract';
import { tastersNeeded, type TestKind } from '#core/sensory';
import { sideBySideWords } from '#words/screens/sideBySide';
import { Alert } from '../../ui/Alert';
import { sayError, useBeginPanelMutation, usePanelsQuery, useVersionsQuery } from '../../data/kitchenApi';
import { formatMoment } from '#words/numbers';
import { typedNumber } from '../../form/typed';
import { byNow, newId } from '../../sync/device';
import { NextStep } from '../../parts/NextStep';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Loading, Trouble } from '../../parts/PageState';
import { useFormulasById } from '../../data/shelf';
import { FormulaChoice, useChoicesQuery } from '../../parts/FormulaChoice';
import { nameOf } from './samples';

const KINDS = [
  { value: 'triangle', label: sideBySideWords.triangleCanTheyBeTold },
  { value: 'paired', label: sideBySideWords.pairWhichIsLikedBetter },
] as const;

/** Tastings side by side: what was tasted, and a new one. */
export function PanelsPage() {
  const panels = usePanelsQuery();
  const [search] = useSearchParams();
  const asked = useFormulasById([search.get('formula') ?? ''].filter(Boolean))[0];
  const choosing = useChoicesQuery('', true);
  const choices = choosing.data;
  const formulas = useFormulasById((panels.data ?? []).flatMap(({ a, b }) => [a.formulaId, b.formulaId]));
  if (panels.data && choices)
    return <Panels panels={panels.data} formulas={formulas} first={asked ?? choices.records[0] ?? null} />;
  const trouble = panels.error ?? choosing.error;
  if (trouble) {
    return (
      <Trouble
        error={trouble}
        retry={() => {
          void panels.refetch();
          void choosing.refetch();
        }}
      />
    );
  }
  return <Loading what={sideBySideWords.theTastings} />;
}

function Panels({
  panels,
  formulas,
  first,
}: {
  panels: readonly PanelRecord[];
  formulas: readonly ShelfRecord[];
  first: ShelfRecord | null;
}) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <h1 className="font-name text-2xl font-bold">{sideBySideWords.sideBySide}</h1>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-2">
        {first === null ? (
          <div className="card p-4">
            <NextStep
              says={sideBySideWords.freezeAVersionFirstWhat}
              label={sideBySideWords.toTheShelf}
              to="/"
            />
          </div>
        ) : (
          <NewPanel key={first.id} asked={first} />
        )}
        <section aria-label={sideBySideWords.tastings} className="card p-4">
          <h2 className="font-name mb-2 text-lg font-bold">{sideBySideWords.tastingsSoFar}</h2>
          {panels.length === 0 && <p className="text-quiet">{sideBySideWords.noneYet}</p>}
          <ul>
            {panels.map((panel) => (
              <li key={panel.id} className="border-t border-rule py-2">
                <Link to={`/side-by-side/${panel.id}`} className="font-semibold text-leaf underline">
                  {sideBySideWords.nameofAgainstNameof2(nameOf(panel.a, formulas), nameOf(panel.b, formulas))}
                </Link>
                <span className="block text-sm text-quiet">
                  {panel.kind === 'triangle' ? sideBySideWords.triangle : sideBySideWords.pair},{' '}
                  {sideBySideWords.sizeOfTastersTasters(
                    new Set(panel.answers.map(({ taster }) => taster)).size,
                    panel.tasters,
                  )}{' '}
                  {formatMoment(panel.at)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </div>
  );
}

function NewPanel({ asked }: { asked: ShelfRecord }) {
  const navigate = useNavigate();
  const [kind, setKind] = useState<TestKind>('triangle');
  const [a, setA] = useState<SampleRef>({ formulaId: asked.id, version: asked.latestNumber });
  const [b, setB] = useState<SampleRef>({
    formulaId: asked.id,
    version: Math.max(1, asked.latestNumber - 1),
  });
  const [text, setText] = useState('6');
  const [id] = useState(newId);
  const [begin, beginning] = useBeginPanelMutation();
  const { value: tasters, fits } = typedNumber(text, { from: 1, to: MOST_TASTERS, whole: true });
  const same = a.formulaId === b.formulaId && a.version === b.version;
  const start = async (): Promise<void> => {
    if (!fits || same) return;
    const seed = crypto.getRandomValues(new Uint32Array(1))[0]!;
    const made = await begin({ id, kind, a, b, tasters, seed, by: byNow() });
    if ('data' in made) void navigate(`/side-by-side/${id}`);
  };
  return (
    <form
      aria-label={sideBySideWords.newTasting}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        void start();
      }}
    >
      <h2 className="font-name text-lg font-bold">{sideBySideWords.aNewTasting}</h2>
      <Chips label={sideBySideWords.kindOfTest} value={kind} options={KINDS} onChange={setKind} />
      <SampleChoice label={sideBySideWords.first} sample={a} first={asked} onSample={setA} />
      <SampleChoice label={sideBySideWords.second} sample={b} first={asked} onSample={setB} />
      {same && <p className="text-sm text-acid-ink">{sideBySideWords.chooseTwoThatDiffer}</p>}
      <Field
        label={sideBySideWords.tasters}
        className="w-40"
        inputMode="numeric"
        value={text}
        onText={setText}
        problem={fits ? null : sideBySideWords.aWholeNumberFrom1(MOST_TASTERS)}
        hint={sideBySideWords.tastersneededFindADifferenceWorth(tastersNeeded(kind))}
      />
      {beginning.isError && <Alert>{sideBySideWords.notBegunError(sayError(beginning.error))}</Alert>}
      <Button kind="main" type="submit" className="min-h-16" disabled={!fits || same || beginning.isLoading}>
        {sideBySideWords.makeTheCards}
      </Button>
    </form>
  );
}

function SampleChoice({
  label,
  sample,
  first,
  onSample,
}: {
  label: string;
  sample: SampleRef;
  first: ShelfRecord;
  onSample: (sample: SampleRef) => void;
}) {
  const versions = useVersionsQuery(sample.formulaId).data ?? [];
  const [record, setRecord] = useState(first);
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="w-16 font-semibold">{label}</span>
      <FormulaChoice
        label={sideBySideWords.labelFormula(label)}
        chosen={record}
        onChoose={(next) => {
          setRecord(next);
          onSample({ formulaId: next.id, version: next.latestNumber });
        }}
        frozen
        className="min-w-48 flex-1"
      />
      <Choice
        label={sideBySideWords.labelVersion(label)}
        value={String(sample.version)}
        options={versions.map(({ number }) => ({ value: String(number), label: `v${number}` }))}
        onChange={(number) => {
          onSample({ ...sample, version: Number(number) });
        }}
      />
    </div>
  );
}
