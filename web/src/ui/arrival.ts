import { useLayoutEffect, useRef, type RefObject } from 'react';

/** So long what has come by itself takes no click: it was meant for what stood there before. */
const NOT_YET_MS = 400;

/**
 * Lets what comes by itself, or has moved because something else did, be clicked only once one can have seen it.
 * Keys of the keyboard work at once: they mean something by name and not by place.
 */
export function useArrival<E extends HTMLElement>(): RefObject<E | null> {
  const ref = useRef<E>(null);
  const stood = useRef<string>(undefined);
  // After each drawing: what moves it is drawn by others. The place among its neighbours is asked, not that on the
  // screen, which changes by scrolling too.
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) {
      return;
    }
    const now = `${element.offsetLeft} ${element.offsetTop}`;
    if (now !== stood.current) {
      stood.current = now;
      element.animate?.([{ pointerEvents: 'none' }, { pointerEvents: 'none' }], NOT_YET_MS);
    }
  });
  return ref;
}
