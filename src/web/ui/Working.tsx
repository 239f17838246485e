import { frameWords } from '#words/screens/frame';
import { Button } from './Button';

/** Long work under way: how far it is, and the way to stop it. */
export function Working({ what, done, onStop }: { what: string; done: number; onStop: () => void }) {
  return (
    <div className="flex flex-wrap items-center gap-3 py-2" role="status">
      <label className="flex flex-1 items-center gap-3 text-quiet">
        {what}
        <progress className="h-2 flex-1 accent-leaf" max={1} value={done} />
      </label>
      <Button onClick={onStop}>{frameWords.stop}</Button>
    </div>
  );
}
