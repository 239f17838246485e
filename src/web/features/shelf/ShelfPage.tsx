import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import type { FormulaRecord } from '#contract';
import { emptyFormula, sayVersion, type FormulaId } from '#core/formula';
import { reckonFormula } from '#core/reckoning';
import { brimHeightMm, DEFAULT_VESSEL_ID } from '#core/vessel';
import { sayError, useCreateFormulaMutation, useFormulasQuery } from '../../api/kitchenApi';
import { Jar } from '../../drawing/Jar';
import { jarParts } from '../../drawing/jarParts';
import { formatAmount, formatPercent, formatRatio } from '../../format';
import { contextFor, useKitchen, vesselOf, type Kitchen } from '../../store/kitchen';
import { Button } from '../../ui/Button';
import { Loading, Trouble } from '../../ui/PageState';
import { useShortcuts } from '../../ui/shortcuts';

/** Pixels per millimetre on the shelf: all jars to one scale, so that a litre looks like a litre. */
const SHELF_SCALE = 1.06;

export function ShelfPage() {
  const kitchen = useKitchen();
  const { data, error, refetch } = useFormulasQuery();
  const [create, creating] = useCreateFormulaMutation();
  const navigate = useNavigate();
  const addNew = (): void => {
    const id = crypto.randomUUID() as FormulaId;
    const formula = {
      ...emptyFormula('New dressing', DEFAULT_VESSEL_ID, kitchen.settings.spoons),
      servingVolumeMl: kitchen.settings.servingVolumeMl,
    };
    void create({ id, formula })
      .unwrap()
      .then(
        () => navigate(`/formulas/${id}/compose`),
        () => undefined,
      );
  };
  useShortcuts([{ keys: ['n'], does: 'new formula', run: addNew }]);
  if (!data) {
    return error ? <Trouble error={error} retry={() => void refetch()} /> : <Loading what="the shelf" />;
  }
  return (
    <div className="pt-2">
      <div className="mb-2 flex items-center justify-between gap-4">
        <h1 className="font-name text-2xl font-bold">Shelf</h1>
        <Button kind="main" onClick={addNew} disabled={creating.isLoading} title="Key: N">
          <Plus size={18} aria-hidden /> New formula
        </Button>
      </div>
      {creating.isError && (
        <p role="alert" className="mb-3 font-semibold text-acid-ink">
          Not made. {sayError(creating.error)}
        </p>
      )}
      {data.length === 0 ? (
        <p className="card mx-auto mt-12 max-w-lg p-6">
          The shelf is empty. Press <strong>New formula</strong> and type the first addition as you would say
          it: “30 ml cider vinegar”.
        </p>
      ) : (
        <ul className="grid grid-cols-2 gap-x-0 gap-y-6 overflow-x-clip sm:grid-cols-3 lg:grid-cols-4 xl:grid-cols-5">
          {data.map((record) => (
            <ShelfJar key={record.id} record={record} kitchen={kitchen} />
          ))}
        </ul>
      )}
    </div>
  );
}

function ShelfJar({ record, kitchen }: { record: FormulaRecord; kitchen: Kitchen }) {
  const { formula } = record;
  const { settings } = kitchen;
  const vessel = vesselOf(formula, kitchen.vessels);
  const reckoning = useMemo(
    () => reckonFormula(formula, vessel, contextFor(formula, kitchen)),
    [formula, vessel, kitchen],
  );
  const widest = 2 * Math.max(...vessel.outline.map(({ radiusMm }) => radiusMm));
  const ratio = reckoning.totals.measures.oilToAcidVolumeRatio;
  const fat = reckoning.totals.measures.fatMassFraction;
  const volume = formatAmount(reckoning.totals.mixedVolumeMl, 'ml', settings);
  const unread = reckoning.additions.filter(({ reading }) => reading.status === 'unread').length;
  return (
    <li className="group/jar">
      <Link
        to={`/formulas/${record.id}/compose`}
        className="group flex h-full flex-col"
        aria-label={`${formula.name}, ${volume}`}
      >
        <span className="board relative flex h-[236px] items-end justify-center pb-[7px]">
          <Jar
            vessel={vessel}
            parts={jarParts(reckoning)}
            width={Math.ceil(widest * SHELF_SCALE) + 8}
            height={Math.ceil(brimHeightMm(vessel.outline) * SHELF_SCALE) + 8}
            label={`${vessel.name}, ${formatPercent(reckoning.fillShare, settings, 0)} full`}
          />
        </span>
        <span className="flex flex-col items-center px-2 pt-2 text-center">
          <span className="tape font-name line-clamp-2 max-w-full px-3 py-1 leading-5 font-semibold">
            {formula.name}
          </span>
          <span className="pt-1 text-sm">
            {ratio !== null && ratio > 0
              ? formatRatio(ratio, settings)
              : `${formatPercent(fat, settings, 0)} fat`}{' '}
            · {volume}
          </span>
          <span className="text-sm text-quiet">{sayVersion(formula, record.latestVersion)}</span>
          {unread > 0 && (
            <span className="text-sm font-semibold text-acid-ink">
              {unread} {unread === 1 ? 'line' : 'lines'} not read
            </span>
          )}
        </span>
      </Link>
    </li>
  );
}
