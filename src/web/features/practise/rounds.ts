import type { PractiseAnswer } from '#core/practise';
import type { Kitchen } from '#kitchen/reading';
import type { Dressing } from './usePractice';

/** What every kind of round is given. */
export interface RoundProps {
  readonly dressings: readonly Dressing[];
  /** As they stood when the round began. */
  readonly answers: readonly PractiseAnswer[];
  readonly kitchen: Kitchen;
  readonly seed: number;
  readonly onDone: (answer: PractiseAnswer) => void;
  readonly onNext: () => void;
}
