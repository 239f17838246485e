import type { FormulaId } from '#core/formula';
import { NameTape } from './FormulaPage';
import { FormulaStages } from './FormulaStages';

interface StageHeadProps {
  readonly id: FormulaId;
  readonly name: string;
  /** Which of its stages, or of its jars, this is. */
  readonly detail: string;
}

/** The formula's name on its tape, and the way to its other stages. */
export function StageHead({ id, name, detail }: StageHeadProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <NameTape name={name} detail={detail} />
      <span className="ml-auto max-w-full min-w-0">
        <FormulaStages id={id} />
      </span>
    </div>
  );
}
