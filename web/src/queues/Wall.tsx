import { useEffect } from 'react';
import { createPortal } from 'react-dom';
import { useTranslation } from 'react-i18next';
import type { QueueView } from '../api/types';
import { useNow } from '../live/now';
import { KeyCap } from '../ui/KeyCap';
import { dayOf } from '../words/time';
import { Headline } from './Headline';
import { Waiting } from './Waiting';

/** The figures alone, in type that is read across a room; they are the same, told as they change. */
export function Wall({ queues, onClose }: { queues: QueueView[]; onClose: () => void }) {
  const { t } = useTranslation();
  const today = dayOf(useNow());
  useEffect(() => {
    const escape = (event: KeyboardEvent) => event.key === 'Escape' && onClose();
    document.addEventListener('keydown', escape);
    return () => document.removeEventListener('keydown', escape);
  }, [onClose]);
  return createPortal(
    <section
      aria-label={t('queue.wall')}
      className="bg-base-200 text-base-content fixed inset-0 z-30 flex flex-col gap-10 overflow-y-auto p-10"
    >
      {queues.map((queue) => (
        <div key={queue.line}>
          <Headline queue={queue} today={today} large />
          <div className="text-xl">
            <Waiting queue={{ ...queue, leads: false }} others={[]} />
          </div>
        </div>
      ))}
      <button type="button" className="btn btn-plain self-start" onClick={onClose}>
        {t('queue.wallBack')} <KeyCap name="Esc" />
      </button>
    </section>,
    document.body,
  );
}
