import { IconArrowLeft } from '@tabler/icons-react';
import { useLayoutEffect, useRef, type ReactNode } from 'react';

interface Props {
  /** What finds and narrows: goes with the list. */
  above: ReactNode;
  list: ReactNode;
  listLabel: string;
  /** Null as long as nothing is open. */
  opened: ReactNode | null;
  openedLabel: string;
  /** What stands where something would be opened. */
  nothing: string;
  /** The way back to the list, where the two do not fit beside each other. */
  back: string;
  onBack: () => void;
  /** Of the list, when it scrolls in itself. */
  listLook?: string;
  /** How the width is shared where both fit. */
  columns?: string;
}

/**
 * A list at the left, and at the right what is opened of it. Where there is no room for both, what is opened has a
 * page of its own, and the list is where it was when one comes back.
 */
export function TwoPanes(props: Props) {
  const { above, list, listLabel, opened, openedLabel, nothing, back, onBack, listLook } = props;
  const columns = props.columns ?? 'lg:grid-cols-[430px_minmax(0,1fr)]';
  const page = useRef<HTMLElement>(null);
  const tray = useRef<HTMLElement>(null);
  const scrolled = useRef(0);
  const isOpen = opened !== null;
  const wasOpen = useRef(isOpen);
  useLayoutEffect(() => {
    if (wasOpen.current === isOpen) {
      return;
    }
    wasOpen.current = isOpen;
    const [gone, shown] = isOpen ? [tray.current, page.current] : [page.current, tray.current];
    if (gone?.offsetParent === null) {
      window.scrollTo(0, isOpen ? 0 : scrolled.current);
      shown?.focus({ preventScroll: true });
    }
  }, [isOpen]);

  return (
    <>
      <div className={isOpen ? 'max-lg:hidden' : 'contents'}>{above}</div>
      <div className={`grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-3 ${columns}`}>
        <section
          ref={tray}
          tabIndex={-1}
          aria-label={listLabel}
          className={`sheet min-h-0 lg:overflow-y-auto ${listLook ?? ''} ${isOpen ? 'max-lg:hidden' : ''}`}
          onClickCapture={() => {
            scrolled.current = window.scrollY;
          }}
        >
          {list}
        </section>
        <section
          ref={page}
          tabIndex={-1}
          aria-label={openedLabel}
          className={`sheet min-h-0 overflow-y-auto p-5 sm:p-6 ${isOpen ? '' : 'max-lg:hidden'}`}
        >
          {isOpen && (
            <button type="button" className="btn btn-plain mb-3 lg:hidden" onClick={onBack}>
              <IconArrowLeft size={18} aria-hidden="true" />
              {back}
            </button>
          )}
          {opened ?? <p className="quiet">{nothing}</p>}
        </section>
      </div>
    </>
  );
}
