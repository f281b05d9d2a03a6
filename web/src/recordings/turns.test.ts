import { expect, test } from 'vitest';
import { turns } from './turns';

const word = (mine: boolean, text: string, from: number) => ({
  mine,
  text,
  from,
  to: from + 200,
  doubtful: false,
});

test('whoever interrupts does not tear the words of the other apart', () => {
  const said = [
    word(true, 'the', 0),
    word(false, 'yes', 100),
    word(true, 'ferry', 300),
    word(true, 'and', 3_000),
  ];
  expect(turns(said).map((turn) => turn.words.map((each) => each.text).join(' '))).toEqual([
    'the ferry',
    'yes',
    'and',
  ]);
});
