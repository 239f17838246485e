import { useEffect, useRef } from 'react';
import { useForm, type Control } from 'react-hook-form';
import { VERSION_STATE_WORDS } from '#words/version';
import { TOOL_WORDS } from '#words/hold';
import type { VersionRecord } from '#contract';
import { hasOwnVessel, LOADS_AS, ROUNDINGS, SCHOOLS, type BatchLine, type BatchRequest } from '#core/batch';
import { ROUNDING_WORDS, SCHOOL_WORDS } from '#words/batch';
import { TOOLS } from '#core/formula';
import type { VersionState } from '#core/trial';
import type { Kitchen } from '#kitchen/reading';
import { batchPlanWords } from '#words/screens/batchPlan';
import { ChoiceField, TextField } from '../../form/fields';
import { TARGET_KINDS, TARGET_WORDS, type BatchDraft, type DraftProblems, type TargetKind } from './draft';
import { useShortcuts } from '../../ui/shortcuts';
import { openVessels } from '#kitchen/batch';

interface PlanFieldsProps {
  readonly draft: BatchDraft;
  readonly setDraft: (patch: Partial<BatchDraft>) => void;
  readonly versions: readonly { readonly number: number; readonly state: VersionState }[];
  readonly version: VersionRecord;
  readonly lines: readonly BatchLine[];
  readonly problems: DraftProblems;
  readonly kitchen: Kitchen;
  readonly request: BatchRequest | null;
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
const ANY = 'any';
const USUAL = 'usual';
const NONE = 'none';

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
  return (
    <section
      ref={fields}
      aria-label={batchPlanWords.howMuchAndWithWhat}
      className="card grid grid-cols-1 content-start gap-2.5 p-4 print:hidden"
    >
      <ChoiceField
        control={control}
        name="version"
        label={batchPlanWords.version}
        beside={batchPlanWords.version}
        options={props.versions.map(({ number, state }) => ({
          value: String(number),
          label: `v${number}, ${VERSION_STATE_WORDS[state]}`,
        }))}
      />
      <ChoiceField
        control={control}
        name="kind"
        label={batchPlanWords.sizedBy}
        beside={batchPlanWords.by}
        options={TARGET_KINDS.map((value) => ({ value, label: TARGET_WORDS[value] }))}
      />
      <HowMuch {...props} control={control} kind={kind} />
      <ChoiceField
        control={control}
        name="school"
        label={batchPlanWords.seasonings}
        beside={batchPlanWords.seasonings}
        options={SCHOOLS.map((value) => ({ value, label: SCHOOL_WORDS[value] }))}
      />
      <ChoiceField
        control={control}
        name="rounding"
        label={batchPlanWords.measured}
        beside={batchPlanWords.measured}
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
    </section>
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
        beside={batchPlanWords.of}
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
        label={batchPlanWords.tool}
        beside={batchPlanWords.mixedWith}
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
          label={batchPlanWords.mixingVessel}
          beside={batchPlanWords.in}
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
        beside={batchPlanWords.loads}
        options={LOADS_AS.map((value) => ({ value, label: LOADS_WORDS[value] }))}
      />
      <ChoiceField
        control={control}
        name="storageId"
        label={batchPlanWords.keptIn}
        beside={batchPlanWords.keptIn}
        options={[
          { value: NONE, label: batchPlanWords.notSaid },
          ...vessels.map(({ id, name }) => ({ value: id as string, label: name })),
        ]}
      />
    </>
  );
}

/** The draft as its fields hold it: every choice has a value of its own for "not chosen". */
type PlanForm = Omit<BatchDraft, 'version' | 'tool'> & { readonly version: string; readonly tool: string };

const formOf = (draft: BatchDraft, version: number, request: BatchRequest | null): PlanForm => ({
  ...draft,
  version: String(version),
  thing: draft.thing || ANY,
  tool: draft.tool ?? USUAL,
  vesselId: draft.vesselId || USUAL,
  storageId: draft.storageId || (request?.storage?.id ?? NONE),
});

/** Only the field that was touched: what is usual must stay unsaid. */
function draftOfForm(name: string, values: PlanForm): Partial<BatchDraft> {
  switch (name) {
    case 'version':
      return { version: Number(values.version) };
    case 'thing':
      return { thing: values.thing === ANY ? '' : values.thing };
    case 'tool':
      return { tool: TOOLS.find((tool) => tool === values.tool) ?? null };
    case 'vesselId':
      return { vesselId: values.vesselId === USUAL ? '' : values.vesselId };
    default:
      return { [name]: values[name as keyof PlanForm] };
  }
}
