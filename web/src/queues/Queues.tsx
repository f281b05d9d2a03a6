import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { QueueView } from '../api/types';
import { useMe } from '../session/session';
import { useNow } from '../live/now';
import { addWords } from '../words';
import { dayOf } from '../words/time';
import { Days } from './Days';
import { Headline } from './Headline';
import { LeadLog } from './LeadLog';
import { Members } from './Members';
import { Needed } from './Needed';
import { Wall } from './Wall';
import { Waiting } from './Waiting';
import { useQueues } from './queues';
import words from './words.view.en.json';

addWords(words);

/** Whoever waits, drawn; the members as lamps; the day by half hours; and how many are needed. */
export function Queues() {
  const { t } = useTranslation();
  const me = useMe();
  const [whole, setWhole] = useState(false);
  const { queues, all } = useQueues(whole);
  const [chosen, setChosen] = useState<number>();
  const [wall, setWall] = useState(false);
  const queue = queues.find((each) => each.line === chosen) ?? queues[0];
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 lg:overflow-y-auto">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="sr-only">{t('queue.title')}</h1>
        <div role="group" aria-label={t('queue.choose')} className="flex flex-wrap gap-1.5">
          {queues.map((each) => (
            <button
              key={each.line}
              type="button"
              aria-pressed={each.line === queue?.line}
              className={`btn btn-sm btn-plain ${each.line === queue?.line ? 'border-primary border-2' : ''}`}
              onClick={() => setChosen(each.line)}
            >
              {each.name}
              {each.waiting.length > 0 && <strong>{each.waiting.length}</strong>}
            </button>
          ))}
        </div>
        {me.role === 'administrator' && all > 0 && (
          <label className="ml-auto flex items-center gap-2">
            <input
              type="checkbox"
              className="toggle toggle-sm toggle-primary"
              checked={whole}
              onChange={(event) => setWhole(event.target.checked)}
            />
            {t('queue.whole')}
          </label>
        )}
        {queue && (
          <button type="button" className="btn btn-sm btn-plain" onClick={() => setWall(true)}>
            {t('queue.wall')}
          </button>
        )}
      </div>
      {queue ? (
        <Open key={queue.line} queue={queue} others={queues} />
      ) : (
        <p className="sheet quiet p-5">{t('queue.none')}</p>
      )}
      {wall && <Wall queues={queues} onClose={() => setWall(false)} />}
    </div>
  );
}

function Open({ queue, others }: { queue: QueueView; others: QueueView[] }) {
  const today = dayOf(useNow());
  const administrator = useMe().role === 'administrator';
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-[minmax(0,1fr)_var(--people)]">
      <div className="flex min-w-0 flex-col gap-3">
        <section aria-label={queue.name} className="sheet px-4 py-3 sm:px-5">
          <Headline queue={queue} today={today} />
          <Waiting queue={queue} others={others} />
        </section>
        <Days queue={queue} today={today} />
      </div>
      <div className="flex min-w-0 flex-col gap-3">
        <Members queue={queue} />
        <Needed queue={queue} />
        {(queue.leads || administrator) && <LeadLog queue={queue} />}
      </div>
    </div>
  );
}
