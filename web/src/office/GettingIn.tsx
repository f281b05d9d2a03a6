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

/** For whoever does not get in any more, or is not to any longer: a link for a new password, no second factor, signed out. */
export function GettingIn({ id, name }: Props) {
  const { t } = useTranslation();
  const { change, error, busy } = useChange();
  const [link, setLink] = useState<Link>();
  const [said, setSaid] = useState('');
  const person = `/api/office/people/${id}`;
  const factor = useQuery({
    queryKey: ['office', 'people', id, 'second-factor'],
    queryFn: () => get<{ has: boolean }>(`${person}/second-factor`),
  }).data;
  const address = link && window.location.origin + link.path;
  return (
    <div className="mt-2">
      <p className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-disabled={busy}
          onClick={() => void change(async () => setLink(await post<Link>(`${person}/link`)))}
        >
          {t('office.link.make')}
        </button>
        <button
          type="button"
          className="btn btn-sm btn-plain"
          aria-disabled={busy}
          onClick={() =>
            void change(async () => {
              await post(`${person}/sign-out`);
              setSaid(t('office.signOut.done', { name }));
            })
          }
        >
          {t('office.signOut.now')}
        </button>
        {factor?.has && (
          <button
            type="button"
            className="btn btn-sm btn-plain"
            aria-disabled={busy}
            onClick={() =>
              void change(async () => {
                await del(`${person}/second-factor`);
                setSaid(t('office.factor.takenAway', { name }));
              })
            }
          >
            {t('office.factor.takeAway')}
          </button>
        )}
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
