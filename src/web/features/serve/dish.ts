/** The dish that is being dressed, kept in the address. */
import { useSearchParams } from 'react-router';
import {
  DISH_KINDS,
  DISHES,
  DRESSED,
  MOMENTS,
  TIMING,
  WATER_SOURCES,
  type DishKind,
  type Dressed,
  type Moment,
  type WaterSource,
} from '#core/service';
import { typedNumber } from '../../form/typed';

/** In the address: a kind of dish, though a list is there. */
export const NO_BOWL = 'none';

export interface Dish {
  /** Which of the formula's own dishes; null: the first that there is. */
  readonly bowl: string | null;
  /** Chosen by hand; null: whatever is best. */
  readonly momentTyped: Moment | null;
  /** Null: never typed. */
  readonly coversTyped: string | null;
  readonly kind: DishKind;
  readonly dressed: Dressed;
  readonly moment: Moment;
  /** As typed. */
  readonly servingText: string;
  readonly coversText: string;
  readonly servingG: number | null;
  readonly covers: number | null;
  /** Of the whole bowl; null where something typed is no number. */
  readonly massG: number | null;
  readonly watery: readonly {
    readonly source: WaterSource;
    readonly text: string;
    readonly massG: number | null;
  }[];
  readonly set: (patch: Readonly<Record<string, string | null>>) => void;
}

const oneOf = <T extends string>(all: readonly T[], text: string | null, usual: T): T =>
  all.find((value) => value === text) ?? usual;
const number = (text: string): number | null => typedNumber(text).value;

export function useDish(): Dish {
  const [search, setSearch] = useSearchParams();
  const kind = oneOf(DISH_KINDS, search.get('dish'), 'tender-leaves');
  const servingText = search.get('each') ?? String(DISHES[kind].servingG);
  const coversText = search.get('covers') ?? '4';
  const [servingG, covers] = [number(servingText), number(coversText)];
  const fits =
    servingG !== null && covers !== null && servingG > 0 && covers > 0 && servingG * covers <= 500_000;
  const watery = WATER_SOURCES.flatMap((source) => {
    const text = search.get(source);
    return text === null ? [] : [{ source, text, massG: number(text) }];
  });
  return {
    kind,
    bowl: search.get('bowl'),
    momentTyped: MOMENTS.find((value) => value === search.get('when')) ?? null,
    coversTyped: search.get('covers'),
    servingText,
    coversText,
    servingG,
    covers,
    watery,
    dressed: oneOf(DRESSED, search.get('dressed'), 'normally'),
    moment: oneOf(MOMENTS, search.get('when'), TIMING[kind].best),
    massG: fits ? servingG * covers : null,
    set: (patch) => {
      setSearch(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [key, value] of Object.entries(patch)) {
            if (value === null) next.delete(key);
            else next.set(key, value);
          }
          return next;
        },
        { replace: true },
      );
    },
  };
}
