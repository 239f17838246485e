import { useState } from 'react';
import { OPERATIONS } from '#contract';
import { Field } from '../../ui/Field';

/** What the kitchen answers to, for whoever makes a tool of their own. */
export function ToolmakersPage() {
  const [word, setWord] = useState('');
  const wanted = word.trim().toLowerCase();
  const shown = OPERATIONS.filter(({ method, path, says, group }) =>
    `${method} ${path} ${says} ${group}`.toLowerCase().includes(wanted),
  );
  const groups = [...new Set(shown.map(({ group }) => group))];
  return (
    <section aria-label="For tools of your own" className="card mx-auto mt-3 grid max-w-4xl gap-3 p-5">
      <h1 className="font-name text-lg font-bold">For tools of your own</h1>
      <p>
        The kitchen answers over HTTP below{' '}
        <code className="font-semibold">{window.location.origin}/api</code>. Masses are in g, volumes in ml,
        times in s. A request that changes something needs the header <code>Origin</code> with this address;
        what is made gets its id from you, and the same sent again is no second one.{' '}
        <a href="/api/openapi.json" download="ygrana-openapi.json" className="text-bottle underline">
          The whole description (OpenAPI 3.1)
        </a>
        .
      </p>
      <Field label="Find" value={word} onText={setWord} className="max-w-xs" />
      {shown.length === 0 && <p role="status">Nothing here has “{word.trim()}”. Try another word.</p>}
      {groups.map((group) => (
        <table key={group} className="w-full table-fixed text-left">
          <caption className="pb-1 text-left font-semibold">{group}</caption>
          <colgroup>
            <col className="w-16" />
            <col className="w-2/5" />
            <col />
          </colgroup>
          <thead className="sr-only">
            <tr>
              <th>Method</th>
              <th>Address</th>
              <th>What it does</th>
            </tr>
          </thead>
          <tbody>
            {shown
              .filter((operation) => operation.group === group)
              .map(({ method, path, says, query }) => (
                <tr key={`${method} ${path}`} className="border-t border-rule align-top">
                  <td className="py-1 font-semibold uppercase">{method}</td>
                  <td className="py-1 pr-3 break-words">
                    <code>{path}</code>
                    {query && <span className="text-quiet"> ?{Object.keys(query.shape).join(', ')}</span>}
                  </td>
                  <td className="py-1">{says}</td>
                </tr>
              ))}
          </tbody>
        </table>
      ))}
    </section>
  );
}
