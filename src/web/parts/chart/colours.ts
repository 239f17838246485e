import { useSyncExternalStore } from 'react';
import { Chart } from 'chart.js';

/** What a chart is drawn in: a canvas knows no style sheet. */
export interface ChartColours {
  readonly ink: string;
  readonly grid: string;
  readonly line: string;
  readonly hollow: string;
  readonly band: string;
  readonly water: string;
  readonly oil: string;
}

const read = (): ChartColours => {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string): string => style.getPropertyValue(`--color-${name}`).trim();
  return {
    ink: of('ink'),
    grid: of('rule'),
    line: of('leaf'),
    hollow: of('card'),
    band: of('acid-ink'),
    water: of('water-ink'),
    oil: of('oil-ink'),
  };
};

/** The colours of the page as it is lit now; asked anew when the lights go down. */
export function useChartColours(): ChartColours {
  useSyncExternalStore(
    (listener) => {
      const watch = new MutationObserver(listener);
      watch.observe(document.documentElement, { attributeFilter: ['data-night'] });
      return () => {
        watch.disconnect();
      };
    },
    () => document.documentElement.hasAttribute('data-night'),
  );
  const colours = read();
  Chart.defaults.color = colours.ink;
  Chart.defaults.borderColor = colours.grid;
  return colours;
}
