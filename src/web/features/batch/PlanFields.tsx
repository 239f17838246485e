import { useEffect, useRef, useState } from 'react';
import { useForm, type Control } from 'react-hook-form';
import { VERSION_STATE_WORDS } from '#words/version';
import { TOOL_WORDS } from '#words/hold';
import type { VersionRecord } from '#contract';
import {
  hasOwnVessel,
  LOADS_AS,
  ROUNDINGS,
  SCHOOLS,
  type BatchLine,
  type BatchPlan,
  type BatchRequest,
} from '#core/batch';
import { ROUNDING_WORDS, SCHOOL_WORDS } from '#words/batch';
import { TOOLS } from '#core/formula';
import type { VersionState } from '#core/trial';
import type { Kitchen } from '#kitchen/reading';
import { inSentence } from '#words/numbers';
import { batchPlanWords } from '#words/screens/batchPlan';
import { ChoiceField, TextField } from '../../form/fields';
import {
  TARGET_KINDS,
  TARGET_WORDS,
  type BatchDraft,
  type DraftProblems,
  type SetDraft,
  type TargetKind,
} from './draft';
import { ANY, draftOfForm, formOf, NONE, USUAL, type PlanForm } from './planForm';
import { useShortcuts } from '../../ui/shortcuts';
import { openVessels } from '#kitchen/batch';

interface PlanFieldsProps {
  readonly draft: BatchDraft;
  readonly setDraft: SetDraft;
  readonly versions: readonly { readonly number: number; readonly state: VersionState }[];
  readonly version: VersionRecord;
  readonly lines: readonly BatchLine[];
  readonly problems: DraftProblems;
  readonly kitchen: Kitchen;
  readonly request: BatchRequest | null;
  /** What comes of it, once it is worked out. */
  readonly plan: BatchPlan | null;
}

const AMOUNT_LABELS = {
  volume: batchPlanWords.litres,
  mass: batchPlanWords.kilograms,
  portions: batchPlanWords.portions,
  jars: batchPlanWords.jars,
} as const;
const LOADS_WORDS = {
  equal: batchPlanWords.equalLoads,
  'full-and-rest': batchPlanWords.fullLoadsThenTheRest,
} as const;

/**
 * What a batch is planned from; every choice has a sensible start. The form's draft is kept in the address, so
 * that a reload or a link brings it back.
 */
export function PlanFields(props: PlanFieldsProps) {
  const { draft, setDraft, version, problems, request, kitchen } = props;
  const form = useForm<PlanForm>({
    values: formOf(draft, version.number, request),
    resetOptions: { keepDirtyValues: true },
  });
  const { control, watch } = form;
  useEffect(() => {
    return form.subscribe({
      formState: { values: true },
      callback: ({ name, values }) => {
        if (name) setDraft(draftOfForm(name, values));
      },
    });
  }, [form, setDraft]);
  const kind = watch('kind');
  const fields = useRef<HTMLElement>(null);
  // A button elsewhere may say how much, too; what is being typed here goes before it.
  const { amount, kind: drafted } = draft;
  useEffect(() => {
    if (fields.current?.contains(document.activeElement)) return;
    for (const [name, value] of [
      ['amount', amount],
      ['kind', drafted],
    ] as const)
      if (form.getValues(name) !== value) form.setValue(name, value);
  }, [amount, drafted, form]);
  useShortcuts([
    {
      keys: ['a'],
      does: batchPlanWords.typeHowMuch,
      run: () => {
        const field = fields.current?.querySelector('input');
        field?.focus();
        field?.select();
      },
    },
  ]);
  const [unfolded, setOpen] = useState(false);
  // What cannot be read is never folded away.
  const open = unfolded || Boolean(problems.startC);
  const chosen = request && sayChoices(draft, request, props.plan);
  return (
    <section
      ref={fields}
      aria-label={batchPlanWords.howMuchAndWithWhat}
      className="card grid grid-cols-[minmax(0,1fr)] gap-3 p-4 print:hidden"
    >
      <div className="flex flex-wrap items-start gap-x-5 gap-y-3">
        <HowMuch {...props} control={control} kind={kind} />
        <button
          type="button"
          aria-expanded={open}
          data-testid="choices"
          className="flex min-h-11 min-w-0 flex-1 basis-80 items-center gap-3 self-end rounded-md border border-edge bg-paper px-3 py-1.5 text-left hover:border-leaf hover:bg-mint"
          onClick={() => {
            setOpen(!open);
          }}
        >
          <span className="min-w-0 flex-1">{chosen ?? batchPlanWords.choices}</span>
          <span className="shrink-0 font-semibold">
            {open ? batchPlanWords.foldThem : batchPlanWords.changeThem}
          </span>
        </button>
      </div>
      <div className={open ? 'grid gap-x-5 gap-y-3 sm:grid-cols-2 lg:grid-cols-4' : 'hidden'}>
        <ChoiceField
          control={control}
          name="version"
          label={batchPlanWords.version}
          options={props.versions.map(({ number, state }) => ({
            value: String(number),
            label: `v${number}, ${VERSION_STATE_WORDS[state]}`,
          }))}
        />
        <ChoiceField
          control={control}
          name="kind"
          label={batchPlanWords.by}
          options={TARGET_KINDS.map((value) => ({ value, label: TARGET_WORDS[value] }))}
        />
        <ChoiceField
          control={control}
          name="school"
          label={batchPlanWords.seasonings}
          options={SCHOOLS.map((value) => ({ value, label: SCHOOL_WORDS[value] }))}
        />
        <ChoiceField
          control={control}
          name="rounding"
          label={batchPlanWords.measured}
          options={ROUNDINGS.map((value) => ({ value, label: ROUNDING_WORDS[value] }))}
        />
        <ToolAndVessels {...props} control={control} />
        <TextField
          control={control}
          name="startC"
          inputMode="decimal"
          label={batchPlanWords.itStartsAtC}
          placeholder={String(kitchen.settings.batch.roomC)}
          problem={problems.startC}
          hint={batchPlanWords.onceMixedAWarmBase}
        />
      </div>
    </section>
  );
}

/** "Measured by scale and spoons, large stick blender in the 20 l bucket, kept in two 5 l tubs": chosen, or usual. */
function sayChoices(draft: BatchDraft, request: BatchRequest, plan: BatchPlan | null): string {
  const { tool, mixingVessel } = request;
  return batchPlanWords.chosen(
    ROUNDING_WORDS[draft.rounding],
    inSentence(TOOL_WORDS[tool]),
    hasOwnVessel(tool) ? null : mixingVessel.name,
    plan?.storage ? batchPlanWords.keptInSome(plan.storage.count, plan.storage.vessel.name) : null,
  );
}

type Bound = PlanFieldsProps & { readonly control: Control<PlanForm, unknown, PlanForm> };

function HowMuch({ control, kind, lines, problems, kitchen }: Bound & { readonly kind: TargetKind }) {
  const things = [...new Map(lines.map(({ ingredient }) => [ingredient.id as string, ingredient.name]))];
  if (kind === 'on-hand')
    return (
      <ChoiceField
        control={control}
        name="thing"
        label={batchPlanWords.whichThing}
        options={[
          { value: ANY, label: batchPlanWords.whateverRunsOutFirst },
          ...things.map(([value, label]) => ({ value, label })),
        ]}
      />
    );
  return (
    <>
      <TextField
        control={control}
        name="amount"
        inputMode="decimal"
        label={AMOUNT_LABELS[kind]}
        problem={problems.amount}
      />
      {(kind === 'portions' || kind === 'jars') && (
        <div className="grid grid-cols-2 gap-3">
          <TextField
            control={control}
            name="sizeMl"
            inputMode="decimal"
            label={kind === 'jars' ? batchPlanWords.jarMl : batchPlanWords.portionMl}
            placeholder={String(kitchen.settings.servingVolumeMl)}
            problem={problems.sizeMl}
          />
          {kind === 'jars' && (
            <TextField
              control={control}
              name="fillPercent"
              inputMode="decimal"
              label={batchPlanWords.filled}
              problem={problems.fillPercent}
            />
          )}
        </div>
      )}
    </>
  );
}

function ToolAndVessels({ control, draft, request, kitchen: { vessels } }: Bound) {
  const isUsualTool = request !== null && draft.tool === null;
  return (
    <>
      <ChoiceField
        control={control}
        name="tool"
        label={batchPlanWords.mixedWith}
        options={[
          {
            value: USUAL,
            label: isUsualTool ? batchPlanWords.nameBySize(TOOL_WORDS[request.tool]) : batchPlanWords.bySize,
          },
          ...TOOLS.filter((tool) => draft.tool !== null || tool !== request?.tool).map((value) => ({
            value: value as string,
            label: TOOL_WORDS[value],
          })),
        ]}
      />
      {!(request && hasOwnVessel(request.tool)) && (
        <ChoiceField
          control={control}
          name="vesselId"
          label={batchPlanWords.in}
          options={[
            {
              value: USUAL,
              label: request && !draft.vesselId ? request.mixingVessel.name : batchPlanWords.bySize,
            },
            ...(request?.tool === 'shake' ? vessels : openVessels(vessels))
              .filter(({ id }) => draft.vesselId !== '' || id !== request?.mixingVessel.id)
              .map(({ id, name }) => ({ value: id as string, label: name })),
          ]}
        />
      )}
      <ChoiceField
        control={control}
        name="loadsAs"
        label={batchPlanWords.loads}
        options={LOADS_AS.map((value) => ({ value, label: LOADS_WORDS[value] }))}
      />
      <ChoiceField
        control={control}
        name="storageId"
        label={batchPlanWords.keptIn}
        options={[
          { value: NONE, label: batchPlanWords.notSaid },
          ...vessels.map(({ id, name }) => ({ value: id as string, label: name })),
        ]}
      />
    </>
  );
}
