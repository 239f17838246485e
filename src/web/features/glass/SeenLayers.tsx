import type { Settings } from '#contract';
import type { GlassLayer } from '#core/glass';
import { formatNumber } from '#words/numbers';
import { glassWords, LAYER_WORDS } from '#words/screens/glass';
import { isAside, type BelowAt } from './seenIn';

/** Surface first, as the eye goes down the glass. */
export function SeenLayers({
  layers,
  liquidMm,
  below,
  settings,
}: {
  readonly layers: readonly GlassLayer[];
  readonly liquidMm: number;
  readonly below: BelowAt;
  readonly settings: Settings;
}) {
  const liquid = layers.filter((layer) => !isAside(layer));
  const aside = layers.filter(isAside);
  const mm = (share: number): string => `${formatNumber(Math.round(share * liquidMm), 0, settings)} mm`;
  const doubtMm = ({ doubt }: GlassLayer): string =>
    `${formatNumber(Math.max(1, Math.round(Math.hypot(...doubt) * liquidMm)), 0, settings)} mm`;
  return (
    <ul data-testid="seen-layers" className="text-sm">
      {liquid.length === 1 && <li className="text-lg font-semibold">{glassWords.noLayer}</li>}
      {liquid.length > 1 &&
        [...liquid].reverse().map((layer, i) => (
          <li key={i} className="border-t border-rule py-1 font-semibold">
            {glassWords.layer(
              LAYER_WORDS[layer.kind],
              `${Math.round((below(layer.to) - below(layer.from)) * 100)} %`,
              mm(layer.to - layer.from),
              doubtMm(layer),
            )}
          </li>
        ))}
      {aside.map(({ kind }) => (
        <li key={kind} className="border-t border-rule py-1 text-quiet">
          {glassWords.aside(LAYER_WORDS[kind])}
        </li>
      ))}
    </ul>
  );
}
