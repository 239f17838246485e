import { Link, useParams } from 'react-router';
import type { FormulaId } from '#core/formula';
import { Loading, Trouble } from '../../ui/PageState';
import { ComposeBench } from './ComposeBench';
import { useWorking } from '../../store/useWorking';

export function ComposePage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  if (working) return <ComposeBench key={id} working={working} />;
  if (error) {
    return (
      <Trouble error={error} retry={retry}>
        <Link to="/" className="inline-flex items-center font-semibold text-bottle underline">
          Back to the shelf
        </Link>
      </Trouble>
    );
  }
  return <Loading what="the formula" />;
}
