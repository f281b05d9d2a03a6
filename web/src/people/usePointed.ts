import { useEffect, useRef, useState, type FocusEvent, type KeyboardEvent } from 'react';

/** Whoever only passes over a name does not point at it. */
const RESTS_MS = 500;
const GONE_MS = 250;

/** Whoever writes on the card of somebody stays with them, wherever the mouse goes. */
const writes = () => document.activeElement?.matches('[data-person-card] input') ?? false;

/**
 * Where the card of somebody stands in the board: beneath them, from its upper edge, or above them, from its lower one
 * where that is nearer. It touches them, so that one comes to it over nobody else, and is within the board: beside it are
 * the keys of calls.
 */
export type Beside = { top: number } | { bottom: number };

/** Whom on a board one points at, or has the focus on, and what is beside them. */
export function usePointed() {
  const board = useRef<HTMLElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [pointed, setPointed] = useState<{ id: number; beside: Beside }>();
  useEffect(() => () => clearTimeout(timer.current), []);

  // Not by what leaves the board: of a key that goes while the mouse is on it, nobody is told that it was left.
  useEffect(() => {
    let leaves: ReturnType<typeof setTimeout> | undefined;
    function moved(event: PointerEvent) {
      if (writes() || board.current?.contains(event.target as Node)) {
        clearTimeout(leaves);
        leaves = undefined;
      } else {
        leaves ??= setTimeout(() => setPointed(undefined), GONE_MS);
      }
    }
    if (pointed) {
      window.addEventListener('pointermove', moved);
    }
    return () => {
      clearTimeout(leaves);
      window.removeEventListener('pointermove', moved);
    };
  }, [pointed]);

  function at(id: number, row: Element, after: number) {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const all = board.current?.getBoundingClientRect() ?? row.getBoundingClientRect();
      const own = row.getBoundingClientRect();
      const low = own.top > (all.top + all.bottom) / 2;
      setPointed({
        id,
        beside: low ? { bottom: all.bottom - own.top } : { top: own.bottom - all.top },
      });
    }, after);
  }

  return {
    board,
    pointed,
    /** For each row. */
    row: (id: number) => ({
      onPointerEnter: (event: { currentTarget: Element; pointerType: string }) => {
        if (event.pointerType === 'mouse' && !writes()) {
          at(id, event.currentTarget, RESTS_MS);
        }
      },
      onPointerLeave: () => clearTimeout(timer.current),
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
    /** For the board: whoever goes elsewhere by keys takes the card away. */
    leaving: {
      onBlur: (event: FocusEvent) => {
        if (!board.current?.contains(event.relatedTarget as Node | null)) {
          clearTimeout(timer.current);
          timer.current = setTimeout(() => setPointed(undefined), GONE_MS);
        }
      },
    },
  };
}
