import { pourWords } from '#words/screens/pour';
import { OutboxNotice } from '../../parts/OutboxNotice';
import { Button } from '../../ui/Button';
import type { PouredJarKept } from './useFreePour';

/** A jar that is done and waits for the kitchen: nothing of it is lost meanwhile. */
export function KeptPour({ kept, onForget }: { kept: PouredJarKept; onForget: () => void }) {
  return (
    <section aria-label={kept.name} className="card border-l-4 border-l-leaf p-4" data-testid="kept-pour">
      <p className="mb-2 font-semibold">{pourWords.keptHere(kept.name)}</p>
      <OutboxNotice trialId={kept.jarId} formulaId={kept.formulaId} />
      <Button className="mt-2 min-h-11" onClick={onForget}>
        {pourWords.nextJar}
      </Button>
    </section>
  );
}
