import { drawingWords } from '#words/screens/drawing';
import type { KitchenComponent } from '#core/ingredient';

const SHAPES: Record<KitchenComponent, { d: string; fill: string; name: string; stroke?: boolean }> = {
  oil: {
    d: 'M8 2.2c2.6 3.4 4 5.4 4 7.4a4 4 0 0 1-8 0c0-2 1.4-4 4-7.4z',
    fill: 'bg-oil-fill',
    name: drawingWords.oil,
  },
  acid: {
    d: 'M8 3a5 5 0 1 0 5 5H8zM9.6 2.6V6.4h3.8a5 5 0 0 0-3.8-3.8z',
    fill: 'bg-acid',
    name: drawingWords.acid,
  },
  salt: {
    d: 'M8 2.2l5 2.9v5.8l-5 2.9-5-2.9V5.1zM8 8l5-2.9M8 8v5.8M8 8L3 5.1',
    fill: 'bg-salt',
    name: drawingWords.salt,
    stroke: true,
  },
  sweet: { d: 'M5.3 3.2h5.4L13.4 8l-2.7 4.8H5.3L2.6 8z', fill: 'bg-sweet-fill', name: drawingWords.sweet },
  aroma: {
    d: 'M3 13c0-6 3-10 10-10 0 7-3.6 9.8-8 9.2M3 13c1.6-3.4 3.6-5.4 6.4-6.8',
    fill: 'bg-aroma-fill',
    name: drawingWords.aroma,
    stroke: true,
  },
  body: {
    d: 'M2.5 5.2c1.8-1.6 3.6-1.6 5.5 0s3.7 1.6 5.5 0M2.5 9c1.8-1.6 3.6-1.6 5.5 0s3.7 1.6 5.5 0M2.5 12.6c1.8-1.6 3.6-1.6 5.5 0s3.7 1.6 5.5 0',
    fill: 'bg-body',
    name: drawingWords.body,
    stroke: true,
  },
  water: {
    d: 'M3.6 2.6h8.8l-1.2 10.8H4.8zM4.2 7.4h7.6',
    fill: 'bg-water-fill',
    name: drawingWords.water,
    stroke: true,
  },
};

/** Colour and shape of a component; colour is never alone. */
export function ComponentMark({ component }: { component: KitchenComponent | null }) {
  if (!component) {
    return (
      <span
        className="grid size-[22px] shrink-0 place-items-center rounded-md border border-dashed border-acid-ink text-sm font-bold text-acid-ink"
        role="img"
        aria-label={drawingWords.notRead}
      >
        ?
      </span>
    );
  }
  const { d, fill, name, stroke } = SHAPES[component];
  return (
    <span
      className={`grid size-[22px] shrink-0 place-items-center rounded-md ${fill}`}
      role="img"
      aria-label={name}
    >
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden>
        <path
          d={d}
          fill={stroke ? 'none' : '#ffffff'}
          stroke={stroke ? '#ffffff' : 'none'}
          strokeWidth={1.5}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      </svg>
    </span>
  );
}
