import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get } from '../api/client';
import type { LogLine } from '../api/types';
import { useNow } from '../live/now';
import { Older } from '../ui/Older';
import { SearchField } from '../ui/SearchField';
import { DayField } from '../words/DayField';
import { shortMoment } from '../words/time';
import { Section } from './parts/Section';

const KINDS = [
  'CHANGED',
  'ADDED',
  'REMOVED',
  'SIGNED_IN',
  'SIGN_IN_FAILED',
  'SIGNED_OUT',
  'PASSWORD',
  'SAVED',
] as const satisfies LogLine['kind'][];

const PAGE = 100;

/** Who changed what in the office, from what to what, the latest first. */
export function Log({ zone }: { zone: string }) {
  const { t } = useTranslation();
  const now = useNow();
  const [text, setText] = useState('');
  const [kind, setKind] = useState('');
  const [who, setWho] = useState('');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const wanted = Object.entries({ text: text.trim(), kind, who, from, to }).filter(
    ([, value]) => value !== '',
  );
  const query = new URLSearchParams([...wanted, ['zone', zone]]).toString();
  const { data, hasNextPage, isFetching, fetchNextPage } = useInfiniteQuery({
    queryKey: ['office', 'log', query],
    queryFn: ({ pageParam }) =>
      get<LogLine[]>(`/api/office/log?${query}${pageParam ? `&below=${pageParam}` : ''}`),
    initialPageParam: 0,
    getNextPageParam: (last) => (last.length < PAGE ? undefined : last[last.length - 1]?.number),
    placeholderData: (before) => before,
  });
  const lines = data?.pages.flat() ?? [];
  return (
    <Section
      id="log"
      title={t('office.log.title')}
      about={t('office.log.about')}
      keys={
        <>
          <SearchField label={t('office.log.find')} text={text} onType={setText} look="w-40" />
          <select
            aria-label={t('office.log.kind')}
            value={kind}
            onChange={(event) => setKind(event.target.value)}
            className="select select-sm bg-base-100 w-36"
          >
            <option value="">{t('office.log.any')}</option>
            {KINDS.map((each) => (
              <option key={each} value={each}>
                {t(`office.log.kinds.${each}`)}
              </option>
            ))}
          </select>
          {who && (
            <button type="button" className="btn btn-sm btn-plain" onClick={() => setWho('')}>
              {t('office.log.anybody', { who })}
            </button>
          )}
          <DayField
            label={t('office.log.from')}
            day={from}
            past
            onChange={setFrom}
            look="input-sm w-40"
          />
          <DayField
            label={t('office.log.to')}
            day={to}
            past
            onChange={setTo}
            look="input-sm w-40"
          />
          <a className="btn btn-sm btn-plain" href={`/api/office/log-file?${query}`} download>
            {t('office.file.save')}
          </a>
        </>
      }
    >
      <table className="w-full text-left">
        <thead>
          <tr className="quiet text-sm">
            <th scope="col" className="pr-3 font-normal">
              {t('office.log.when')}
            </th>
            <th scope="col" className="pr-3 font-normal">
              {t('office.log.who')}
            </th>
            <th scope="col" className="font-normal">
              {t('office.log.what')}
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.number} className="border-base-300 border-t align-top">
              <td className="py-1 pr-3 whitespace-nowrap">{shortMoment(line.at, now)}</td>
              <td className="py-1 pr-3">
                {line.who ? (
                  <button
                    type="button"
                    className="link link-hover"
                    aria-label={t('office.log.onlyBy', { who: line.who })}
                    onClick={() => setWho(line.who)}
                  >
                    {line.who}
                  </button>
                ) : (
                  t('office.log.nobody')
                )}
                <span className="quiet block text-xs">{line.origin}</span>
              </td>
              <td className="py-1 wrap-anywhere">
                <Deed line={line} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {data && lines.length === 0 && <p className="quiet mt-2">{t('office.log.nothing')}</p>}
      <Older more={hasNextPage} busy={isFetching} onMore={fetchNextPage} />
    </Section>
  );
}

function Deed({ line }: { line: LogLine }) {
  const { t } = useTranslation();
  const { kind, about, what, before, after } = line;
  const name = about || t('office.log.theOffice');
  const part = t(`office.log.part.${what.replaceAll('.', '_')}`, { defaultValue: what });
  if (kind !== 'CHANGED') {
    return (
      <>
        {t(`office.log.deed.${kind}`, { name: about || t('office.log.nobody') })}
        <span className="quiet block text-xs">{before || after}</span>
      </>
    );
  }
  if (!before && !after) {
    return t('office.log.deed.CHANGED', { name, part });
  }
  return (
    <>
      <span className="font-semibold">{name}</span>,{' '}
      {t('office.file.becomes', {
        what: part,
        before: before || t('office.file.nothing'),
        after: after || t('office.file.nothing'),
      })}
    </>
  );
}
