import { create } from 'zustand';
import type { Board, PersonView } from '../api/types';

/** Everybody in the office with their state, in the order of the directory. */
export const usePeople = create<{ people: PersonView[] }>(() => ({ people: [] }));

export const peopleStore = {
  /** Everybody anew, or those whose state has changed, each in their place. */
  take({ whole, people }: Board) {
    const changed = new Map(people.map((person) => [person.id, person]));
    usePeople.setState((before) => ({
      people: whole ? people : before.people.map((person) => changed.get(person.id) ?? person),
    }));
  },
  reset: () => usePeople.setState({ people: [] }),
};
