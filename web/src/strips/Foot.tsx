import { useLayoutEffect, useRef, type ReactNode } from 'react';
import type { CallView } from '../api/types';
import { activeCall } from '../calls/order';
import { useCalls } from '../calls/store';

const HEIGHT = '--foot';

interface Props {
  /** Whose keys these are. */
  of: CallView;
  children: ReactNode;
}

/**
 * The keys of the call one is on: in a narrow window at its foot, in reach of a thumb. Those of another call, which may
 * have failed meanwhile, stand in its strip.
 */
export function Foot({ of, children }: Props) {
  const atFoot = activeCall(useCalls())?.id === of.id;
  return atFoot ? <AtFoot>{children}</AtFoot> : children;
}

function AtFoot({ children }: { children: ReactNode }) {
  const ref = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    const foot = ref.current;
    if (!foot) {
      return undefined;
    }
    // What stands above it has to know how high it is.
    const observer = new ResizeObserver(() => style.setProperty(HEIGHT, `${foot.offsetHeight}px`));
    observer.observe(foot);
    return () => {
      observer.disconnect();
      style.removeProperty(HEIGHT);
    };
  }, []);
  return (
    <div
      ref={ref}
      className="max-md:bg-base-200 max-md:border-base-300 max-md:fixed max-md:inset-x-0 max-md:bottom-14 max-md:z-15 max-md:border-t max-md:p-2 max-md:[&_.btn]:h-11"
    >
      {children}
    </div>
  );
}
