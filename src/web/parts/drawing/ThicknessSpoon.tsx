/** A spoon held level, and how what is in it falls: a stream, a ribbon, a sheet, a dollop, a peak, or nothing. */
import type { ThicknessClass } from '#core/ingredient';
import { drawingWords } from '#words/screens/drawing';
import { THICKNESS_WORDS } from '#words/hold';

const CREAM = '#e6cf86';
const EDGE = '#8a6d1f';
const STEEL = '#7d8a82';

/** What hangs from the rim, what lies under it; 48 by 48, rim at y 16. */
const FALLS: Readonly<Record<ThicknessClass, { readonly fall: string; readonly below: string }>> = {
  runny: {
    fall: 'M13 16 L15 16 L14.6 42 L13.6 42 Z M19 16 L20.4 16 L20 42 L19.2 42 Z M8 16 L9 16 L8.8 42 L8.2 42 Z',
    below: 'M2 44 Q15 41.5 28 44 Z',
  },
  'pours-like-cream': {
    fall: 'M11 16 L19 16 Q16.5 26 16.2 42 L13.8 42 Q13.5 26 11 16 Z',
    below: 'M4 44 Q15 40 26 44 Z',
  },
  'coats-a-spoon': {
    fall: 'M8 16 L22 16 Q21 23 17.6 27 Q16.4 33 16.6 40 L13.6 40 Q13.8 33 12.4 27 Q9 23 8 16 Z',
    below: 'M6 44 Q15 38 24 44 Z',
  },
  spoonable: {
    fall: 'M7 16 L23 16 Q23.5 22 20 25.5 Q17 28 15 31 Q13 28 10 25.5 Q6.5 22 7 16 Z',
    below: 'M7 44 Q9 37 15 36.5 Q21 37 23 44 Z',
  },
  'holds-its-shape': {
    fall: 'M7 16 Q8 11 15 9.5 Q22 11 23 16 Q21 20 15 20 Q9 20 7 16 Z',
    below: 'M7 44 Q8.5 36.5 13.2 35.5 Q13.8 32.5 15.6 31.5 Q16.4 34 17.4 35.6 Q21.6 36.8 23 44 Z',
  },
  stiff: {
    fall: 'M7 16 Q7.5 8 11.5 6.5 Q13 3 15.5 2.5 Q17.2 5 18.8 6.6 Q22.6 8 23 16 Z',
    below: '',
  },
};

export function ThicknessSpoon({ thickness, size = 44 }: { thickness: ThicknessClass; size?: number }) {
  const { fall, below } = FALLS[thickness];
  return (
    <svg
      role="img"
      aria-label={drawingWords.fromASpoonThickness(THICKNESS_WORDS[thickness])}
      width={size}
      height={size}
      viewBox="0 0 48 48"
      className="flex-none"
    >
      <path d={fall} fill={CREAM} stroke={EDGE} strokeWidth="1" strokeLinejoin="round" />
      {below && <path d={below} fill={CREAM} stroke={EDGE} strokeWidth="1" strokeLinejoin="round" />}
      <path
        d="M5 15 Q15 22.5 25 15 L46 12.6"
        fill="none"
        stroke={STEEL}
        strokeWidth="2.4"
        strokeLinecap="round"
      />
    </svg>
  );
}
