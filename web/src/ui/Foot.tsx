import { useLayoutEffect, useRef, type ReactNode } from 'react';

const HEIGHT = '--foot';

/** What stays at the foot of a narrow window, in reach of a thumb. In a wide one it stands where it is. */
export function Foot({ children }: { children: ReactNode }) {
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
