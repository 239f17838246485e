/** What a kitchen chooses once: its spoons and its decimal sign. */
import { SPOON_VOLUMES, type SpoonSystem } from '#core/quantity';
import { settingsWords } from '#words/screens/settings';

const SPOON_NAMES: Record<SpoonSystem, string> = {
  us: 'US',
  metric: settingsWords.metric,
  imperial: settingsWords.imperial,
  au: settingsWords.australian,
};

export const DECIMAL_SIGNS = [
  { value: 'point', label: settingsWords.point151500 },
  { value: 'comma', label: settingsWords.comma151500 },
] as const;
export const SPOON_OPTIONS = (Object.keys(SPOON_NAMES) as SpoonSystem[]).map((value) => ({
  value,
  label: settingsWords.spoonnamesTbspTbspmlMlCup(
    SPOON_NAMES[value],
    SPOON_VOLUMES[value].tbspMl.toFixed(1),
    SPOON_VOLUMES[value].cupMl.toFixed(0),
  ),
}));
