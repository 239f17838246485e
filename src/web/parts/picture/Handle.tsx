import type { KeyboardEvent, PointerEvent, RefObject } from 'react';
import type { Photo, Point } from '#core/glass';

/** Where in the picture a finger is; never outside it. */
export const placeIn =
  (drawing: RefObject<SVGSVGElement | null>, { width, height }: Pick<Photo, 'width' | 'height'>) =>
  ({ clientX, clientY }: PointerEvent): Point => {
    const box = drawing.current!.getBoundingClientRect();
    const within = (value: number, most: number): number => Math.min(most - 1, Math.max(0, value));
    return {
      x: within(((clientX - box.left) / box.width) * width, width),
      y: within(((clientY - box.top) / box.height) * height, height),
    };
  };

interface HandleProps {
  readonly at: Point;
  readonly size: number;
  readonly label: string;
  readonly placeOf: (event: PointerEvent) => Point;
  readonly onPut: (point: Point) => void;
  /** Of an arrow key, in pixels of the picture. */
  readonly step: number;
}

/** A place to take hold of. */
export function Handle({ at, size, label, placeOf, onPut, step }: HandleProps) {
  const move = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const far = event.shiftKey ? 5 : 1;
    onPut({ x: Math.max(0, at.x + by[0]! * step * far), y: Math.max(0, at.y + by[1]! * step * far) });
  };
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={label}
      className="group cursor-grab focus-visible:outline-none"
      onKeyDown={move}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) onPut(placeOf(event));
      }}
    >
      {/* As large as a fingertip; what is seen hides less. */}
      <circle cx={at.x} cy={at.y} r={size * FINGERTIP} className="fill-transparent" />
      <circle
        cx={at.x}
        cy={at.y}
        r={size}
        className="fill-white/70 stroke-ink group-focus-visible:fill-white"
        strokeWidth={size / 4}
      />
    </g>
  );
}

const FINGERTIP = 2.6;
