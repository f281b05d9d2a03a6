import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { post } from '../api/client';

const MOST = 30;

/** Has many subscribers call one number of the office, one shortly after the other. */
export function Rush({ onSend }: { onSend: (action: Promise<unknown>) => void }) {
  const { t } = useTranslation();
  const [to, setTo] = useState('');
  const [callers, setCallers] = useState('10');
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        onSend(post('/api/outside/rush', { to, callers: Number(callers) }));
      }}
    >
      <label className="flex items-center gap-2">
        {t('outside.rush')}
        <input
          type="number"
          min={1}
          max={MOST}
          required
          className="input input-sm bg-base-100 w-20"
          value={callers}
          onChange={(event) => setCallers(event.target.value)}
        />
      </label>
      <label className="flex items-center gap-2">
        {t('outside.rushTo')}
        <input
          type="text"
          required
          maxLength={100}
          className="input input-sm bg-base-100 w-40"
          value={to}
          onChange={(event) => setTo(event.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-sm btn-plain">
        {t('outside.rushNow')}
      </button>
    </form>
  );
}
