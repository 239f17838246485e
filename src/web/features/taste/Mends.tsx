import { useMemo, useState } from 'react';
import { withDoses, type Remedy, type RemedyRequest } from '#core/balance';
import { COMPLAINT_WORDS, type SayAmount } from '#words/balance';
import type { HoldRequest } from '#core/emulsion';
import { sayHoldMove } from '#words/hold';
import type { ReadingContext } from '#core/formula';
import type { Style } from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';
import type { Said } from '#core/trial';
import { makingHold, type MixedIn } from '#kitchen/holds';
import { handMeasure, mendsFrom, roomToMend, type Kitchen } from '#kitchen/reading';
import { tasteWords } from '#words/screens/taste';
import { Button } from '../../ui/Button';
import { RemedyList } from '../../parts/RemedyList';
import { Chips } from '../../ui/Chips';
import { useHolds } from '../../workers/useHolds';
import { useSearch } from '../../workers/useSearch';
import { SearchState } from '../../parts/SearchState';

interface MendsProps {
  readonly mixed: MixedIn;
  readonly portions: readonly JudgedPortion[];
  readonly said: readonly Said[];
  /** What nobody knows of it, as typed. */
  readonly unread: readonly string[];
  readonly style: Style | null;
  readonly roomMl: number;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
  /** Steps of the jar are open: what is weighed has to wait for them, what a hand puts in has not. */
  readonly beingMade: boolean;
  readonly ready: boolean;
  /** All that was said, mended within a quarter of the jar: asked for already, as it is said first. */
  readonly first: Asking;
  readonly onPutIn: (remedy: Remedy) => void;
  readonly onWeigh: (remedy: Remedy) => void;
}

const ALL = 'all';
const HOW_MUCH = [
  { value: 'quarter', label: tasteWords.aQuarterAtMost },
  { value: 'room', label: tasteWords.asMuchAsFits },
] as const;

/** Ways to mend what was said, all of it at once or one by one: put in by hand, or weighed as steps. */
export function Mends(props: MendsProps) {
  const { mixed, portions, said, style, kitchen } = props;
  const { beingMade, ready, onPutIn, onWeigh } = props;
  const [chosen, setChosen] = useState<string>(ALL);
  const [howMuch, setHowMuch] = useState<(typeof HOW_MUCH)[number]['value']>('quarter');
  const one = said.find(({ complaint }) => complaint === chosen);
  const isFirst = !one && howMuch === 'quarter';
  const asked = useMemo(() => (one ? [one] : said), [one, said]);
  const question = useMendQuestion(isFirst ? NOTHING_SAID : asked, props, howMuch === 'room');
  const other = useSearch('remedies', question);
  const { search, stop, again } = isFirst ? props.first : other;
  const holdsAsked = useMemo(() => {
    if (search.status !== 'done') return NO_HOLDS;
    const after = search.answer.remedies.map(({ doses }) => withDoses(portions, doses));
    return [portions, ...after].map((jar) => makingHold(jar, mixed));
  }, [search, portions, mixed]);
  const [holdNow, ...holdsAfter] = useHolds(holdsAsked);
  const say: SayAmount = (massG, ingredient) =>
    handMeasure(massG, ingredient, kitchen.settings.spoons, kitchen.settings);
  if (said.length === 0) {
    return <p className="text-quiet">{tasteWords.sayWhatTheMouthSays}</p>;
  }
  return (
    <>
      {said.length > 1 && (
        <Chips
          large
          label={tasteWords.whatToMend}
          value={one ? chosen : ALL}
          options={[
            { value: ALL, label: tasteWords.allOfIt },
            ...said.map(({ complaint }) => ({
              value: complaint as string,
              label: COMPLAINT_WORDS[complaint],
            })),
          ]}
          onChange={setChosen}
        />
      )}
      <SearchState search={search} what={tasteWords.lookingForWays} onStop={stop} onAgain={again} />
      {search.status === 'done' && (
        <div className="mt-2 grid gap-2">
          <RemedyList
            answer={search.answer}
            portions={portions}
            style={style}
            kitchen={kitchen}
            say={say}
            narrow
            holdMove={(index) => sayHoldMove(holdNow ?? null, holdsAfter[index] ?? null)}
            actions={(remedy, index) => (
              <div className="mt-3 grid grid-cols-2 gap-4">
                <Button
                  kind={index === 0 ? 'main' : 'plain'}
                  data-next={index === 0 ? '' : undefined}
                  className="min-h-16"
                  disabled={!ready}
                  onClick={() => {
                    onPutIn(remedy);
                  }}
                >
                  {tasteWords.itIsIn}
                </Button>
                <Button
                  className="min-h-16"
                  disabled={!ready || beingMade}
                  title={beingMade ? tasteWords.thisJarIsStillBeing : undefined}
                  onClick={() => {
                    onWeigh(remedy);
                  }}
                >
                  {tasteWords.weighItIn}
                </Button>
              </div>
            )}
          />
          {search.answer.meaningless && (
            <p className="text-sm text-quiet">{tasteWords.nothingInThisJarMakes}</p>
          )}
          <Chips large label={tasteWords.goesIn} value={howMuch} options={HOW_MUCH} onChange={setHowMuch} />
        </div>
      )}
      <p className="mt-3 border-t border-rule pt-2 text-sm text-quiet">
        {tasteWords.additionsOnlyNothingComesBack}
      </p>
    </>
  );
}

const NOTHING_SAID: readonly Said[] = [];
type Asking = ReturnType<typeof useSearch<'remedies'>>;
type MendsOf = Pick<MendsProps, 'portions' | 'unread' | 'style' | 'roomMl' | 'context' | 'kitchen'>;
/** What would mend what was said; null where nothing was. @param all as much as fits, not a quarter at most */
export function useMendQuestion(said: readonly Said[], about: MendsOf, all: boolean): RemedyRequest | null {
  const { portions, unread, style, roomMl, context, kitchen } = about;
  return useMemo(() => {
    const [first, ...also] = said;
    if (!first || portions.length === 0) return null;
    return {
      portions,
      unread,
      ...first,
      also,
      style,
      ...roomToMend(portions, roomMl, all),
      ...mendsFrom(portions, kitchen, context),
    };
  }, [said, portions, unread, style, roomMl, all, kitchen, context]);
}

const NO_HOLDS: readonly (HoldRequest | null)[] = [];
