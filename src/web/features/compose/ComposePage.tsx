import { useParams } from 'react-router';
import type { FormulaId } from '#core/formula';
import { composeWords } from '#words/screens/compose';
import { useWorking } from '../../sync/useWorking';
import { FormulaPending } from '../../parts/FormulaPage';
import { ComposeBench } from './ComposeBench';

export function ComposePage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  if (working) return <ComposeBench key={id} working={working} />;
  return <FormulaPending error={error} retry={retry} what={composeWords.theFormula} />;
}
