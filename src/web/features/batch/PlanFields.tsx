import { VERSION_STATE_WORDS } from '#words/version';
import { TOOL_WORDS } from '#words/hold';
import type { VersionRecord } from '#contract';
import { hasOwnVessel, LOADS_AS, ROUNDINGS, SCHOOLS, type BatchLine, type BatchRequest } from '#core/batch';
import { ROUNDING_WORDS, SCHOOL_WORDS } from '#words/batch';
import { TOOLS } from '#core/formula';
import type { VersionState } from '#core/trial';
import type { Kitchen } from '#kitchen/reading';
import { batchPlanWords } from '#words/screens/batchPlan';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { TARGET_KINDS, TARGET_WORDS, type BatchDraft, type DraftProblems } from './draft';
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

/** What a batch is planned from; every choice has a sensible start. */
export function PlanFields(props: PlanFieldsProps) {
  const { draft, setDraft, versions, version, lines, problems, kitchen, request } = props;
  const { settings, vessels } = kitchen;
  const things = [...new Map(lines.map(({ ingredient }) => [ingredient.id as string, ingredient.name]))];
  const counted = draft.kind === 'portions' || draft.kind === 'jars';
  const row = 'grid grid-cols-[5.4rem_minmax(0,1fr)] items-center gap-2 font-semibold';
  return (
    <section
      aria-label={batchPlanWords.howMuchAndWithWhat}
      className="card grid grid-cols-1 content-start gap-2.5 p-4 print:hidden"
    >
      <div className={row}>
        {batchPlanWords.version}
        <Choice
          label={batchPlanWords.version}
          value={String(version.number)}
          options={versions.map(({ number, state }) => ({
            value: String(number),
            label: `v${number}, ${VERSION_STATE_WORDS[state]}`,
          }))}
          onChange={(value) => {
            setDraft({ version: Number(value) });
          }}
          className="font-normal"
        />
      </div>
      <div className={row}>
        {batchPlanWords.by}
        <Choice
          label={batchPlanWords.sizedBy}
          value={draft.kind}
          options={TARGET_KINDS.map((value) => ({ value, label: TARGET_WORDS[value] }))}
          onChange={(kind) => {
            setDraft({ kind });
          }}
          className="font-normal"
        />
      </div>
      {draft.kind === 'on-hand' ? (
        <div className={row}>
          {batchPlanWords.of}
          <Choice
            label={batchPlanWords.whichThing}
            value={draft.thing || ANY}
            options={[
              { value: ANY, label: batchPlanWords.whateverRunsOutFirst },
              ...things.map(([value, label]) => ({ value, label })),
            ]}
            onChange={(thing) => {
              setDraft({ thing: thing === ANY ? '' : thing });
            }}
            className="font-normal"
          />
        </div>
      ) : (
        <Field
          label={AMOUNT_LABELS[draft.kind]}
          inputMode="decimal"
          value={draft.amount}
          onText={(amount) => {
            setDraft({ amount });
          }}
          problem={problems.amount}
        />
      )}
      {counted && (
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={draft.kind === 'jars' ? batchPlanWords.jarMl : batchPlanWords.portionMl}
            inputMode="decimal"
            placeholder={String(settings.servingVolumeMl)}
            value={draft.sizeMl}
            onText={(sizeMl) => {
              setDraft({ sizeMl });
            }}
            problem={problems.sizeMl}
          />
          {draft.kind === 'jars' && (
            <Field
              label={batchPlanWords.filled}
              inputMode="decimal"
              value={draft.fillPercent}
              onText={(fillPercent) => {
                setDraft({ fillPercent });
              }}
              problem={problems.fillPercent}
            />
          )}
        </div>
      )}
      <div className={row}>
        {batchPlanWords.seasonings}
        <Choice
          label={batchPlanWords.seasonings}
          value={draft.school}
          options={SCHOOLS.map((value) => ({ value, label: SCHOOL_WORDS[value] }))}
          onChange={(school) => {
            setDraft({ school });
          }}
          className="font-normal"
        />
      </div>
      <div className={row}>
        {batchPlanWords.measured}
        <Choice
          label={batchPlanWords.measured}
          value={draft.rounding}
          options={ROUNDINGS.map((value) => ({ value, label: ROUNDING_WORDS[value] }))}
          onChange={(rounding) => {
            setDraft({ rounding });
          }}
          className="font-normal"
        />
      </div>
      <div className={row}>
        {batchPlanWords.mixedWith}
        <Choice
          label={batchPlanWords.tool}
          value={draft.tool ?? USUAL}
          options={[
            {
              value: USUAL,
              label:
                request && draft.tool === null
                  ? batchPlanWords.nameBySize(TOOL_WORDS[request.tool])
                  : batchPlanWords.bySize,
            },
            ...TOOLS.filter((tool) => draft.tool !== null || tool !== request?.tool).map((value) => ({
              value,
              label: TOOL_WORDS[value],
            })),
          ]}
          onChange={(tool) => {
            setDraft({ tool: tool === USUAL ? null : (tool as typeof draft.tool) });
          }}
          className="font-normal"
        />
      </div>
      {!(request && hasOwnVessel(request.tool)) && (
        <div className={row}>
          {batchPlanWords.in}
          <Choice
            label={batchPlanWords.mixingVessel}
            value={draft.vesselId || USUAL}
            options={[
              {
                value: USUAL,
                label: request && !draft.vesselId ? request.mixingVessel.name : batchPlanWords.bySize,
              },
              ...(request?.tool === 'shake' ? vessels : openVessels(vessels))
                .filter(({ id }) => draft.vesselId !== '' || id !== request?.mixingVessel.id)
                .map(({ id, name }) => ({ value: id as string, label: name })),
            ]}
            onChange={(vesselId) => {
              setDraft({ vesselId: vesselId === USUAL ? '' : vesselId });
            }}
            className="font-normal"
          />
        </div>
      )}
      <div className={row}>
        {batchPlanWords.loads}
        <Choice
          label={batchPlanWords.loads}
          value={draft.loadsAs}
          options={LOADS_AS.map((value) => ({ value, label: LOADS_WORDS[value] }))}
          onChange={(loadsAs) => {
            setDraft({ loadsAs });
          }}
          className="font-normal"
        />
      </div>
      <div className={row}>
        {batchPlanWords.keptIn}
        <Choice
          label={batchPlanWords.keptIn}
          value={draft.storageId || (request?.storage?.id ?? NONE)}
          options={[
            { value: NONE, label: batchPlanWords.notSaid },
            ...vessels.map(({ id, name }) => ({ value: id as string, label: name })),
          ]}
          onChange={(storageId) => {
            setDraft({ storageId });
          }}
          className="font-normal"
        />
      </div>
      <Field
        label={batchPlanWords.itStartsAtC}
        inputMode="decimal"
        placeholder={String(settings.batch.roomC)}
        value={draft.startC}
        onText={(startC) => {
          setDraft({ startC });
        }}
        problem={problems.startC}
        hint={batchPlanWords.onceMixedAWarmBase}
      />
    </section>
  );
}
