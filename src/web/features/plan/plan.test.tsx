import { cleanup, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { EMPTY_PLAN, type PlanContent, type ShelfRecord } from '#contract';
import { needByKind } from '#kitchen/bowl';
import { readAs } from '#words/numbers';
import { kitchenThat, show } from '../../testing/kitchen';
import { VINAIGRETTE, WORKING } from '../../testing/samples';
import { JobForm } from './JobForm';
import { ServiceForm } from './ServiceForm';

const SHELF = [{ id: WORKING.id, formula: VINAIGRETTE, shelf: 'shelf' }] as unknown as readonly ShelfRecord[];
const kept: { content: PlanContent } = { content: EMPTY_PLAN };

function Day({ start = EMPTY_PLAN }: { start?: PlanContent }) {
  const [content, setContent] = useState(start);
  const change = (patch: Partial<PlanContent>): void => {
    kept.content = { ...content, ...patch };
    setContent(kept.content);
  };
  return (
    <>
      <ServiceForm
        content={content}
        shelf={SHELF}
        asked={new Map()}
        bowls={{ needOf: needByKind, bowlOf: () => null }}
        onChange={(services) => {
          change({ services });
        }}
      />
      <JobForm
        content={content}
        onChange={(jobs) => {
          change({ jobs });
        }}
      />
    </>
  );
}
const LUNCH: PlanContent = {
  ...EMPTY_PLAN,
  services: [{ id: 's1', name: 'Lunch', atMin: 720, covers: 40, dishes: [] }],
};
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const add = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

beforeAll(() => {
  readAs({ language: 'en-GB' });
});
afterEach(cleanup);

describe('a service', () => {
  it('is added with what is usual, and the form starts anew', async () => {
    const { user } = show(<Day />);
    await user.clear(field('At'));
    await user.type(field('At'), '19.30');
    await user.clear(field('Covers'));
    await user.type(field('Covers'), '60');
    await user.click(add('Add the service'));
    expect(kept.content.services).toMatchObject([
      { name: 'Lunch', atMin: 19 * 60 + 30, covers: 60, dishes: [] },
    ]);
    expect(await screen.findByText(/Lunch, 19:30, 60 covers/)).toBeTruthy();
    expect(field('At').value).toBe('12:00');
  });

  it('and another one gets an id of its own', async () => {
    const { user } = show(<Day />);
    await user.click(add('Add the service'));
    await user.click(add('Add the service'));
    const ids = kept.content.services.map(({ id }) => id);
    expect(new Set(ids).size).toBe(2);
  });

  it.each([
    ['At', '25:00', 'Such as 12:30.'],
    ['Covers', '0', 'At least one.'],
    ['Covers', 'many', 'A number, such as 4.2.'],
  ])('%s of “%s” is said at the field and keeps it from being added', async (label, text, says) => {
    const { user } = show(<Day />);
    await user.clear(field(label));
    await user.type(field(label), text);
    expect(await screen.findByText(says)).toBeTruthy();
    expect(add('Add the service').disabled).toBe(true);
  });

  it('has dishes with their dressing, and gives them up again', async () => {
    kitchenThat({
      'GET /formulas': () => ({ records: SHELF, offset: 0, total: 1, here: 1, everywhere: 1, pending: 0 }),
    });
    const { user } = show(<Day start={LUNCH} />);
    const service = within(screen.getByTestId('service'));
    await user.click(await service.findByRole('button', { name: 'Add the dish' }));
    expect(kept.content.services[0]!.dishes).toMatchObject([
      { formulaId: WORKING.id, kind: 'tender-leaves', dressed: 'normally', fresh: true },
    ]);
    await user.click(service.getByRole('button', { name: /House vinaigrette/ }));
    expect(kept.content.services[0]!.dishes).toEqual([]);
  });
});

describe('a side job', () => {
  it('needs a service to be over before', () => {
    show(<Day />);
    expect(screen.queryByRole('button', { name: 'Add the job' })).toBeNull();
  });

  it('is one of the usual or one’s own; what it takes up is left out where nothing is said', async () => {
    const { user } = show(<Day start={LUNCH} />);
    expect(add('Add the job').disabled).toBe(true);
    await user.click(add('Boil potatoes'));
    expect(field('Job').value).toBe('Boil potatoes');
    await user.click(add('Add the job'));
    await user.type(field('Job'), 'Pick herbs');
    await user.clear(field('Minutes'));
    await user.type(field('Minutes'), '12');
    await user.type(field('Takes up (oven, pot)'), 'sink');
    await user.click(add('Add the job'));
    expect(kept.content.jobs).toMatchObject([
      { name: 'Boil potatoes', minutes: 30, handsOn: false, tool: null, serviceId: 's1', beforeMinutes: 15 },
      { name: 'Pick herbs', minutes: 12, tool: 'sink' },
    ]);
    expect(within(screen.getByTestId('jobs')).getAllByRole('listitem').length).toBe(2);
  });
});
