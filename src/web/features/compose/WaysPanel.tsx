import { useMemo, useState } from 'react';
import {
  COMPLAINTS,
  type Complaint,
  type Remedy,
  type RemedyAnswer,
  type RemedyRequest,
  type Severity,
} from '#core/balance';
import { COMPLAINT_WORDS, type SayAmount, type sayDoses } from '#words/balance';
import type { AdditionId, Formula, ReadingContext, VesselId } from '#core/formula';
import type { Style } from '#core/palate';
import { unreadOf, type Judgement, type Reckoning } from '#core/reckoning';
import { usableVolumeMl, type Vessel } from '#core/vessel';
import { formatAmount } from '#words/numbers';
import { lockedIn, takeDoses } from '#kitchen/edits';
import { composeBalanceWords } from '#words/screens/composeBalance';
import { newId } from '../../sync/device';
import { handMeasure, mendsFrom, roomToMend, type Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Choice } from '../../ui/Choice';
import { Dialog } from '../../ui/Dialog';
import { Working } from '../../ui/Working';
import { useSearch } from '../../workers/useSearch';
import { RemedyList } from '../../parts/RemedyList';
import { Alert } from '../../ui/Alert';

interface WaysPanelProps {
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly style: Style | null;
  readonly vessel: Vessel;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
  readonly onTake: (next: Formula) => void;
  readonly onStyle: () => void;
  readonly onClose: () => void;
}

const SEVERITIES = [
  { value: '1', label: composeBalanceWords.aLittle },
  { value: '2', label: composeBalanceWords.clearly },
] as const;

const NONE = 'none';
const HOW_MUCH = [
  { value: 'quarter', label: composeBalanceWords.aQuarterAtMost },
  { value: 'room', label: composeBalanceWords.asMuchAsFits },
] as const;

/** Ways into the band by adding: each with what it moves, before it is taken. */
export function WaysPanel(props: WaysPanelProps) {
  const { formula, reckoning, judgement, style, vessel, context, kitchen, onTake, onClose } = props;
  const [complaint, setComplaint] = useState<Complaint>(style ? 'into-band' : 'too-sharp');
  const [second, setSecond] = useState<Complaint | typeof NONE>(NONE);
  const also = complaint === 'into-band' || second === complaint ? NONE : second;
  const [severity, setSeverity] = useState<'1' | '2'>('2');
  const [howMuch, setHowMuch] = useState<(typeof HOW_MUCH)[number]['value']>('quarter');
  const roomMl = roomIn(vessel, reckoning.totals.mixedVolumeMl);
  const question = useMemo(
    (): RemedyRequest => ({
      portions: judgement.portions,
      complaint,
      severity: Number(severity) as Severity,
      style,
      also: also === NONE ? [] : [{ complaint: also, severity: Number(severity) as Severity }],
      ...roomToMend(judgement.portions, roomMl, howMuch === 'room'),
      ...mendsFrom(judgement.portions, kitchen, context, lockedIn(formula)),
      unread: unreadOf(reckoning.additions),
    }),
    [judgement, complaint, also, severity, style, roomMl, howMuch, kitchen, context, formula, reckoning],
  );
  const askable = style !== null || complaint !== 'into-band';
  const { search, stop, again } = useSearch('remedies', askable ? question : null);
  const say: SayAmount = (massG, ingredient) =>
    handMeasure(massG, ingredient, kitchen.settings.spoons, kitchen.settings);
  return (
    <Dialog title={composeBalanceWords.bringItIntoBalance} open onClose={onClose} wide>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <Choice
          label={composeBalanceWords.whatIsWrong}
          value={complaint}
          options={COMPLAINTS.map((value) => ({ value, label: COMPLAINT_WORDS[value] }))}
          onChange={setComplaint}
          className="min-w-44"
        />
        {complaint !== 'into-band' && (
          <Choice
            label={composeBalanceWords.andAlso}
            value={also}
            options={[
              { value: NONE, label: composeBalanceWords.nothingElse },
              ...COMPLAINTS.filter((value) => value !== 'into-band' && value !== complaint).map((value) => ({
                value,
                label: COMPLAINT_WORDS[value],
              })),
            ]}
            onChange={setSecond}
            className="min-w-44"
          />
        )}
        {complaint !== 'into-band' && (
          <Chips
            label={composeBalanceWords.howMuch}
            value={severity}
            options={SEVERITIES}
            onChange={setSeverity}
          />
        )}
        <Chips label={composeBalanceWords.goesIn} value={howMuch} options={HOW_MUCH} onChange={setHowMuch} />
        <p className="text-sm text-quiet">
          {composeBalanceWords.byAddingOnlyMaxOf(formatAmount(Math.max(0, roomMl), 'ml', kitchen.settings))}{' '}
          {composeBalanceWords.nameLockedAmountsStay(vessel.name)}
        </p>
      </div>
      {!askable && (
        <p>
          {composeBalanceWords.noStyleIsAimedAt}{' '}
          <Button onClick={props.onStyle}>{composeBalanceWords.chooseWhatItIsAiming}</Button>{' '}
          {composeBalanceWords.orSayWhatIsWrong}
        </p>
      )}
      {search.status === 'working' && (
        <Working what={composeBalanceWords.lookingForWays} done={search.done} onStop={stop} />
      )}
      {search.status === 'stopped' && (
        <p>
          {composeBalanceWords.stopped} <Button onClick={again}>{composeBalanceWords.lookAgain}</Button>
        </p>
      )}
      {search.status === 'failed' && (
        <Alert>
          {search.message} <Button onClick={again}>{composeBalanceWords.lookAgain}</Button>
        </Alert>
      )}
      {search.status === 'done' && (
        <Answer
          {...props}
          answer={search.answer}
          say={say}
          onVessel={(vesselId) => {
            onTake({ ...formula, vesselId });
          }}
          volumeMl={reckoning.totals.mixedVolumeMl}
          onTake={(remedy) => {
            onTake(
              takeDoses(formula, reckoning.additions, remedy.doses, {
                context,
                newId: () => newId() as AdditionId,
              }),
            );
            onClose();
          }}
        />
      )}
    </Dialog>
  );
}

function Answer({
  answer,
  say,
  style,
  kitchen,
  judgement,
  volumeMl,
  onVessel,
  onTake,
}: Omit<WaysPanelProps, 'onTake'> & {
  volumeMl: number;
  onVessel: (id: VesselId) => void;
  answer: RemedyAnswer;
  say: Parameters<typeof sayDoses>[1] & object;
  onTake: (remedy: Remedy) => void;
}) {
  const { meaningless, alreadyMet } = answer;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      {meaningless && <p>{composeBalanceWords.nothingInThisJarMakes}</p>}
      {alreadyMet && (
        <p>
          {style
            ? composeBalanceWords.itLiesInsideEveryBand(style.name)
            : composeBalanceWords.nothingHasToBeAdded}
        </p>
      )}
      <RemedyList
        answer={answer}
        portions={judgement.portions}
        style={style}
        kitchen={kitchen}
        say={say}
        actions={(remedy, index) => (
          <Button
            kind={index === 0 ? 'main' : 'plain'}
            className="shrink-0"
            onClick={() => {
              onTake(remedy);
            }}
          >
            {composeBalanceWords.takeThisWay}
          </Button>
        )}
        beyond={(why) =>
          why.moreRoom &&
          !answer.aQuarter && (
            <LargerVessel
              neededMl={volumeMl + why.moreRoom.volumeMl}
              vessels={kitchen.vessels}
              onVessel={onVessel}
            />
          )
        }
      />
    </div>
  );
}

/** The smallest vessel that has the room. */
function LargerVessel({
  neededMl,
  vessels,
  onVessel,
}: {
  neededMl: number;
  vessels: readonly Vessel[];
  onVessel: (id: VesselId) => void;
}) {
  const [larger] = [...vessels]
    .filter((vessel) => vessel.closes && roomIn(vessel, neededMl) >= 0)
    .sort((a, b) => a.brimfulVolumeMl - b.brimfulVolumeMl);
  if (!larger) return null;
  return (
    <span className="mt-1.5 mb-1 block">
      <Button
        onClick={() => {
          onVessel(larger.id);
        }}
      >
        {composeBalanceWords.moveItToTheName(larger.name)}
      </Button>
    </span>
  );
}

/** To three quarters of brimful where it is shaken; a bowl may be fuller. */
function roomIn(vessel: Vessel, volumeMl: number): number {
  return usableVolumeMl(vessel) - volumeMl;
}
