import { THICKNESS_CLASSES, type ThicknessClass } from '#core/ingredient';
import { THICKNESS_WORDS } from '#words/hold';
import { pantryWords } from '#words/screens/pantry';
import { Choice } from '../../ui/Choice';

/** How thick a hand-entered thing is, in kitchen words; empty: nobody said, and its kind decides. */
export function ThicknessChoice({
  value,
  onChange,
}: {
  value: ThicknessClass | '';
  onChange: (value: ThicknessClass | '') => void;
}) {
  return (
    <div className="grid gap-1">
      <span className="font-semibold">{pantryWords.howThick}</span>
      <Choice
        label={pantryWords.howThick}
        value={value === '' ? 'not-said' : value}
        options={[
          { value: 'not-said', label: pantryWords.notSaid },
          ...THICKNESS_CLASSES.map((word) => ({ value: word as string, label: THICKNESS_WORDS[word] })),
        ]}
        onChange={(word) => {
          onChange(THICKNESS_CLASSES.find((each) => each === word) ?? '');
        }}
        className="max-w-60 font-normal"
      />
    </div>
  );
}
