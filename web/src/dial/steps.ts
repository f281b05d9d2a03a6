import { useCallback, useState, type KeyboardEvent } from 'react';
import { type Choice, numbersOf } from './choices';

/** To which result the arrows have led, and to which of its numbers. */
export interface Step {
  row: number;
  number: number;
}

/** Where the arrow keys lead in a list of this length. */
export function stepped(key: string, chosen: number, length: number): number {
  const step = key === 'ArrowDown' ? 1 : -1;
  if (chosen < 0) {
    return step > 0 ? 0 : length - 1;
  }
  return (length + chosen + step) % Math.max(1, length);
}

/** Steps through the results of a field by its arrow keys: up and down to a row, to the right to its further numbers. */
export function useSteps(options: Choice[], first: number) {
  const [step, setStep] = useState<Step>();
  const chosen = step?.row ?? first;
  const number = step?.number ?? 0;

  /** Whether the key was one of these. */
  const stepBy = useCallback(
    (event: KeyboardEvent<HTMLInputElement>) => {
      const { key, currentTarget: field } = event;
      const count = numbersOf(options[chosen]);
      if (key === 'ArrowDown' || key === 'ArrowUp') {
        setStep({ row: stepped(key, chosen, options.length), number: 0 });
      } else if (
        count > 1 &&
        ((key === 'ArrowRight' && field.selectionStart === field.value.length) ||
          (key === 'ArrowLeft' && number > 0))
      ) {
        const by = key === 'ArrowRight' ? 1 : count - 1;
        setStep({ row: chosen, number: (number + by) % count });
      } else {
        return false;
      }
      event.preventDefault();
      return true;
    },
    [options, chosen, number],
  );

  const stepTo = useCallback((row: number) => setStep({ row, number: 0 }), []);
  const reset = useCallback(() => setStep(undefined), []);
  return { step, chosen, number, stepBy, stepTo, reset };
}
