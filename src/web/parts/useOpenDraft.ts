import { useNavigate } from 'react-router';
import type { Formula, FormulaId } from '#core/formula';
import { useCreateFormulaMutation } from '../data/kitchenApi';
import { newId } from '../sync/device';

/** Puts a formula on the shelf as a draft, and opens it: where it is composed, unless another stage is said. */
export function useOpenDraft() {
  const navigate = useNavigate();
  const [create, { isLoading, error }] = useCreateFormulaMutation();
  return {
    open: async (formula: Formula, stage = 'compose'): Promise<void> => {
      const id = newId() as FormulaId;
      const made = await create({ id, formula });
      if ('data' in made) void navigate(`/formulas/${id}/${stage}`);
    },
    busy: isLoading,
    error,
  };
}
