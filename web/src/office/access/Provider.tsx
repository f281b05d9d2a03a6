import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { del, get, put } from '../../api/client';
import type { ProviderView } from '../../api/types';
import { useChange } from '../office';
import { Field } from '../parts/Field';

const PROVIDER = '/api/office/identity-provider';
const UNKNOWN = ['REFUSED', 'JOINS'] as const;

/** By which identity provider people sign in, if they do. */
export function Provider() {
  const { t } = useTranslation();
  const { change, error, busy } = useChange();
  const now = useQuery({
    queryKey: ['office', 'identity-provider'],
    queryFn: () => get<ProviderView>(PROVIDER),
  }).data;
  if (!now) {
    return null;
  }
  return (
    <form
      key={now.issuer}
      aria-label={t('office.provider.title')}
      className="border-base-300 mt-5 border-t pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        const typed = Object.fromEntries(new FormData(event.currentTarget));
        void change(() => put(PROVIDER, typed));
      }}
    >
      <h3 className="font-bold">{t('office.provider.title')}</h3>
      <p className="quiet mb-2">{t('office.provider.about')}</p>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          name="issuer"
          label={t('office.provider.issuer')}
          value={now.issuer ?? ''}
          required
          longest={300}
        />
        <Field
          name="called"
          label={t('office.provider.called')}
          value={now.called}
          required
          longest={60}
        />
        <Field
          name="clientId"
          label={t('office.provider.clientId')}
          value={now.clientId}
          required
          longest={200}
        />
        <Field
          name="secret"
          label={t(now.issuer ? 'office.provider.secretKept' : 'office.provider.secret')}
          type="password"
          value=""
          required={!now.issuer}
          longest={300}
        />
        <label className="flex flex-col">
          <span className="text-sm">{t('office.provider.unknown')}</span>
          <select
            name="unknown"
            defaultValue={now.unknown}
            className="select bg-base-100 mt-0.5 w-full"
          >
            {UNKNOWN.map((each) => (
              <option key={each} value={each}>
                {t(`office.provider.${each}`)}
              </option>
            ))}
          </select>
        </label>
      </div>
      <dl className="mt-3 text-sm">
        <dt className="font-semibold">{t('office.provider.back')}</dt>
        <dd className="break-all">{now.back}</dd>
        <dt className="mt-1 font-semibold">{t('office.provider.signedOut')}</dt>
        <dd className="break-all">{now.signedOut}</dd>
      </dl>
      <p role="alert" className="text-error min-h-6 font-semibold">
        {error}
      </p>
      <p className="flex flex-wrap gap-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={busy}>
          {t('office.provider.keep')}
        </button>
        {now.issuer && (
          <button
            type="button"
            className="btn btn-sm btn-plain"
            disabled={busy}
            onClick={() => void change(() => del(PROVIDER))}
          >
            {t('office.provider.none')}
          </button>
        )}
      </p>
    </form>
  );
}
