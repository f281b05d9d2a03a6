import { useRef, useState, type PointerEvent } from 'react';

/** So much of its width a row is pulled to the side until letting go removes it. */
const FAR = 0.4;
/** Until then it may be the beginning of scrolling. */
const SLACK_PX = 12;

/** Has a row pulled to the side by a finger, and something done when it was pulled far enough. */
export function useSwipe(onSwiped: () => void) {
  const from = useRef<{ x: number; width: number } | null>(null);
  const [pulled, setPulled] = useState(0);
  const end = () => {
    from.current = null;
    setPulled(0);
  };
  return {
    style: {
      touchAction: 'pan-y',
      transform: pulled ? `translateX(${pulled}px)` : undefined,
    } as const,
    onPointerDown(event: PointerEvent<HTMLElement>) {
      if (event.pointerType === 'touch' && event.isPrimary) {
        from.current = { x: event.clientX, width: event.currentTarget.offsetWidth };
      }
    },
    onPointerMove(event: PointerEvent<HTMLElement>) {
      if (from.current) {
        const by = event.clientX - from.current.x;
        setPulled(Math.abs(by) > SLACK_PX ? by : 0);
      }
    },
    onPointerUp() {
      const far = from.current && Math.abs(pulled) > from.current.width * FAR;
      end();
      if (far) {
        onSwiped();
      }
    },
    onPointerCancel: end,
  };
}
