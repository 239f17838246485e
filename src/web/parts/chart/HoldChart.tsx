/** Layers against time for two dressings. The only importer of Chart.js; fetched when it is first shown. */
import { drawingWords } from '#words/screens/drawing';
import { Chart, Legend, LinearScale, LineElement, LogarithmicScale, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { layersAt, type Hold } from '#core/emulsion';
import { sayDuration } from '#words/hold';
import { useChartColours } from './colours';

Chart.register(Legend, LinearScale, LineElement, LogarithmicScale, PointElement, Tooltip);
Chart.defaults.font.family = drawingWords.atkinsonHyperlegibleNextSystemUi;
Chart.defaults.animation = false;

const NONE: readonly MeasuredLayers[] = [];
const [FIRST_S, LAST_S, POINTS] = [30, 14 * 86_400, 80];
const TICKS: readonly (readonly [number, string])[] = [
  [60, '1 min'],
  [600, '10 min'],
  [3600, '1 h'],
  [36_000, '10 h'],
  [86_400, '1 day'],
  [604_800, '7 days'],
];

/** Layers as they were measured in a glass, shares of its height. */
export interface MeasuredLayers {
  readonly seconds: number;
  readonly watery: number;
  readonly oil: number;
}
interface HoldChartProps {
  readonly measured?: readonly MeasuredLayers[];
  readonly holds: readonly (Hold | null)[];
  readonly names: readonly string[];
}

export function HoldChart({ holds, names, measured = NONE }: HoldChartProps) {
  const { water, oil } = useChartColours();
  const times = Array.from({ length: POINTS }, (_, i) => FIRST_S * (LAST_S / FIRST_S) ** (i / (POINTS - 1)));
  const datasets = holds.flatMap((hold, which) => {
    if (!hold) return [];
    const inverted = hold.state.outsidePhase === 'oil';
    const line = (label: string, color: string, of: 'serum' | 'free') => ({
      label: `${names[which]}: ${label}`,
      borderColor: color,
      borderWidth: 2,
      // The first dashed, the second drawn through: colour is never alone.
      borderDash: which === 0 ? [6, 5] : [],
      pointRadius: 0,
      data: times.map((x) => ({
        x,
        y: 100 * layersAt(hold.frames, x, hold.heightM)[of],
      })),
    });
    return [
      line(drawingWords.wateryLayer, water, inverted ? 'free' : 'serum'),
      line(drawingWords.oilOnTop, oil, inverted ? 'serum' : 'free'),
    ];
  });
  const point = (label: string, color: string, of: 'watery' | 'oil') => ({
    label: drawingWords.measuredOf(label),
    borderColor: color,
    borderWidth: 2,
    borderDash: [],
    pointRadius: 6,
    showLine: false,
    data: measured.map((one) => ({ x: one.seconds, y: 100 * one[of] })),
  });
  const points =
    measured.length > 0
      ? [point(drawingWords.wateryLayer, water, 'watery'), point(drawingWords.oilOnTop, oil, 'oil')]
      : [];
  const says = holds
    .map(
      (hold, i) =>
        `${names[i]}: ${!hold || hold.medianS === null ? drawingWords.noLayerWithin14Days : drawingWords.firstLayerAfterMedians(sayDuration(hold.medianS))}`,
    )
    .join('; ');
  return (
    <div className="h-64">
      <Line
        role="img"
        aria-label={drawingWords.layersAgainstTimeSays(says)}
        data={{ datasets: [...datasets, ...points] }}
        options={{
          maintainAspectRatio: false,
          parsing: false,
          interaction: { mode: 'nearest', intersect: false },
          scales: {
            x: {
              type: 'logarithmic',
              min: FIRST_S,
              max: LAST_S,
              afterBuildTicks: (axis) => {
                axis.ticks = TICKS.map(([value]) => ({ value }));
              },
              ticks: { callback: (value) => TICKS.find(([at]) => at === value)?.[1] ?? '' },
              title: { display: true, text: drawingWords.afterMixing },
            },
            y: { min: 0, max: 100, title: { display: true, text: drawingWords.ofTheHeight } },
          },
          plugins: {
            legend: { position: 'bottom', labels: { boxWidth: 24, boxHeight: 1 } },
            tooltip: {
              callbacks: {
                title: (items) => sayDuration(items[0]?.parsed.x ?? 0),
                label: (item) => `${item.dataset.label}: ${Math.round(item.parsed.y ?? 0)} %`,
              },
            },
          },
        }}
      />
    </div>
  );
}
