import type { RecordingOpened } from '../api/types';

type Said = RecordingOpened['said'][number];

/** Words that one of both says before the other does. */
export interface Turn {
  mine: boolean;
  words: Said[];
}

/** A conversation in turns. */
export function turns(said: Said[]): Turn[] {
  const all: Turn[] = [];
  for (const word of said) {
    const last = all.at(-1);
    if (last?.mine === word.mine) {
      last.words.push(word);
    } else {
      all.push({ mine: word.mine, words: [word] });
    }
  }
  return all;
}
