/** The step's heading takes the focus when the step changes, and is read aloud: what is to be done is what is heard. */
import { useEffect, useRef } from 'react';
import { focusHeading } from '../../ui/focus';

const HEADING = '[data-step-heading]';

export function focusStep(): void {
  focusHeading(document.querySelector<HTMLElement>(HEADING));
}

/** @param stepId changes when another step is shown */
export function useStepFocus(stepId: string): void {
  const entered = useRef(stepId);
  useEffect(() => {
    if (entered.current === stepId) return;
    entered.current = stepId;
    // A weight field that is open for the next step keeps the focus it took.
    if (document.activeElement instanceof HTMLInputElement) return;
    focusStep();
  }, [stepId]);
}
