import { useEffect, useId, useRef, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from './KeyCap';

interface Props {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

/** A sheet over the page; Escape puts it away. */
export function Dialog({ title, onClose, children }: Props) {
  const { t } = useTranslation();
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();

  useEffect(() => {
    dialog.current?.showModal();
  }, []);

  return (
    <dialog ref={dialog} className="modal" aria-labelledby={id} onClose={onClose}>
      <div className="modal-box sheet text-base-content">
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
    </dialog>
  );
}
