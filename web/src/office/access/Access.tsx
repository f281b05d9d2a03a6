import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { get, put } from '../../api/client';
import { Lasting } from './Lasting';
import { Provider } from './Provider';
import { Section } from '../parts/Section';
import { useChange } from '../office';

const WANTED = ['NOBODY', 'ADMINISTRATORS', 'EVERYBODY'] as const;
const FACTOR = '/api/office/second-factor';

/** What people have to show to get in. */
export function Access() {
  const { t } = useTranslation();
  const { change, error, busy } = useChange();
  const wanted = useQuery({
    queryKey: ['office', 'second-factor'],
    queryFn: () => get<{ of: (typeof WANTED)[number] }>(FACTOR),
  }).data;
  return (
    <Section id="access" title={t('office.access.title')} about={t('office.access.about')}>
      <label className="flex flex-wrap items-center gap-3">
        {t('office.access.wanted')}
        <select
          value={wanted?.of ?? 'NOBODY'}
          disabled={busy || !wanted}
          onChange={(event) => void change(() => put(FACTOR, { of: event.target.value }))}
          className="select select-sm bg-base-100 w-56"
        >
          {WANTED.map((each) => (
            <option key={each} value={each}>
              {t(`office.access.of.${each}`)}
            </option>
          ))}
        </select>
      </label>
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      <Lasting />
      <Provider />
    </Section>
  );
}
