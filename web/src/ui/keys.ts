import { useLayoutEffect } from 'react';

/** A key of the page and what it does. */
export interface Key {
  /** As `KeyboardEvent.key` in lower case. */
  key: string;
  run: () => unknown;
  /** Whether it works while a dialog is open, too. */
  always?: boolean;
  /** Whether it works together with Alt only, or only alone; otherwise both ways. */
  alt?: 'with' | 'without';
  /** Whether it works together with Ctrl (or Command) only. */
  ctrl?: boolean;
}

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/**
 * Has keys do something. A key alone works unless a text field has the focus; together with Alt it
 * works there too. While a dialog is open, only what concerns a ringing call works.
 */
export function useKeys(keys: Key[]) {
  // Before anything is painted: what can be seen can be pressed.
  useLayoutEffect(() => {
    function pressed(event: KeyboardEvent) {
      const ctrl = event.ctrlKey || event.metaKey;
      if (event.defaultPrevented || event.repeat) {
        return;
      }
      if (!event.altKey && typing(event.target)) {
        return;
      }
      // Enter and Escape belong to whatever has the focus; they mean the call only when nothing has.
      if (['Enter', 'Escape'].includes(event.key) && event.target !== document.body) {
        return;
      }
      const dialog = document.querySelector('dialog[open]') !== null;
      const found = keys.find(
        (each) =>
          each.key === event.key.toLowerCase() &&
          (each.ctrl ?? false) === ctrl &&
          (!dialog || each.always) &&
          (each.alt === undefined || (each.alt === 'with') === event.altKey),
      );
      if (found && found.run() !== false) {
        event.preventDefault();
      }
    }
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [keys]);
}
