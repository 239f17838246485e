import { useState } from 'react';
import { OPERATIONS } from '#contract';
import { API_WORDS } from '#words/api';
import { shareWords } from '#words/screens/share';
import { Field } from '../../ui/Field';

/** What the kitchen answers to, for whoever makes a tool of their own. */
export function ToolmakersPage() {
  const [word, setWord] = useState('');
  const wanted = word.trim().toLowerCase();
  const shown = OPERATIONS.filter((one) =>
    `${one.method} ${one.path} ${API_WORDS.operation(one)} ${API_WORDS.group(one.group)}`
      .toLowerCase()
      .includes(wanted),
  );
  const groups = [...new Set(shown.map(({ group }) => group))];
  return (
    <section aria-label={shareWords.forToolsOfYourOwn} className="card mx-auto mt-3 grid max-w-4xl gap-3 p-5">
      <h1 className="font-name text-lg font-bold">{shareWords.forToolsOfYourOwn}</h1>
      <p>
        {shareWords.theKitchenAnswersOverHttp}{' '}
        <code className="font-semibold">{shareWords.originApi(window.location.origin)}</code>
        {shareWords.massesAreInGVolumes} <code>{shareWords.origin}</code> {shareWords.withThisAddressWhatIs}{' '}
        <a href="/api/openapi.json" download={shareWords.ygranaOpenapiJson} className="text-leaf underline">
          {shareWords.theWholeDescriptionOpenapi3}
        </a>
        .
      </p>
      <Field label={shareWords.find} value={word} onText={setWord} className="max-w-xs" />
      {shown.length === 0 && <p role="status">{shareWords.nothingHereHasWordTry(word.trim())}</p>}
      {groups.map((group) => (
        <table key={group} className="w-full table-fixed text-left">
          <caption className="pb-1 text-left font-semibold">{API_WORDS.group(group)}</caption>
          <colgroup>
            <col className="w-16" />
            <col className="w-2/5" />
            <col />
          </colgroup>
          <thead className="sr-only">
            <tr>
              <th>{shareWords.method}</th>
              <th>{shareWords.address}</th>
              <th>{shareWords.whatItDoes}</th>
            </tr>
          </thead>
          <tbody>
            {shown
              .filter((operation) => operation.group === group)
              .map(({ method, path, query }) => (
                <tr key={`${method} ${path}`} className="border-t border-rule align-top">
                  <td className="py-1 font-semibold uppercase">{method}</td>
                  <td className="py-1 pr-3 break-words">
                    <code>{path}</code>
                    {query && <code className="text-quiet"> ?{Object.keys(query.shape).join(', ')}</code>}
                  </td>
                  <td className="py-1">{API_WORDS.operation({ method, path })}</td>
                </tr>
              ))}
          </tbody>
        </table>
      ))}
    </section>
  );
}
