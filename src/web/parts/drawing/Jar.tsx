import { memo, useMemo } from 'react';
import { heightOfMl, SHAKE_LINE_SHARE, type Vessel } from '#core/vessel';
import { drawingWords } from '#words/screens/drawing';
import { frameJar, glassPath, halfWidthAt, slicePath, spreadLabels, stackLayers, yAt } from './jarGeometry';
import { inkOn } from './colours';

export interface JarPart {
  readonly key: string;
  readonly name: string;
  readonly colour: string;
  readonly volumeMl: number;
}

interface JarProps {
  readonly vessel: Vessel;
  readonly parts: readonly JarPart[];
  readonly width: number;
  readonly height: number;
  /** Names in the layers, fill lines and the shake line; without it only the jar is drawn. */
  readonly labelled?: boolean;
  readonly label: string;
  /** A line on the glass that something comes to. */
  readonly mark?: JarMark | null;
}
export interface JarMark {
  readonly volumeMl: number;
  readonly text: string;
}

const LABEL_GAP = 15;
/** A label for every sip would be noise: lines nearer than this are told by the layers alone. */
const SMALLEST_STEP_SHARE = 0.03;

/** A vessel to scale with what is in it, in the order of addition. */
export function Jar({ vessel, parts, width, height, labelled = false, label, mark = null }: JarProps) {
  const side = labelled ? 62 : 0;
  const frame = useMemo(
    () =>
      frameJar(vessel.outline, {
        width: width - 8 - side * 1.25,
        height: height - 8,
        centreX: (width - side * 0.9) / 2,
        bottomY: height - 4,
      }),
    [vessel, width, height, side],
  );
  const glass = useMemo(
    () => ({ inside: slicePath(frame, 0, vessel.outline.at(-1)!.heightMm), wall: glassPath(frame) }),
    [frame, vessel],
  );
  const layers = stackLayers(
    vessel.outline,
    parts.map((part) => ({ data: part, volumeMl: part.volumeMl })),
  );
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label}>
      <path d={glass.inside} fill="var(--color-pane)" />
      {layers.map(({ data, fromMm, toMm }) =>
        toMm > fromMm ? (
          <path
            key={data.key}
            d={slicePath(frame, fromMm, toMm)}
            fill={data.colour}
            stroke="var(--color-glass)"
            strokeOpacity={0.14}
            strokeWidth={0.75}
          />
        ) : null,
      )}
      <path
        d={glass.wall}
        fill="none"
        stroke="var(--color-glass)"
        strokeWidth={labelled ? 3 : 2}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {labelled && (
        <g fontSize={12} fill="var(--color-ink)">
          {layers.map(({ data, fromMm, toMm }) => {
            const tall = (toMm - fromMm) * frame.scale;
            const wide = 2 * halfWidthAt(frame, (fromMm + toMm) / 2);
            return tall >= 17 && wide >= data.name.length * 6.4 + 8 ? (
              <text
                key={data.key}
                x={frame.centreX}
                y={yAt(frame, (fromMm + toMm) / 2) + 4}
                textAnchor="middle"
                fontWeight={600}
                fill={inkOn(data.colour)}
              >
                {data.name}
              </text>
            ) : null;
          })}
          <FillLines vessel={vessel} layers={layers} frame={frame} right={width} />
          {vessel.closes && <ShakeLine vessel={vessel} frame={frame} />}
        </g>
      )}
      {mark && mark.volumeMl <= vessel.brimfulVolumeMl && <Mark vessel={vessel} frame={frame} mark={mark} />}
    </svg>
  );
}

type Frame = ReturnType<typeof frameJar>;

function FillLines({
  vessel,
  layers,
  frame,
  right,
}: {
  vessel: Vessel;
  layers: ReturnType<typeof stackLayers<JarPart>>;
  frame: Frame;
  right: number;
}) {
  let volumeMl = 0;
  const all = layers.map((layer) => {
    volumeMl += layer.data.volumeMl;
    return { ...layer, volumeMl };
  });
  const smallest = vessel.brimfulVolumeMl * SMALLEST_STEP_SHARE;
  const shown = all.filter(
    (line, i) =>
      line.volumeMl <= vessel.brimfulVolumeMl && (i === all.length - 1 || line.data.volumeMl >= smallest),
  );
  const ys = spreadLabels(
    shown.map((line) => yAt(frame, line.toMm)),
    LABEL_GAP,
    frame.bottomY - 4,
  );
  return shown.map((line, i) => {
    const y = yAt(frame, line.toMm);
    const edge = frame.centreX + halfWidthAt(frame, line.toMm);
    const last = line === all.at(-1);
    const unit = last ? ' ml' : '';
    return (
      <g key={line.data.key}>
        <polyline
          points={`${edge - 6},${y} ${edge + 5},${y} ${edge + 10},${ys[i]}`}
          fill="none"
          stroke="var(--color-glass)"
          strokeWidth={1.5}
        />
        <text x={Math.min(edge + 13, right - 40)} y={ys[i]! + 4} fontWeight={last ? 700 : 400}>
          {Math.round(line.volumeMl)}
          {unit}
        </text>
      </g>
    );
  });
}

interface GlassLineProps {
  readonly vessel: Vessel;
  readonly frame: Frame;
  readonly volumeMl: number;
  readonly colour: string;
  readonly dash: string;
}
/** A dashed line across the glass, a little wider than it. */
function GlassLine({ vessel, frame, volumeMl, colour, dash }: GlassLineProps) {
  const heightMm = heightOfMl(vessel.outline, volumeMl);
  const y = yAt(frame, heightMm);
  const half = halfWidthAt(frame, heightMm) + 5;
  return (
    <line
      x1={frame.centreX - half}
      x2={frame.centreX + half}
      y1={y}
      y2={y}
      stroke={colour}
      strokeWidth={2}
      strokeDasharray={dash}
    />
  );
}

const ShakeLine = memo(function ShakeLine({ vessel, frame }: { vessel: Vessel; frame: Frame }) {
  const volumeMl = vessel.brimfulVolumeMl * SHAKE_LINE_SHARE;
  const heightMm = heightOfMl(vessel.outline, volumeMl);
  const colour = 'var(--color-acid-ink)';
  return (
    <g>
      <GlassLine vessel={vessel} frame={frame} volumeMl={volumeMl} colour={colour} dash="5 4" />
      <text
        x={frame.centreX - halfWidthAt(frame, heightMm) + 6}
        y={yAt(frame, heightMm) - 6}
        fontWeight={700}
        fontSize={11}
        fill={colour}
      >
        {drawingWords.shakeLine}
      </text>
    </g>
  );
});

function Mark({ vessel, frame, mark }: { vessel: Vessel; frame: Frame; mark: JarMark }) {
  const y = yAt(frame, heightOfMl(vessel.outline, mark.volumeMl));
  return (
    <g data-testid="mark">
      <GlassLine
        vessel={vessel}
        frame={frame}
        volumeMl={mark.volumeMl}
        colour="var(--color-oil-ink)"
        dash="8 4"
      />
      <text
        x={frame.centreX}
        y={y - 7}
        textAnchor="middle"
        fontWeight={700}
        fontSize={15}
        fill="var(--color-ink)"
      >
        {mark.text}
      </text>
    </g>
  );
}
