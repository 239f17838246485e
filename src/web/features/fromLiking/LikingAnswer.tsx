import { useState } from 'react';
import { TASTED, type JarToMake, type Liking } from '#core/liking';
import type { Ingredient } from '#core/ingredient';
import { STYLE_RECIPES, type Style } from '#core/palate';
import { MEASURE_WORDS, sayDiffers, sayMeasure } from '#words/palate';
import { formatAmount, inSentence, type NumberStyle } from '#words/numbers';
import { fromLikingWords } from '#words/screens/fromLiking';
import { sayError } from '../../data/kitchenApi';
import { WayCard, WayCards } from '../../parts/WayCards';
import { useSaveShared } from '../../sync/useSaveShared';
import { newId } from '../../sync/device';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';

interface LikingAnswerProps {
  readonly liking: Liking;
  readonly next: readonly JarToMake[];
  /** What is changed in the jars to make. */
  readonly base: string;
  readonly fromNot: boolean;
  readonly settings: NumberStyle;
  /** What a jar to taste weighs. */
  readonly toG: number;
  readonly busy: boolean;
  readonly onOpen: (name: string, jar: JarToMake) => void;
}

/** Where the liking lies, the style to keep, and what to make next. */
export function LikingAnswer({
  liking,
  next,
  base,
  fromNot,
  settings,
  toG,
  busy,
  onOpen,
}: LikingAnswerProps) {
  const { direction, learnt, windows } = liking;
  return (
    <>
      <div>
        <p className="text-lg font-semibold" data-testid="direction">
          {direction.length > 0
            ? fromLikingWords.towards(sayDiffers(direction), fromNot)
            : fromLikingWords.noDirection}
        </p>
        <p className="text-sm text-quiet">
          {fromLikingWords.learnt(`${Math.round(learnt * 100)} %`)} {fromLikingWords.anEstimate}
        </p>
      </div>
      <section aria-label={fromLikingWords.makeNext}>
        <h2 className="font-name font-bold">{fromLikingWords.makeNext}</h2>
        <p className="mb-2 text-sm text-quiet">
          {next.length > 0 ? fromLikingWords.whyNext : fromLikingWords.nothingOnHand}
        </p>
        <WayCards testId="make-next">
          {next.map((jar, place) => {
            const what = titleOf(jar, base);
            const factor = toG / jar.portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
            return (
              <WayCard
                key={place}
                title={`${place + 1}. ${what}`}
                use={fromLikingWords.openAsADraft}
                busy={busy}
                onUse={() => {
                  onOpen(fromLikingWords.draftName(place + 1, what), jar);
                }}
              >
                <ul className="text-sm">
                  {jar.portions.map(({ ingredient, massG }, line) => (
                    <li key={line}>
                      {formatAmount(massG.nominal * factor, 'g', settings)} {inSentence(ingredient.name)}
                    </li>
                  ))}
                </ul>
              </WayCard>
            );
          })}
        </WayCards>
      </section>
      <KeepStyle windows={windows} />
    </>
  );
}

const shortName = ({ name }: Ingredient): string => inSentence(name.split(',')[0]!);

function titleOf({ from }: JarToMake, base: string): string {
  switch (from.kind) {
    case 'changed':
      return fromLikingWords.changed(base, shortName(from.ingredient), from.factor > 1);
    case 'added':
      return fromLikingWords.added(base, shortName(from.ingredient));
    case 'style':
      return fromLikingWords.ofStyle(STYLE_RECIPES[from.styleId].name);
  }
}

function KeepStyle({ windows }: Pick<Style, 'windows'>) {
  const [name, setName] = useState('');
  const [kept, setKept] = useState<string | null>(null);
  const [tried, setTried] = useState(false);
  const [save, saving] = useSaveShared('style');
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const is = name.trim();
        setTried(true);
        if (is === '') return;
        const id = `own_${newId()}`;
        save(id, null, { id, name: is, says: fromLikingWords.styleSays, windows }).then(
          () => {
            setKept(is);
          },
          () => undefined,
        );
      }}
    >
      <h2 className="font-name font-bold">{fromLikingWords.theStyle}</h2>
      <ul className="grid text-sm sm:grid-cols-2" data-testid="windows">
        {TASTED.map((key) => {
          const { title, unit } = MEASURE_WORDS[key];
          const { low, high } = windows[key]!;
          const said = unit.startsWith('%') ? unit : '';
          return (
            <li key={key} className="border-t border-rule py-1">
              {low > 0
                ? fromLikingWords.window(title, sayMeasure(key, low), sayMeasure(key, high), said)
                : fromLikingWords.upTo(title, sayMeasure(key, high), said)}
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap items-start gap-2">
        <Field
          label={fromLikingWords.itsName}
          value={name}
          maxLength={120}
          onText={(next) => {
            setName(next);
            setKept(null);
          }}
          problem={tried && name.trim() === '' ? fromLikingWords.needsAName : null}
          className="w-64"
        />
        <Button type="submit" kind="main" className="mt-7" disabled={saving.isLoading}>
          {fromLikingWords.keepTheStyle}
        </Button>
      </div>
      {kept !== null && <p role="status">{fromLikingWords.kept(kept)}</p>}
      {saving.error !== undefined && <Alert>{fromLikingWords.notKept(sayError(saving.error))}</Alert>}
    </form>
  );
}
