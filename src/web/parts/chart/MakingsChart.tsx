/** One measure over the makings of a formula, with how each was judged. */
import { drawingWords } from '#words/screens/drawing';
import { CategoryScale, Chart, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { useChartColours } from './colours';

Chart.register(CategoryScale, Legend, LinearScale, LineElement, PointElement, Tooltip);
Chart.defaults.font.family = drawingWords.atkinsonHyperlegibleNextSystemUi;
Chart.defaults.animation = false;

export interface MadePoint {
  readonly label: string;
  readonly value: number | null;
  readonly right: boolean | null;
}

interface MakingsChartProps {
  readonly title: string;
  readonly unit: string;
  readonly points: readonly MadePoint[];
  /** Edges of the style's window; null: none. */
  readonly band: { readonly low: number; readonly high: number } | null;
}

export function MakingsChart({ title, unit, points, band }: MakingsChartProps) {
  const { line, hollow, band: edge } = useChartColours();
  const flat = (value: number, label: string) => ({
    label,
    data: points.map(() => value),
    borderColor: edge,
    borderWidth: 1,
    borderDash: [4, 4],
    pointRadius: 0,
  });
  const says = points
    .map(({ label, value }) => `${label}: ${value === null ? 'nothing' : value.toFixed(2)}`)
    .join('; ');
  return (
    <div className="h-56">
      <Line
        role="img"
        aria-label={drawingWords.titleOverTheMakingsSays(title, says)}
        data={{
          labels: points.map(({ label }) => label),
          datasets: [
            {
              label: title,
              data: points.map(({ value }) => value),
              borderColor: line,
              backgroundColor: points.map(({ right }) => (right ? line : hollow)),
              // Right as made is a filled circle, mended or not right a triangle: colour is never alone.
              pointStyle: points.map(({ right }) =>
                right === null ? 'cross' : right ? 'circle' : 'triangle',
              ),
              pointRadius: 6,
              borderWidth: 2,
            },
            ...(band
              ? [flat(band.low, drawingWords.windowFrom), flat(band.high, drawingWords.windowTo)]
              : []),
          ],
        }}
        options={{
          maintainAspectRatio: false,
          scales: { y: { title: { display: true, text: unit } } },
          plugins: { legend: { display: false } },
        }}
      />
    </div>
  );
}
