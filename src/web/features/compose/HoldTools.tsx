import { useMemo } from 'react';
import { TOOL_VALUES, usualSeconds, type HoldRequest } from '#core/emulsion';
import { TOOL_WORDS, sayDuration } from '#words/hold';
import { TOOLS, type Tool } from '#core/formula';
import { composeHoldWords } from '#words/screens/composeHold';
import { Button } from '../../ui/Button';
import { useHolds } from '../../workers/useHolds';

const EFFORT_WORDS = {
  light: composeHoldWords.lightWork,
  some: composeHoldWords.someWork,
  hard: composeHoldWords.hardWork,
  machine: composeHoldWords.aMachineDoesIt,
} as const;

/** Hold against effort, every tool run through the model. */
export function HoldTools({
  request,
  chosen,
  onTool,
}: {
  request: HoldRequest;
  chosen: Tool;
  onTool: (tool: Tool) => void;
}) {
  const { volumeMl } = request.mixing;
  const requests = useMemo(
    () =>
      TOOLS.map((tool): HoldRequest => ({
        ...request,
        mixing: { ...request.mixing, tool, seconds: usualSeconds(tool) },
      })),
    [request],
  );
  const holds = useHolds(requests);
  return (
    <details className="mb-3">
      <summary className="font-name min-h-8 cursor-pointer font-bold">
        {composeHoldWords.toolsSideBySide}
      </summary>
      <table className="w-full text-left text-sm" data-testid="tools">
        <thead className="text-quiet">
          <tr>
            <th className="font-normal">{composeHoldWords.tool}</th>
            <th className="font-normal">{composeHoldWords.for}</th>
            <th className="font-normal">{composeHoldWords.holdsAbout}</th>
            <th className="font-normal">{composeHoldWords.work}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {TOOLS.map((tool, i) => {
            const found = holds[i];
            const { leastMl, mostMl, effort } = TOOL_VALUES[tool];
            const name = TOOL_WORDS[tool];
            const fits = volumeMl >= leastMl && volumeMl <= mostMl;
            return (
              <tr key={tool} className={`border-t border-rule ${tool === chosen ? 'bg-tape-soft' : ''}`}>
                <td className="py-1 font-semibold">{name}</td>
                <td>{usualSeconds(tool)} s</td>
                <td>
                  {!found
                    ? '…'
                    : found.medianS === null
                      ? composeHoldWords.beyond14Days
                      : sayDuration(found.medianS)}
                </td>
                <td>
                  {fits
                    ? EFFORT_WORDS[effort]
                    : volumeMl < leastMl
                      ? composeHoldWords.needsLeastmlMl(leastMl)
                      : composeHoldWords.inPortionsOfMostmlMl(mostMl)}
                </td>
                <td className="text-right">
                  {tool !== chosen && (
                    <Button
                      onClick={() => {
                        onTool(tool);
                      }}
                      aria-label={composeHoldWords.useTheName(name.toLowerCase())}
                    >
                      {composeHoldWords.useIt}
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </details>
  );
}
