import { X } from 'lucide-react';
import { useController, type Control } from 'react-hook-form';
import { jobSchema, type PlanContent, type PlanJob } from '#contract';
import { planWords } from '#words/screens/plan';
import { newId } from '../../sync/device';
import { Button, IconButton } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { ChoiceField, ReadField, TextField } from '../../form/fields';
import { useDraft } from '../../form/useDraft';

/** What a kitchen does beside: estimates to start from. */
const USUAL = [
  { name: planWords.boilPotatoes, minutes: 30, handsOn: false },
  { name: planWords.roastBeetsUnderCover, minutes: 75, handsOn: false },
  { name: planWords.sweatOnionsUnderCover, minutes: 20, handsOn: false },
  { name: planWords.steamBeans, minutes: 10, handsOn: false },
  { name: planWords.soakBeansOvernight, minutes: 600, handsOn: false },
  { name: planWords.washAndSpinLeaves, minutes: 15, handsOn: true },
] as const;

interface JobFormProps {
  readonly content: PlanContent;
  readonly onChange: (jobs: PlanContent['jobs']) => void;
}

/** Side jobs: work or waiting that has to be over before a service; without a service there are none. */
export function JobForm(props: JobFormProps) {
  const [first] = props.content.services;
  return first ? <Jobs key={first.id} {...props} firstId={first.id} /> : null;
}

function Jobs({ content, onChange, firstId }: JobFormProps & { readonly firstId: string }) {
  const { services, jobs } = content;
  const draft = useDraft<PlanJob>({
    schema: jobSchema,
    start: {
      id: newId(),
      name: '',
      minutes: 30,
      handsOn: false,
      tool: null,
      serviceId: firstId,
      beforeMinutes: 15,
    },
    startAnew: true,
    save: (job) => {
      onChange([...jobs, { ...job, id: newId(), name: job.name.trim(), tool: job.tool }]);
      return Promise.resolve();
    },
  });
  const { control, setValue } = draft.form;
  return (
    <section aria-label={planWords.sideJobs} className="card grid grid-cols-1 content-start gap-2 p-4">
      <h2 className="font-name text-lg font-bold">{planWords.sideJobs}</h2>
      <ul data-testid="jobs">
        {jobs.map((job) => (
          <li key={job.id} className="flex items-center gap-3 border-t border-rule py-1">
            <span className="flex-1">
              {planWords.nameMinutesMinForm(
                job.name,
                job.minutes,
                job.handsOn ? planWords.ofWork : planWords.ofWaiting,
              )}
              {job.tool && `, ${job.tool}`}
              {planWords.overBeforeminutesMinBefore(job.beforeMinutes)}
            </span>
            <IconButton
              label={planWords.withoutName(job.name)}
              onClick={() => {
                onChange(jobs.filter(({ id }) => id !== job.id));
              }}
            >
              <X size={16} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-1">
        {USUAL.map((job) => (
          <Button
            key={job.name}
            className="text-sm"
            onClick={() => {
              setValue('name', job.name, { shouldDirty: true, shouldValidate: true });
              setValue('minutes', job.minutes, { shouldDirty: true, shouldValidate: true });
              setValue('handsOn', job.handsOn);
            }}
          >
            {job.name}
          </Button>
        ))}
      </div>
      <form className="flex flex-wrap items-end gap-3" onSubmit={draft.submit}>
        <TextField
          control={control}
          name="name"
          label={planWords.job}
          maxLength={120}
          className="flex-1 basis-40"
        />
        <ReadField
          control={control}
          name="minutes"
          label={planWords.minutes}
          inputMode="numeric"
          className="w-24"
        />
        <WorkOrWaiting control={control} />
        <ReadField
          control={control}
          name="beforeMinutes"
          label={planWords.overMinBefore}
          inputMode="numeric"
          className="w-36"
        />
        <TextField
          control={control}
          name="tool"
          whenEmpty={null}
          label={planWords.takesUpOvenPot}
          maxLength={60}
          className="w-40"
        />
        <ChoiceField
          control={control}
          name="serviceId"
          label={planWords.beforeWhichService}
          options={services.map(({ id, name: title }) => ({
            value: id,
            label: planWords.beforeTitle(title),
          }))}
        />
        <Button type="submit" disabled={!draft.isValid}>
          {planWords.addTheJob}
        </Button>
      </form>
    </section>
  );
}

function WorkOrWaiting({ control }: { control: Control<PlanJob, unknown, PlanJob> }) {
  const { field } = useController({ control, name: 'handsOn' });
  return (
    <Choice
      label={planWords.workOrWaiting}
      value={field.value ? 'work' : 'waiting'}
      options={[
        { value: 'waiting', label: planWords.waiting },
        { value: 'work', label: planWords.work2 },
      ]}
      onChange={(value) => {
        field.onChange(value === 'work');
      }}
    />
  );
}
