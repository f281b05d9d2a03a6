import { useCalls } from './store';
import { useKeys } from '../ui/keys';

/**
 * Has the arrows open the next and the one before of a list. With two calls in hand they choose between those.
 *
 * @param ids in their order
 */
export function useStepping(ids: number[], open: number | undefined, onOpen: (id: number) => void) {
  const free = useCalls().length < 2;
  const step = (by: number) => () => {
    const at = open === undefined ? -1 : ids.indexOf(open);
    const next = ids[at < 0 ? 0 : Math.max(0, Math.min(ids.length - 1, at + by))];
    if (next !== undefined) {
      onOpen(next);
    }
    return next !== undefined;
  };
  useKeys(
    free
      ? [
          { key: 'arrowdown', run: step(1) },
          { key: 'arrowup', run: step(-1) },
        ]
      : [],
  );
}
