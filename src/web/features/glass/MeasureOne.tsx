import { useMemo, useState } from 'react';
import { marksProblem, type GlassLayer, type Marks } from '#core/glass';
import { firstLayerFrom, type Predicted } from '#core/trial';
import type { Hold } from '#core/emulsion';
import { formatNumber } from '#words/numbers';
import { glassWords, LAYER_WORDS } from '#words/screens/glass';
import type { Settings } from '#contract';
import type { Jar } from '../../data/jars';
import { sayError, useKeepPictureMutation } from '../../data/kitchenApi';
import { typedNumber } from '../../form/typed';
import { SearchState } from '../../parts/SearchState';
import { byNow, newId } from '../../sync/device';
import { record } from '../../sync/outbox';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useSearch } from '../../workers/useSearch';
import { base64Of, type Decoded } from '../../parts/picture/decode';
import { MarkedPicture } from './MarkedPicture';
import { isAside, sharesOf, sightOf, withBorder, type BelowAt } from './seenIn';

interface MeasureOneProps {
  readonly decoded: Decoded;
  readonly jar: Jar;
  readonly formulaId: Jar['formulaId'];
  readonly startMarks: Marks;
  /** Minutes since the shake when it was taken; null: nobody knows. */
  readonly sinceMin: number | null;
  readonly liquidMm: number;
  readonly predicted: Predicted | null;
  readonly hold: Hold | null;
  readonly below: BelowAt;
  readonly settings: Settings;
  readonly onDone: (marks: Marks) => void;
}

/** One picture: marked, measured, kept or left out. */
export function MeasureOne(props: MeasureOneProps) {
  const {
    decoded,
    jar,
    formulaId,
    startMarks,
    sinceMin,
    liquidMm,
    predicted,
    hold,
    below,
    settings,
    onDone,
  } = props;
  const { photo } = decoded;
  // Sent again after an answer was lost it is the same picture.
  const [id] = useState(newId);
  const [marks, setMarks] = useState(startMarks);
  const [moved, setMoved] = useState<readonly GlassLayer[] | null>(null);
  const [text, setText] = useState(sinceMin === null ? '' : String(Math.round(sinceMin)));
  const [keep, keeping] = useKeepPictureMutation();
  const problem = marksProblem(photo, marks);
  const question = useMemo(() => (problem ? null : { photo, marks }), [photo, marks, problem]);
  const { search, stop, again } = useSearch('glass', question);
  const layers = moved ?? (search.status === 'done' && question ? search.answer.layers : null);
  const minutes = typedNumber(text, { above: 0, to: 60 * 1440 });
  const keepIt = async (): Promise<void> => {
    if (!layers || minutes.wrong) return;
    const seconds = minutes.fits ? minutes.value * 60 : null;
    const jpeg = await base64Of(decoded.jpeg);
    const seen = {
      marks: { floor: [...marks.floor], surface: [...marks.surface] } as never,
      layers: layers.map((layer) => ({ ...layer, doubt: [...layer.doubt] as [number, number] })),
      byHand: moved !== null,
    };
    const sent = { trialId: jar.id, id, takenAt: decoded.takenAt, seconds, seen, by: byNow(), jpeg };
    const answer = await keep(sent);
    if (!('data' in answer)) return;
    // The same look as one by eye: it teaches the hold in the same way.
    if (seconds !== null) {
      const saw = sightOf(layers);
      const firstLayerS = hold && firstLayerFrom(hold, sharesOf(layers, below), seconds);
      const look = { kind: 'looked', saw, seconds, predicted, note: '' } as const;
      await record({ trialId: jar.id, formulaId }, [firstLayerS ? { ...look, firstLayerS } : look]);
    }
    onDone(marks);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,1fr)_300px]">
      <MarkedPicture
        url={decoded.url}
        photo={photo}
        marks={marks}
        layers={layers}
        onMarks={(next) => {
          setMarks(next);
          setMoved(null);
        }}
        onBorder={(border, at) => {
          if (layers) setMoved(withBorder(layers, border, at));
        }}
      />
      <div className="grid content-start gap-3">
        <p className="text-sm text-quiet">{glassWords.markIt}</p>
        {problem && <p role="alert">{glassWords.marksProblem[problem]}</p>}
        {question && (
          <SearchState search={search} what={glassWords.measuring} onStop={stop} onAgain={again} />
        )}
        {layers && <SeenLayers layers={layers} liquidMm={liquidMm} below={below} settings={settings} />}
        {moved && (
          <p className="text-sm">
            {glassWords.byHand}{' '}
            <Button
              onClick={() => {
                setMoved(null);
              }}
            >
              {glassWords.asFound}
            </Button>
          </p>
        )}
        <Field
          label={glassWords.minutesSinceTheShake}
          inputMode="decimal"
          value={text}
          onText={setText}
          problem={minutes.wrong ? glassWords.minutesAboveNothing : null}
        />
        <div className="flex flex-wrap gap-3">
          <Button
            kind="main"
            className="min-h-11"
            disabled={!layers || minutes.wrong || keeping.isLoading}
            onClick={() => void keepIt()}
          >
            {glassWords.keep}
          </Button>
          <Button
            className="min-h-11"
            onClick={() => {
              onDone(marks);
            }}
          >
            {glassWords.skip}
          </Button>
        </div>
        {keeping.error !== undefined && <Alert>{glassWords.notKept(sayError(keeping.error))}</Alert>}
      </div>
    </div>
  );
}

/** Surface first, as the eye goes down the glass. */
export function SeenLayers({
  layers,
  liquidMm,
  below,
  settings,
}: {
  readonly layers: readonly GlassLayer[];
  readonly liquidMm: number;
  readonly below: BelowAt;
  readonly settings: Settings;
}) {
  const liquid = layers.filter((layer) => !isAside(layer));
  const aside = layers.filter(isAside);
  const mm = (share: number): string => `${formatNumber(Math.round(share * liquidMm), 0, settings)} mm`;
  const doubtMm = ({ doubt }: GlassLayer): string =>
    `${formatNumber(Math.max(1, Math.round(Math.hypot(...doubt) * liquidMm)), 0, settings)} mm`;
  return (
    <ul data-testid="seen-layers" className="text-sm">
      {liquid.length === 1 && <li className="text-lg font-semibold">{glassWords.noLayer}</li>}
      {liquid.length > 1 &&
        [...liquid].reverse().map((layer, i) => (
          <li key={i} className="border-t border-rule py-1 font-semibold">
            {glassWords.layer(
              LAYER_WORDS[layer.kind],
              `${Math.round((below(layer.to) - below(layer.from)) * 100)} %`,
              mm(layer.to - layer.from),
              doubtMm(layer),
            )}
          </li>
        ))}
      {aside.map(({ kind }) => (
        <li key={kind} className="border-t border-rule py-1 text-quiet">
          {glassWords.aside(LAYER_WORDS[kind])}
        </li>
      ))}
    </ul>
  );
}
