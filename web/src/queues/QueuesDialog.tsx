import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, put, sentence } from '../api/client';
import type { QueueLines, QueueSettings } from '../api/types';
import { HoldMusic } from '../sound/HoldMusic';
import { Dialog } from '../ui/Dialog';
import { linesOf } from '../ui/lines';
import { addWords } from '../words';
import { QueueFields } from './QueueFields';
import { read } from './settings';
import words from './words.view.en.json';

addWords(words);

/** Which lines keep callers, and how: for administrators. */
export function QueuesDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const asked = useQuery({
    queryKey: ['queue-settings'],
    queryFn: () => get<QueueLines>('/api/office/queues'),
  });
  const [chosen, setChosen] = useState<number>();
  const office = asked.data;
  const line = office?.lines.find((each) => each.line === chosen) ?? office?.lines[0];
  return (
    <Dialog title={t('queueSettings.title')} onClose={onClose} wide>
      <p className="quiet mb-3">{t('queueSettings.how')}</p>
      {office && line && (
        <>
          <label className="flex items-center gap-2">
            {t('queueSettings.line')}
            <select
              aria-label={t('queueSettings.line')}
              className="select w-56"
              value={line.line}
              onChange={(event) => setChosen(Number(event.target.value))}
            >
              {office.lines.map((each) => (
                <option key={each.line} value={each.line}>
                  {each.name}
                </option>
              ))}
            </select>
          </label>
          <LineForm
            key={line.line}
            line={line}
            usual={office.usual}
            onKept={() => void asked.refetch()}
          />
          {line.keeps && (
            <div className="border-base-300 mt-4 border-t pt-3">
              <HoldMusic line={line.line} />
            </div>
          )}
          <Reasons reasons={office.reasons} onKept={() => void asked.refetch()} />
        </>
      )}
      <p role="alert" className="text-error font-semibold">
        {asked.error && sentence(asked.error)}
      </p>
    </Dialog>
  );
}

interface LineProps {
  line: QueueLines['lines'][number];
  usual: QueueSettings;
  onKept: () => void;
}

function LineForm({ line, usual, onKept }: LineProps) {
  const { t } = useTranslation();
  const [keeps, setKeeps] = useState(line.keeps !== undefined && line.keeps !== null);
  const [said, setSaid] = useState('');
  const [error, setError] = useState('');
  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const path = `/api/office/queues/${line.line}`;
    try {
      await (keeps ? put(path, read(typed, line.members)) : del(path));
      setSaid(t('queueSettings.kept'));
      setError('');
      onKept();
    } catch (problem) {
      setError(sentence(problem));
    }
  }
  return (
    <form onSubmit={(event) => void submit(event)} onChange={() => setSaid('')} className="mt-3">
      <label className="flex items-center gap-2 font-semibold">
        <input
          type="checkbox"
          className="toggle toggle-primary"
          checked={keeps}
          onChange={(event) => setKeeps(event.target.checked)}
        />
        {t('queueSettings.keeps')}
      </label>
      {keeps && <QueueFields settings={line.keeps ?? usual} members={line.members} />}
      <p role="alert" className="text-error min-h-6 font-semibold">
        {error}
      </p>
      <p className="flex items-center gap-3">
        <button type="submit" className="btn btn-primary">
          {t('queueSettings.keep')}
        </button>
        <span role="status">{said}</span>
      </p>
    </form>
  );
}

function Reasons({ reasons, onKept }: { reasons: string[]; onKept: () => void }) {
  const { t } = useTranslation();
  const [error, setError] = useState('');
  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const all = linesOf(String(new FormData(event.currentTarget).get('reasons')));
    try {
      await put('/api/office/queues/reasons', { all });
      setError('');
      onKept();
    } catch (problem) {
      setError(sentence(problem));
    }
  }
  return (
    <form
      onSubmit={(event) => void submit(event)}
      className="border-base-300 mt-4 flex flex-wrap items-end gap-3 border-t pt-3"
    >
      <label className="flex-1">
        {t('queueSettings.reasons')}
        <textarea
          name="reasons"
          rows={4}
          defaultValue={reasons.join('\n')}
          className="input bg-base-100 mt-1 h-auto w-full p-2"
        />
      </label>
      <button type="submit" className="btn btn-plain">
        {t('queueSettings.keep')}
      </button>
      <p role="alert" className="text-error w-full font-semibold">
        {error}
      </p>
    </form>
  );
}
