import { useEffect, useRef, useState, type FocusEvent, type KeyboardEvent } from 'react';

/** Whoever only passes over a name does not point at it. */
const RESTS_MS = 350;
const GONE_MS = 250;

/** Whom on a board one points at, or has the focus on, and at which end of it there is room. */
export function usePointed() {
  const board = useRef<HTMLElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [pointed, setPointed] = useState<{ id: number; end: 'top' | 'bottom' }>();
  useEffect(() => () => clearTimeout(timer.current), []);

  function at(id: number, row: Element, after: number) {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const all = board.current?.getBoundingClientRect();
      const own = row.getBoundingClientRect();
      const low = all !== undefined && own.top > (all.top + all.bottom) / 2;
      setPointed({ id, end: low ? 'top' : 'bottom' });
    }, after);
  }

  function away() {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => setPointed(undefined), GONE_MS);
  }

  return {
    board,
    pointed,
    /** For each row. */
    row: (id: number) => ({
      onPointerEnter: (event: { currentTarget: Element; pointerType: string }) => {
        if (event.pointerType === 'mouse') {
          at(id, event.currentTarget, RESTS_MS);
        }
      },
      onFocus: (event: FocusEvent) => at(id, event.currentTarget, 0),
      onKeyDown: (event: KeyboardEvent) => {
        if (event.key === 'ArrowRight') {
          event.preventDefault();
          board.current?.querySelector<HTMLElement>('[data-person-card] button')?.focus();
        } else if (event.key === 'Escape') {
          setPointed(undefined);
        }
      },
    }),
    /** For the board. */
    leaving: {
      onPointerLeave: away,
      onPointerMove: (event: { target: EventTarget }) => {
        if ((event.target as Element).closest('[data-person-card]')) {
          clearTimeout(timer.current); // on the way to its buttons, over other names
        }
      },
      onBlur: (event: FocusEvent) => {
        if (!board.current?.contains(event.relatedTarget as Node | null)) {
          away();
        }
      },
    },
  };
}
