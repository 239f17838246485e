import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { cleanup } from '@testing-library/react';
import { z } from 'zod';
import { ChoiceField, DateField, inUnitOf, ReadField, TextField, TickField } from './fields';
import { SaveRow } from './SaveRow';
import { useDraft } from './useDraft';

afterEach(cleanup);

const schema = z.strictObject({
  name: z.string().trim().min(1, 'needs a name').max(20),
  ml: z.number().min(1, 'at least 1 ml').max(5000),
  share: z.number().min(0).max(0.5, 'at most half'),
  ph: z.number().min(0, 'pH is 0 to 14').max(14, 'pH is 0 to 14').nullable(),
  day: z.iso.date().nullable(),
  kind: z.enum(['oil', 'acid']),
  closes: z.boolean(),
});
type Thing = z.infer<typeof schema>;
const START: Thing = { name: 'Jar', ml: 30, share: 0.02, ph: null, day: null, kind: 'oil', closes: true };

function Form({ save, start = START }: { save: (thing: Thing) => Promise<unknown>; start?: Thing }) {
  const draft = useDraft<Thing>({ schema, start, save });
  const { control } = draft.form;
  return (
    <form onSubmit={draft.submit}>
      <TextField control={control} name="name" label="Name" />
      <ReadField control={control} name="ml" label="Volume, ml" />
      <ReadField control={control} name="share" label="Stays behind, %" {...inUnitOf(100)} />
      <ReadField control={control} name="ph" label="pH" whenEmpty={null} />
      <DateField control={control} name="day" label="Opened" />
      <ChoiceField
        control={control}
        name="kind"
        label="Kind"
        options={[
          { value: 'oil', label: 'Oil' },
          { value: 'acid', label: 'Acid' },
        ]}
      />
      <TickField control={control} name="closes" label="It closes" />
      <SaveRow draft={draft} sayError={(error) => (error as Error).message} mayRevert />
    </form>
  );
}
const show = (save = vi.fn((_thing: Thing): Promise<unknown> => Promise.resolve())) => {
  render(<Form save={save} />);
  return { save, user: userEvent.setup() };
};
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });
const type = async (user: ReturnType<typeof userEvent.setup>, label: string, text: string) => {
  await user.clear(field(label));
  await user.type(field(label), text);
};

describe('a form over a schema of the contract', () => {
  it('has nothing to keep until something was changed', () => {
    show();
    expect(keep().disabled).toBe(true);
    expect(screen.getByRole('status').textContent).toBe('');
  });

  it('hands over what was typed as numbers, in the unit that is kept', async () => {
    const { save, user } = show();
    await type(user, 'Name', 'Tall jar');
    await type(user, 'Volume, ml', '0,5e'); // not a number yet
    expect(screen.getByText('A number, such as 4.2.')).toBeTruthy();
    await type(user, 'Volume, ml', '1,5');
    await type(user, 'Stays behind, %', '12.5');
    await type(user, 'pH', '3.9');
    await user.click(screen.getByLabelText('It closes'));
    expect(screen.getByRole('status').textContent).toBe('Not saved yet.');
    await user.click(keep());
    expect(save).toHaveBeenCalledWith(
      {
        ...START,
        name: 'Tall jar',
        ml: 1.5,
        share: 0.125,
        ph: 3.9,
        closes: false,
      },
      START,
    );
    expect(await screen.findByText('Saved.')).toBeTruthy();
    expect(keep().disabled).toBe(true);
    expect(field('Stays behind, %').value).toBe('12.5');
  });

  it.each([
    ['Name', ' ', 'Needs a name.'],
    ['Volume, ml', '-3', 'At least 1 ml.'],
    ['Volume, ml', '9000', 'At most 5000.'],
    ['Stays behind, %', '80', 'At most half.'],
    ['pH', '15', 'pH is 0 to 14.'],
    ['pH', 'sour', 'A number, such as 4.2.'],
  ])('%s of “%s” is said at the field, and cannot be kept', async (label, text, says) => {
    const { save, user } = show();
    await type(user, label, text);
    expect(await screen.findByText(says)).toBeTruthy();
    expect(field(label).getAttribute('aria-invalid')).toBe('true');
    expect(field(label).value).toBe(text);
    expect(keep().disabled).toBe(true);
    await user.type(field(label), '{Enter}');
    expect(save).not.toHaveBeenCalled();
  });

  it('an emptied field is what was said of it: nothing, or missing', async () => {
    const { save, user } = show();
    await type(user, 'pH', '4');
    await user.clear(field('pH'));
    await type(user, 'Name', 'New');
    await user.click(keep());
    expect(save.mock.calls[0]![0]).toMatchObject({ ph: null, name: 'New' });
    await user.clear(field('Volume, ml'));
    expect(keep().disabled).toBe(true);
  });

  it('keeps what was typed when the kitchen does not take it, and says why', async () => {
    const { user } = show(vi.fn(() => Promise.reject(new Error('The kitchen is away.'))));
    await type(user, 'Name', 'Kept here');
    await user.click(keep());
    expect(await screen.findByText('Not saved. The kitchen is away.')).toBeTruthy();
    expect(field('Name').value).toBe('Kept here');
    expect(keep().disabled).toBe(false);
  });

  it('goes back to what is saved', async () => {
    const { user } = show();
    await type(user, 'Name', 'Another');
    await type(user, 'Volume, ml', 'x');
    await user.click(screen.getByRole('button', { name: 'Back to what is saved' }));
    expect(field('Name').value).toBe('Jar');
    expect(field('Volume, ml').value).toBe('30');
    expect(keep().disabled).toBe(true);
  });
});
