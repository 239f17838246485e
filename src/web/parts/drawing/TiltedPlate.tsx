/** A plate half upright, a teaspoon of something on it, and the five centimetres that it runs. */
import { drawingWords } from '#words/screens/drawing';

export function TiltedPlate() {
  return (
    <svg
      role="img"
      aria-label={drawingWords.aPlateTilted}
      width="128"
      height="96"
      viewBox="0 0 128 96"
      className="flex-none"
    >
      <path d="M6 90 H122" stroke="#7d8a82" strokeWidth="1.5" />
      <g transform="rotate(-45 14 90)">
        <rect
          x="14"
          y="84"
          width="112"
          height="6"
          rx="3"
          fill="#fbfbf9"
          stroke="var(--color-glass)"
          strokeWidth="1.5"
        />
        <path d="M96 84 Q98 74 106 74 Q114 74 116 84 Z" fill="#e6cf86" stroke="#8a6d1f" />
        <path d="M52 84 Q56 80 66 80.5 L96 84 Z" fill="#efdfa9" stroke="#8a6d1f" strokeDasharray="3 2" />
        <path d="M52 70 V79 M96 62 V71 M53 74.5 H95" stroke="var(--color-glass)" strokeWidth="1.2" />
        <text x="74" y="69" textAnchor="middle" fontSize="11" fill="var(--color-ink)">
          5 cm
        </text>
      </g>
      <path d="M42 90 A28 28 0 0 0 33.8 70.2" fill="none" stroke="#7d8a82" strokeWidth="1.2" />
      <text x="46" y="84" fontSize="11" fill="var(--color-ink)">
        45°
      </text>
    </svg>
  );
}
