import { useState } from 'react';

/** Where no pointer rests on anything one cannot tell what is about to be touched. */
const rests = () => window.matchMedia('(hover: hover)').matches;

/** These in the order they were in, and what is new behind them. */
export function inPlaces(keys: string[], places: string[]): string[] {
  return [
    ...places.filter((each) => keys.includes(each)),
    ...keys.filter((each) => !places.includes(each)),
  ];
}

/**
 * The order of rows that come by themselves: none is moved by another one while the pointer is among them. Once it is
 * gone they are in the order of `keys`.
 */
export function usePlaces(keys: string[]) {
  const [pointed, setPointed] = useState(() => !rests());
  const [places, setPlaces] = useState(keys);
  const now = pointed ? inPlaces(keys, places) : keys;
  if (now.join('\n') !== places.join('\n')) {
    setPlaces(now);
  }
  return {
    order: now,
    /** For what the rows are in. */
    pointing: {
      onPointerEnter: () => setPointed(true),
      onPointerLeave: () => setPointed(!rests()),
    },
  };
}
