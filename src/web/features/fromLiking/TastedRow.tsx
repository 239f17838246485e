import { X } from 'lucide-react';
import type { ShelfRecord } from '#contract';
import { SAID } from '#core/liking';
import { CHIP_WORDS } from '#words/fromLiking';
import { fromLikingWords } from '#words/screens/fromLiking';
import { FormulaChoice } from '../../parts/FormulaChoice';
import { IconButton } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { withChip, type TastedJar } from './tastedJars';

interface TastedRowProps {
  readonly jar: TastedJar;
  readonly number: number;
  readonly record: ShelfRecord | null;
  readonly onJar: (jar: TastedJar) => void;
  readonly onSaid: (said: TastedJar['said']) => void;
  /** Null: there must be at least so many. */
  readonly onRemove: (() => void) | null;
}

/** A jar: which, whether it was liked, and what was off. */
export function TastedRow({ jar, number, record, onJar, onSaid, onRemove }: TastedRowProps) {
  const name = record?.formula.name ?? fromLikingWords.jar(number);
  return (
    <li className="grid gap-2 border-t border-rule pt-3" data-testid="tasted-jar">
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <FormulaChoice
            label={fromLikingWords.jar(number)}
            chosen={record}
            onChoose={({ id }) => {
              onJar({ ...jar, formulaId: id, chips: [] });
            }}
          />
        </div>
        {onRemove && (
          <IconButton label={fromLikingWords.without(name)} onClick={onRemove}>
            <X aria-hidden className="size-4" />
          </IconButton>
        )}
      </div>
      <Chips
        label={fromLikingWords.howItWas(`${number}, ${name}`)}
        value={jar.said}
        options={SAID.map((value) => ({ value, label: fromLikingWords.said[value] }))}
        onChange={onSaid}
      />
      {jar.said === 'not' && (
        <div role="group" aria-label={fromLikingWords.whatWasOff} className="flex flex-wrap gap-1">
          {CHIP_WORDS.map(({ chip, says }) => {
            const isOn = jar.chips.some((one) => one.measure === chip.measure && one.says === chip.says);
            return (
              <button
                key={says}
                type="button"
                aria-pressed={isOn}
                className={`min-h-8 rounded-full border px-3 text-sm ${isOn ? 'border-leaf bg-bottle text-white' : 'border-edge bg-paper hover:bg-mint'}`}
                onClick={() => {
                  onJar(withChip(jar, chip));
                }}
              >
                {says}
              </button>
            );
          })}
        </div>
      )}
    </li>
  );
}
