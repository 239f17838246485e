/** Batches, by what is weighed and printed of them. */
import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { Make } from './counter';

/** What stands on the paper that a press sends. */
export async function textOf(page: Page, press: () => Promise<void>): Promise<string> {
  const downloading = page.waitForEvent('download');
  await press();
  const download = await downloading;
  expect(download.suggestedFilename()).toMatch(/\.pdf$/);
  const pdf = await getDocumentProxy(new Uint8Array(await readFile(await download.path())));
  const { text } = await extractText(pdf, { mergePages: true });
  return text.replace(/\s+/g, ' ');
}

/** Types every weight of a load as it is asked for, but one. */
export async function weighLoad(
  page: Page,
  except?: { step: RegExp; grams: number; then: () => Promise<void> },
): Promise<void> {
  const make = new Make(page);
  const finished = page.getByRole('region', { name: 'Load weighed' });
  await expect(make.step.or(finished)).toBeVisible();
  for (let i = 0; i < 40 && !(await finished.isVisible()); i++) {
    const words = (await make.step.textContent()) ?? '';
    const grams = /([\d.]+) g$/.exec(words)?.[1];
    if (grams && except?.step.test(words)) {
      await make.typed(String(Number(grams) + except.grams));
      await except.then();
    } else if (grams) await make.typed(grams);
    else {
      // By the spoon, or a deed.
      await page.keyboard.press('Space');
      await expect(make.step.filter({ hasText: words })).toBeHidden();
    }
    await expect(make.step.or(finished)).toBeVisible();
  }
  await expect(finished).toBeVisible();
}

interface Load {
  readonly id: string;
  readonly making: { readonly steps: readonly { kind: string; id: string; line?: { massG: number } }[] };
  readonly events: readonly {
    event: { kind: string; targets?: readonly { stepId: string; massG: number }[] };
  }[];
}
/** Another screen weighs the whole load, as planned and as mended meanwhile. */
export async function weighElsewhere(page: Page, number: number): Promise<void> {
  const { origin, pathname } = new URL(page.url());
  const formula = pathname.split('/')[2]!;
  const { batches } = (await (await page.request.get(`/api/formulas/${formula}/batches`)).json()) as {
    batches: { id: string }[];
  };
  const batch = (await (await page.request.get(`/api/batches/${batches[0]!.id}`)).json()) as {
    loads: readonly Load[];
  };
  const load = batch.loads[number - 1]!;
  const moved = new Map(
    load.events.flatMap(({ event }) =>
      (event.targets ?? []).map(({ stepId, massG }) => [stepId, massG] as const),
    ),
  );
  for (const { kind, id, line } of load.making.steps) {
    const event =
      kind === 'weigh'
        ? {
            kind: 'took',
            stepId: id,
            line: { ...line, massG: moved.get(id) ?? line!.massG },
            reading: { source: 'typed', deviceId: '' },
            seen: null,
          }
        : { kind: 'did', stepId: id };
    const response = await page.request.post(`/api/trials/${load.id}/events`, {
      headers: { origin },
      data: {
        id: `${load.id}-${id}`.replace(/[^\w-]/g, '-'),
        event,
        by: { cookId: null, deviceId: 'elsewhere' },
      },
    });
    expect(response.status()).toBe(201);
  }
}
