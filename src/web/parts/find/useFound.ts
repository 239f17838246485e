/** What a few words find: of the kitchen by the server, of this device by itself. */
import { skipToken } from '@reduxjs/toolkit/query';
import { useMemo, useState } from 'react';
import { normaliseName, searchIngredients } from '#core/ingredient';
import type { FindAnswer } from '#contract';
import { formatDay } from '#words/numbers';
import { findWords } from '#words/screens/find';
import { frameWords } from '#words/screens/frame';
import { useFindQuery } from '../../data/kitchenApi';
import { useKitchen } from '../../data/kitchen';
import { places } from '../places';
import { sayKeys, shortcutsNow } from '../../ui/shortcuts';

export interface Found {
  readonly key: string;
  readonly label: string;
  /** Beside it: what it is of, or its key. */
  readonly more: string;
  /** An address, or what it does. */
  readonly to: string | (() => void);
}
export interface FoundGroup {
  readonly title: string;
  readonly found: readonly Found[];
}

/** Beside the doors of the frame. */
const pages = (): readonly { readonly to: string; readonly label: string }[] => [
  ...places(),
  { to: '/plan/week', label: findWords.theWeek },
  { to: '/pour', label: findWords.pourFirst },
  { to: '/from-pantry', label: findWords.fromThePantry },
  { to: '/import', label: findWords.bringIn },
  { to: '/side-by-side', label: findWords.sideBySide },
  { to: '/tables', label: findWords.tables },
  { to: '/toolmakers', label: findWords.toolmakers },
];
const MOST = 6;

export function useFound(typed: string): {
  readonly groups: readonly FoundGroup[];
  readonly pending: boolean;
  /** The rows are still those of what was typed before. */
  readonly isFetching: boolean;
  readonly isAway: boolean;
} {
  const q = typed.trim();
  const { catalogue } = useKitchen();
  const { currentData, data, error, isFetching } = useFindQuery(q === '' ? skipToken : q);
  // While the next is fetched the last one stands: rows that vanish and come back cannot be pressed.
  const answer = q === '' ? undefined : (currentData ?? data);
  // What the page can do when the field opens; the field itself is no action.
  const [actions] = useState(() =>
    shortcutsNow().filter(({ keys, when }) => when?.() !== false && !keys.includes('mod+k')),
  );
  const groups = useMemo(() => {
    const words = normaliseName(q).split(' ').filter(Boolean);
    const fits = (label: string): boolean => {
      const plain = normaliseName(label);
      return words.every((word) => plain.includes(word));
    };
    const all: FoundGroup[] = [
      ...ofKitchen(answer),
      {
        title: findWords.ingredients,
        found: searchIngredients(q, catalogue, MOST)
          .filter(({ made }) => !made)
          .map(({ id, name }) => ({
            key: `ingredient ${id}`,
            label: name,
            more: '',
            to: `/pantry/${id}`,
          })),
      },
      {
        title: findWords.pages,
        found: pages()
          .filter(({ label }) => fits(label))
          .map(({ to, label }) => ({
            key: `page ${to}`,
            label,
            more: '',
            to,
          })),
      },
      {
        title: findWords.actions,
        found: actions
          .filter(({ does }) => fits(does))
          .slice(0, q === '' ? actions.length : MOST)
          .map(({ keys, does, run }) => ({
            key: `action ${does}`,
            label: does,
            more: keys[0] === undefined ? '' : sayKeys(keys[0]),
            to: run,
          })),
      },
    ];
    return all.filter(({ found }) => found.length > 0);
  }, [q, answer, catalogue, actions]);
  return {
    groups,
    pending: q !== '' && (isFetching || (answer?.pending ?? 0) > 0),
    isFetching: q !== '' && isFetching && currentData === undefined,
    isAway: q !== '' && error !== undefined,
  };
}

/** What the server found. */
const ofKitchen = (answer: FindAnswer | undefined): readonly FoundGroup[] => [
  {
    title: findWords.formulas,
    found: (answer?.formulas ?? []).map(({ id, name }) => ({
      key: `formula ${id}`,
      label: name,
      more: '',
      to: `/formulas/${id}/compose`,
    })),
  },
  {
    title: frameWords.batches,
    found: (answer?.batches ?? []).map(({ id, number, formulaId, formulaName }) => ({
      key: `batch ${id}`,
      label: number,
      more: formulaName ?? '',
      to: `/formulas/${formulaId}/batch/${id}`,
    })),
  },
  {
    title: findWords.jars,
    found: (answer?.jars ?? []).map(({ id, formulaId, formulaName, version, at, note }, i) => ({
      key: `jar ${id} ${i}`,
      label: note,
      more: `${findWords.jarNoted(formulaName ?? '', version)}, ${formatDay(at.slice(0, 10))}`,
      to: `/formulas/${formulaId}/log?jars=${id}`,
    })),
  },
];
