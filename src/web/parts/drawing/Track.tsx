import type { KitchenComponent } from '#core/ingredient';

const NEEDLE: Record<KitchenComponent, string> = {
  oil: 'bg-oil-ink',
  acid: 'bg-acid-ink',
  salt: 'bg-salt-ink',
  sweet: 'bg-sweet-ink',
  aroma: 'bg-aroma-ink',
  body: 'bg-body-ink',
  water: 'bg-water-ink',
};
const BAND: Record<KitchenComponent, string> = {
  oil: 'bg-oil/45 border-oil-ink',
  acid: 'bg-acid/35 border-acid-ink',
  salt: 'bg-salt/35 border-salt-ink',
  sweet: 'bg-sweet/45 border-sweet-ink',
  aroma: 'bg-aroma/40 border-aroma-ink',
  body: 'bg-body/40 border-body-ink',
  water: 'bg-water/45 border-water-ink',
};

export interface TrackProps {
  readonly component: KitchenComponent;
  readonly value: number | null;
  readonly range?: { readonly low: number | null; readonly high: number | null };
  readonly window: { readonly low: number; readonly high: number } | undefined;
  /** Where another state stands: a dotted mark. */
  readonly mark?: number | null;
  /** Read aloud in place of the drawing. */
  readonly label: string;
}

/** The right end of the track: room beyond the window and beyond the needle, whichever is further. */
export function trackEnd({ value, range, window, mark }: Omit<TrackProps, 'component' | 'label'>): number {
  const farthest = Math.max(value ?? 0, range?.high ?? 0, mark ?? 0);
  return Math.max((window?.high ?? 0) * 1.5, farthest * 1.12, 1e-6);
}

/** A measure on its track: the style's band, the needle, how far it may be off, and a mark to compare with. */
export function Track(props: TrackProps) {
  const { component, value, range, window, mark, label } = props;
  const end = trackEnd(props);
  const at = (x: number): string => `${Math.min(100, Math.max(0, (x / end) * 100))}%`;
  const loose = range && range.low !== null && range.high !== null && range.high - range.low > end * 0.01;
  return (
    <div role="img" aria-label={label} className="keeps-colour relative h-3 rounded bg-track">
      {window && (
        <span
          className={`absolute inset-y-0 rounded-sm border-x-2 ${BAND[component]}`}
          style={{ left: at(window.low), width: `calc(${at(window.high)} - ${at(window.low)})` }}
        />
      )}
      {loose && (
        <span
          className={`absolute top-1/2 h-[3px] -translate-y-1/2 ${NEEDLE[component]} opacity-70`}
          style={{ left: at(range.low!), width: `calc(${at(range.high!)} - ${at(range.low!)})` }}
        />
      )}
      {mark != null && (
        <span
          className="absolute -inset-y-1 border-l-2 border-dotted border-ink"
          style={{ left: at(mark) }}
        />
      )}
      {value !== null && (
        <span
          className={`absolute -inset-y-0.5 w-1 -translate-x-1/2 rounded-sm ${NEEDLE[component]}`}
          style={{ left: at(value) }}
        />
      )}
    </div>
  );
}
