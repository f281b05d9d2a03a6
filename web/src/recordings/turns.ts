import type { RecordingOpened } from '../api/types';

type Said = RecordingOpened['said'][number];

/** Words that one says without a pause. */
export interface Turn {
  mine: boolean;
  words: Said[];
}

const PAUSE_MS = 1_000;

function utterances(said: Said[], mine: boolean): Turn[] {
  const all: Turn[] = [];
  for (const word of said) {
    const last = all.at(-1);
    const before = last?.words.at(-1);
    if (word.mine !== mine) {
      continue;
    }
    if (last && before && word.from - before.to < PAUSE_MS) {
      last.words.push(word);
    } else {
      all.push({ mine, words: [word] });
    }
  }
  return all;
}

const begins = (turn: Turn) => turn.words[0]?.from ?? 0;

/** A conversation as it is read: whoever interrupts does not tear the other's words apart. */
export function turns(said: Said[]): Turn[] {
  return [...utterances(said, true), ...utterances(said, false)].sort(
    (a, b) => begins(a) - begins(b),
  );
}
