import { useEffect, useId, useRef, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { useTranslation } from 'react-i18next';
import { Above } from './above';
import { KeyCap } from './KeyCap';
import { sheetOpens } from './sheets';

interface Props {
  title: string;
  onClose: () => void;
  /** Whether it takes more of the width, for what would be too high otherwise. */
  wide?: boolean;
  children: ReactNode;
}

/** A sheet over the page; Escape puts it away. Whatever rings is above it. */
export function Dialog({ title, onClose, wide = false, children }: Props) {
  const { t } = useTranslation();
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();

  useEffect(() => {
    dialog.current?.showModal();
    return dialog.current ? sheetOpens(dialog.current) : undefined;
  }, []);

  // Outside of whatever opened it, whose colours it would inherit. What rings comes after the sheet, so
  // that the sheet gets the focus, and stands above it.
  return createPortal(
    <dialog ref={dialog} className="modal" aria-labelledby={id} onClose={onClose}>
      <div className="flex max-h-dvh w-full min-w-0 flex-col items-center gap-2 p-2">
        <div
          className={`sheet min-h-0 w-full min-w-0 overflow-y-auto p-6 shadow-xl ${wide ? 'max-w-4xl' : 'max-w-lg'}`}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <h2 id={id} className="text-lg font-bold">
              {title}
            </h2>
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() => dialog.current?.close()}
            >
              {t('dialog.close')} <KeyCap name="Esc" />
            </button>
          </div>
          {children}
        </div>
        <Above />
      </div>
    </dialog>,
    document.body,
  );
}
