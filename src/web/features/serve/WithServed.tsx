import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import type { VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { serveWords } from '#words/screens/serve';
import { useVersionsQuery } from '../../data/kitchenApi';
import { FormulaPending } from '../../parts/FormulaPage';
import { useShared } from '../../sync/useWork';
import { useWorking } from '../../sync/useWorking';
import type { WorkingFormula } from '../../sync/working';

interface Served {
  readonly working: WorkingFormula;
  readonly versions: readonly VersionRecord[];
}

/** What is served, once it is known: the formula of the address, its versions and its dishes. */
export function WithServed({ children }: { children: (served: Served) => ReactNode }) {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  const versions = useVersionsQuery(id).data;
  // Until its dishes are known, any amount would be of another.
  const dishes = useShared('dishes', id);
  const waits = !dishes.thing && !dishes.error;
  if (!working || !versions || waits)
    return <FormulaPending error={error} retry={retry} what={serveWords.theDish2} />;
  return children({ working, versions });
}
