import { useRef } from 'react';
import type { GlassLayer, Marks, Photo, Point } from '#core/glass';
import { glassWords } from '#words/screens/glass';
import { Handle, placeIn } from '../../parts/picture/Handle';

const CORNERS = [
  ['floor', 0, 'floor-left'],
  ['floor', 1, 'floor-right'],
  ['surface', 0, 'surface-left'],
  ['surface', 1, 'surface-right'],
] as const;

interface MarkedPictureProps {
  readonly url: string;
  readonly photo: Pick<Photo, 'width' | 'height'>;
  readonly marks: Marks;
  /** Null: nothing measured yet. */
  readonly layers: readonly GlassLayer[] | null;
  readonly onMarks: (marks: Marks) => void;
  /** @param border from the floor up, 1 for the first. @param at share of the height */
  readonly onBorder: (border: number, at: number) => void;
}

const midway = (a: Point, b: Point, share: number): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});

/** The picture with its corners and borders to draw, by finger, mouse or keys. */
export function MarkedPicture({ url, photo, marks, layers, onMarks, onBorder }: MarkedPictureProps) {
  const drawing = useRef<SVGSVGElement>(null);
  const { width, height } = photo;
  const { floor, surface } = marks;
  const size = Math.max(width, height) / 60;
  const placeOf = placeIn(drawing, photo);
  const put = (end: 'floor' | 'surface', side: 0 | 1, point: Point): void => {
    const pair = marks[end];
    onMarks({ ...marks, [end]: side === 0 ? [point, pair[1]] : [pair[0], point] });
  };
  const heightAt = ({ y }: Point): number => {
    const [bottom, top] = [midway(...floor, 0.5).y, midway(...surface, 0.5).y];
    return (bottom - y) / (bottom - top);
  };
  return (
    <svg
      ref={drawing}
      viewBox={`0 0 ${width} ${height}`}
      className="max-h-[70vh] w-full touch-none rounded-lg border border-rule bg-paper"
      data-testid="marked-picture"
    >
      <image href={url} width={width} height={height} />
      <polygon
        points={[floor[0], floor[1], surface[1], surface[0]].map(({ x, y }) => `${x},${y}`).join(' ')}
        className="fill-none stroke-white"
        strokeWidth={size / 6}
        strokeDasharray={`${size / 2} ${size / 3}`}
      />
      {layers?.slice(1).map(({ from }, i) => {
        const [a, b] = [midway(floor[0], surface[0], from), midway(floor[1], surface[1], from)];
        return (
          <g key={i}>
            <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} className="stroke-ink" strokeWidth={size / 3} />
            <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} className="stroke-white" strokeWidth={size / 6} />
            <Handle
              at={midway(a, b, 0.5)}
              size={size}
              label={glassWords.border(i + 1)}
              placeOf={placeOf}
              onPut={(point) => {
                onBorder(i + 1, heightAt(point));
              }}
              step={height / 400}
            />
          </g>
        );
      })}
      {CORNERS.map(([end, side, id]) => (
        <Handle
          key={id}
          at={marks[end][side]}
          size={size}
          label={glassWords.corner[id]}
          placeOf={placeOf}
          onPut={(point) => {
            put(end, side, point);
          }}
          step={height / 200}
        />
      ))}
    </svg>
  );
}
