import { useState } from 'react';
import { useSettled } from './useSettled';

/** Whoever pauses so long while typing wants to see what there is. */
const TYPING_MS = 100;

/**
 * A text that is looked for while one types.
 *
 * @returns as it is typed, as it is asked for, and what changes it
 */
export function useTyped(at: string): [string, string, (text: string) => void] {
  const [text, setText] = useState(at);
  return [text, useSettled(text.trim(), TYPING_MS), setText];
}
