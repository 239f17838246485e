import { useMemo } from 'react';
import type { MeasureRecord } from '#contract';
import type { Catalogue, OwnMeasures } from '#core/ingredient';
import { ownMeasuresOf } from '#kitchen/reading';
import { useMeasuresQuery } from './kitchenApi';
import { useCookHere } from './useCook';

const NONE: readonly MeasureRecord[] = [];

export function useOwnMeasures(catalogue: Catalogue): OwnMeasures {
  const records = useMeasuresQuery().data ?? NONE;
  const cookId = useCookHere();
  return useMemo(() => ownMeasuresOf(records, cookId, catalogue), [records, cookId, catalogue]);
}
