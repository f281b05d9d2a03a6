import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, post } from '../api/client';
import { dayAndTime } from '../words/time';
import { useChange } from './office';

interface Props {
  id: number;
  name: string;
}

interface Link {
  path: string;
  until: string;
}

/** Whether somebody has something that opens a door of theirs. */
const useHas = (id: number, what: 'second-factor' | 'pin') =>
  useQuery({
    queryKey: ['office', 'people', id, what],
    queryFn: () => get<{ has: boolean }>(`/api/office/people/${id}/${what}`),
  }).data?.has;

/** For whoever does not get in any more, or is not to any longer: a link for a new password, no second factor, no secret number, signed out. */
export function GettingIn({ id, name }: Props) {
  const { t } = useTranslation();
  const { change, error, busy } = useChange();
  const [link, setLink] = useState<Link>();
  const [said, setSaid] = useState('');
  const person = `/api/office/people/${id}`;
  const factor = useHas(id, 'second-factor');
  const pin = useHas(id, 'pin');
  const address = link && window.location.origin + link.path;
  const key = (word: string, run: () => Promise<void>) => (
    <button
      type="button"
      className="btn btn-sm btn-plain"
      aria-disabled={busy}
      onClick={() => void change(run)}
    >
      {t(word)}
    </button>
  );
  return (
    <div className="mt-2">
      <p className="flex flex-wrap gap-2">
        {key('office.link.make', async () => setLink(await post<Link>(`${person}/link`)))}
        {key('office.signOut.now', async () => {
          await post(`${person}/sign-out`);
          setSaid(t('office.signOut.done', { name }));
        })}
        {factor &&
          key('office.factor.takeAway', async () => {
            await del(`${person}/second-factor`);
            setSaid(t('office.factor.takenAway', { name }));
          })}
        {pin &&
          key('office.pin.takeAway', async () => {
            await del(`${person}/pin`);
            setSaid(t('office.pin.takenAway', { name }));
          })}
      </p>
      {address && (
        <p className="mt-2">
          {t('office.link.made', { name, until: dayAndTime(link.until) })}
          <span className="mt-1 flex flex-wrap items-center gap-2">
            <input
              readOnly
              aria-label={t('office.link.label')}
              value={address}
              onFocus={(event) => event.target.select()}
              className="input input-sm bg-base-100 min-w-0 flex-1"
            />
            <button
              type="button"
              className="btn btn-sm btn-plain"
              onClick={() => void navigator.clipboard.writeText(address)}
            >
              {t('office.link.copy')}
            </button>
          </span>
        </p>
      )}
      <p role="status">{said}</p>
      {error && (
        <p role="alert" className="text-error font-semibold">
          {error}
        </p>
      )}
    </div>
  );
}
