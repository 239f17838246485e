import { X } from 'lucide-react';
import { useState } from 'react';
import type { PlanContent } from '#contract';
import { planWords } from '#words/screens/plan';
import { newId } from '../../sync/device';
import { Button, IconButton } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';

/** What a kitchen does beside: estimates to start from. */
const USUAL = [
  { name: planWords.boilPotatoes, minutes: 30, handsOn: false },
  { name: planWords.roastBeetsUnderCover, minutes: 75, handsOn: false },
  { name: planWords.sweatOnionsUnderCover, minutes: 20, handsOn: false },
  { name: planWords.steamBeans, minutes: 10, handsOn: false },
  { name: planWords.soakBeansOvernight, minutes: 600, handsOn: false },
  { name: planWords.washAndSpinLeaves, minutes: 15, handsOn: true },
] as const;

/** Side jobs: work or waiting that has to be over before a service. */
export function JobForm({
  content,
  onChange,
}: {
  content: PlanContent;
  onChange: (jobs: PlanContent['jobs']) => void;
}) {
  const { services, jobs } = content;
  const [name, setName] = useState('');
  const [minutes, setMinutes] = useState('30');
  const [handsOn, setHandsOn] = useState(false);
  const [serviceId, setServiceId] = useState('');
  const [tool, setTool] = useState('');
  const [before, setBefore] = useState('15');
  const service = services.find(({ id }) => id === serviceId) ?? services[0];
  const count = Number(minutes);
  const fits = minutes.trim() !== '' && Number.isInteger(count) && count >= 1 && count <= 2880;
  const early = Number(before);
  const earlyFits = before.trim() !== '' && Number.isInteger(early) && early >= 0 && early <= 2880;
  if (!service) return null;
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
              setName(job.name);
              setMinutes(String(job.minutes));
              setHandsOn(job.handsOn);
            }}
          >
            {job.name}
          </Button>
        ))}
      </div>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!fits || !earlyFits || name.trim() === '') return;
          onChange([
            ...jobs,
            {
              id: newId(),
              name: name.trim(),
              minutes: count,
              handsOn,
              tool: tool.trim() || null,
              serviceId: service.id,
              beforeMinutes: early,
            },
          ]);
          setName('');
        }}
      >
        <Field
          label={planWords.job}
          maxLength={120}
          value={name}
          onText={setName}
          className="flex-1 basis-40"
        />
        <Field
          label={planWords.minutes}
          inputMode="numeric"
          value={minutes}
          onText={setMinutes}
          problem={fits ? null : planWords.n1To2880}
          className="w-24"
        />
        <Choice
          label={planWords.workOrWaiting}
          value={handsOn ? 'work' : 'waiting'}
          options={[
            { value: 'waiting', label: planWords.waiting },
            { value: 'work', label: planWords.work2 },
          ]}
          onChange={(value) => {
            setHandsOn(value === 'work');
          }}
        />
        <Field
          label={planWords.overMinBefore}
          inputMode="numeric"
          value={before}
          onText={setBefore}
          problem={earlyFits ? null : planWords.n0To2880}
          className="w-36"
        />
        <Field
          label={planWords.takesUpOvenPot}
          maxLength={60}
          value={tool}
          onText={setTool}
          className="w-40"
        />
        <Choice
          label={planWords.beforeWhichService}
          value={service.id}
          options={services.map(({ id, name: title }) => ({
            value: id,
            label: planWords.beforeTitle(title),
          }))}
          onChange={setServiceId}
        />
        <Button type="submit" disabled={!fits || !earlyFits || name.trim() === ''}>
          {planWords.addTheJob}
        </Button>
      </form>
    </section>
  );
}
