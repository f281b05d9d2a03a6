import { useTranslation } from 'react-i18next';
import { attempt } from '../notices/attempt';
import { cancel, useProgress } from './imports';

/** How far a file is that is being taken over, and a way to stop. */
export function ImportRunning({ id, onClose }: { id: string; onClose: () => void }) {
  const { t } = useTranslation();
  const progress = useProgress(id, true);
  if (!progress) {
    return null;
  }
  const { state, done, of } = progress;
  return (
    <div>
      <p role="status" className="mb-2 font-semibold">
        {t(`contacts.import.state.${state}`, { done, of })}
      </p>
      <progress
        aria-label={t('contacts.import.progress')}
        className="mb-4 block h-3 w-full"
        value={done}
        max={of}
      />
      {state === 'RUNNING' ? (
        <button type="button" className="btn btn-plain" onClick={() => void attempt(cancel(id))}>
          {t('contacts.import.stop')}
        </button>
      ) : (
        <button type="button" className="btn btn-primary" onClick={onClose}>
          {t('dialog.close')}
        </button>
      )}
    </div>
  );
}
