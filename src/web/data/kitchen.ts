/** The kitchen as every screen needs it: settings, vessels, catalogue; defaults until the server has answered. */
import { useMemo } from 'react';
import { DEFAULT_SETTINGS, SETTINGS_ID, type OwnIngredient, type Settings } from '#contract';
import { withMade } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { catalogueWith, contextFor, type Kitchen, type Pantry } from '#kitchen/reading';
import { alsoCalled, sayIngredient, sayVessel, tongueNow } from '#words/tongue';
import { useHere } from './here';
import { useOpenDocs, withOpen } from './openDocs';
import { useOwnMeasures } from './ownMeasures';
import {
  useMadeQuery,
  useOwnIngredientsQuery,
  usePantryQuery,
  useSettingsQuery,
  useVesselsQuery,
} from './kitchenApi';

const EMPTY_PANTRY: Pantry = {};

/** Undefined while they are fetched. */
export function useSettings(): Settings | undefined {
  const open = useOpenDocs('settings')[SETTINGS_ID];
  const kept = useSettingsQuery().data;
  return open ?? kept;
}
export function useOwnIngredients(): readonly OwnIngredient[] | undefined {
  const kept = useOwnIngredientsQuery().data;
  const open = useOpenDocs('ingredient');
  return useMemo(() => withOpen(kept, open), [kept, open]);
}
export function usePantry(): Pantry | undefined {
  const kept = usePantryQuery().data;
  const open = useOpenDocs('pantry');
  return useMemo(() => kept && { ...kept, ...open }, [kept, open]);
}

export function useKitchen(): Kitchen {
  const kept = useSettings() ?? DEFAULT_SETTINGS;
  const { decimalSign } = useHere();
  const settings = useMemo(
    () => (decimalSign === null ? kept : { ...kept, decimalSign }),
    [kept, decimalSign],
  );
  const listed = useVesselsQuery().data;
  const openVessels = useOpenDocs('vessel');
  const vessels = useMemo(() => withOpen(listed, openVessels) ?? STARTING_VESSELS, [listed, openVessels]);
  const own = useOwnIngredients();
  const pantry = usePantry() ?? EMPTY_PANTRY;
  const versions = useMadeQuery().data;
  const plain = useMemo(() => catalogueWith(own, pantry), [own, pantry]);
  const measures = useOwnMeasures(plain);
  const catalogue = useMemo(
    () =>
      withMade(plain, versions ?? [], (formula, catalogue) =>
        contextFor(formula, { catalogue, settings: kept, own: measures }),
      ),
    [plain, versions, kept, measures],
  );
  return useMemo(
    () => ({ settings, readAmountsWith: kept.decimalSign, vessels, catalogue, pantry, own: measures }),
    [settings, kept.decimalSign, vessels, catalogue, pantry, measures],
  );
}

/** The same with its things called as the station calls them; what is typed is read by either name. */
export function useSpokenKitchen(): Kitchen {
  const kitchen = useKitchen();
  return useMemo(() => {
    if (tongueNow() === 'en') return kitchen;
    const catalogue = new Map(
      [...kitchen.catalogue].map(([id, one]) => {
        const name = sayIngredient(one.name);
        return [id, name === one.name ? one : { ...one, name, aliases: [...one.aliases, one.name, ...alsoCalled(one.name)] }] as const;
      }),
    );
    const vessels = kitchen.vessels.map((vessel) => ({ ...vessel, name: sayVessel(vessel.name) }));
    return { ...kitchen, catalogue, vessels };
  }, [kitchen]);
}
