import { useMemo } from 'react';
import { TOOL_VALUES, usualSeconds, type HoldRequest } from '#core/emulsion';
import { sayDuration } from '#words/hold';
import { TOOLS, type Tool } from '#core/formula';
import { Button } from '../../ui/Button';
import { useHolds } from '../../workers/useHolds';

const EFFORT_WORDS = {
  light: 'light work',
  some: 'some work',
  hard: 'hard work',
  machine: 'a machine does it',
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
      <summary className="font-name min-h-8 cursor-pointer font-bold">Tools side by side</summary>
      <table className="w-full text-left text-sm" data-testid="tools">
        <thead className="text-quiet">
          <tr>
            <th className="font-normal">Tool</th>
            <th className="font-normal">for</th>
            <th className="font-normal">holds about</th>
            <th className="font-normal">work</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {TOOLS.map((tool, i) => {
            const reading = holds[i];
            const found = reading?.status === 'known' ? reading.hold : null;
            const { leastMl, mostMl, effort, name } = TOOL_VALUES[tool];
            const fits = volumeMl >= leastMl && volumeMl <= mostMl;
            return (
              <tr key={tool} className={`border-t border-rule ${tool === chosen ? 'bg-tape-soft' : ''}`}>
                <td className="py-1 font-semibold">{name}</td>
                <td>{usualSeconds(tool)} s</td>
                <td>
                  {!found ? '…' : found.medianS === null ? 'beyond 14 days' : sayDuration(found.medianS)}
                </td>
                <td>
                  {fits
                    ? EFFORT_WORDS[effort]
                    : volumeMl < leastMl
                      ? `needs ${leastMl} ml`
                      : `in portions of ${mostMl} ml`}
                </td>
                <td className="text-right">
                  {tool !== chosen && (
                    <Button
                      onClick={() => {
                        onTool(tool);
                      }}
                      aria-label={`Use the ${name.toLowerCase()}`}
                    >
                      Use it
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
