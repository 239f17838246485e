import type { Ingredient } from '#core/ingredient';
import { inWindow, type WeighingWindow } from '#core/trial';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { liquidColour } from '../../parts/drawing/colours';
import { formatNumber, type NumberStyle } from '#words/numbers';

interface WeighBarProps {
  readonly netG: number | null;
  readonly wantedG: number | null;
  readonly window: WeighingWindow | null;
  readonly ingredient: Ingredient | undefined;
  readonly settings: NumberStyle;
}

const BEYOND = 1.3;

/** The reading, large, and how far it is to the window. */
export function WeighBar({ netG, wantedG, window, ingredient, settings }: WeighBarProps) {
  const decimals = 1;
  const say = (value: number): string => formatNumber(value, decimals, settings);
  const end = (wantedG ?? 10) * BEYOND;
  const at = (value: number): string => `${Math.max(0, Math.min(1, value / end)) * 100}%`;
  const over = window !== null && netG !== null && netG > window.highG;
  const inside = window !== null && netG !== null && inWindow(netG, window);
  const left = wantedG !== null && netG !== null ? wantedG - netG : null;
  return (
    <div>
      <div className="flex items-end justify-between gap-4">
        <p className="font-name leading-none font-bold" data-testid="reading">
          <span className="text-[clamp(3.25rem,min(9.5vw,15vh),8rem)]">
            {netG === null ? '–' : say(netG)}
          </span>
          <span className="ml-3 text-4xl text-quiet">g</span>
        </p>
        {left !== null && (
          <p className="pb-3 text-right" data-testid="to-go">
            <span className={`font-name block text-3xl font-bold sm:text-4xl ${over ? 'text-acid-ink' : ''}`}>
              {inside ? makeWeighWords.inTheWindow : `${say(Math.abs(left))} g`}
            </span>
            {!inside && (
              <span className="text-xl text-quiet">
                {left >= 0 ? makeWeighWords.toGo : makeWeighWords.over}
              </span>
            )}
          </p>
        )}
      </div>
      {window && wantedG !== null && (
        <>
          <div
            className="relative mt-2 h-10 overflow-hidden [@media(min-height:780px)]:h-14 rounded-lg bg-track"
            aria-hidden
          >
            {netG !== null && netG > 0 && (
              <div
                className="absolute inset-y-0 left-0"
                style={{
                  width: at(netG),
                  background: ingredient ? liquidColour(ingredient) : undefined,
                  opacity: 0.88,
                }}
              />
            )}
            <div
              className="absolute inset-y-0 border-x-3 border-leaf bg-bottle/25"
              style={{ left: at(window.lowG), width: `calc(${at(window.highG)} - ${at(window.lowG)})` }}
            />
          </div>
          <p className="relative flex justify-between pt-1 text-lg">
            <span>0</span>
            <span
              className="absolute -translate-x-1/2 font-semibold whitespace-nowrap"
              style={{ left: at(wantedG) }}
            >
              {say(window.lowG)} – {say(window.highG)}
            </span>
          </p>
        </>
      )}
    </div>
  );
}
