import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { get, sentence } from '../api/client';
import type { RecordingLog, RecordingPolicy } from '../api/types';
import { nameOf } from '../calls/order';
import { Dialog } from '../ui/Dialog';
import { addWords } from '../words';
import { dayAndTime } from '../words/time';
import { useDeed } from './Log';
import policyWords from './office.words.view.en.json';
import { changePolicy, recordingPolicy, wouldGo } from './recordings';
import words from './words.view.en.json';

addWords(words);
addWords(policyWords);

/** For administrators: what is recorded in this office, for how long, and who did what with it. */
export function OfficeRecording({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const { data } = useQuery(recordingPolicy);
  return (
    <Dialog title={t('officeRecording.title')} onClose={onClose} wide>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
        {data && <Policy policy={data} />}
        <AllDeeds />
      </div>
    </Dialog>
  );
}

/** Each choice counts at once. */
function Policy({ policy }: { policy: RecordingPolicy }) {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const { queryKey } = recordingPolicy;
  const { mutate, error } = useMutation({
    mutationFn: changePolicy,
    onMutate: () => queries.cancelQueries({ queryKey }), // what comes now is from before
    onSuccess: (_, next) => queries.setQueryData(queryKey, next),
  });
  const change = (what: Partial<RecordingPolicy>) => mutate({ ...policy, ...what });

  const [days, setDays] = useState(String(policy.days));
  const keepDays = () => change({ days: Number(days) });
  const wanted = Number(days);
  const shorter = Number.isInteger(wanted) && wanted >= 1 && wanted < policy.days;
  const would = useQuery({ ...wouldGo(wanted), enabled: shorter }).data?.recordings;

  const flag = (what: 'emergencies' | 'mayRemove' | 'mayKeep') => (
    <label className="flex items-center gap-3">
      <input
        type="checkbox"
        className="toggle toggle-primary"
        checked={policy[what]}
        onChange={(event) => change({ [what]: event.target.checked })}
      />
      {t(`officeRecording.${what}`)}
    </label>
  );
  const choice = <K extends 'policy' | 'announced'>(what: K, values: RecordingPolicy[K][]) => (
    <label className="block">
      {t(`officeRecording.${what}`)}
      <select
        className="select bg-base-100 mt-1 w-full"
        value={policy[what]}
        onChange={(event) => change({ [what]: event.target.value as RecordingPolicy[K] })}
      >
        {values.map((value) => (
          <option key={value} value={value}>
            {t(`officeRecording.is.${value}`)}
          </option>
        ))}
      </select>
    </label>
  );

  return (
    <section className="flex flex-col gap-3">
      {choice('policy', ['EVERY_CALL', 'CHOICE', 'NEVER'])}
      {choice('announced', ['SENTENCE', 'TONES', 'NOT'])}
      <label className="flex flex-col items-start">
        {t('officeRecording.days')}
        <input
          type="number"
          min={1}
          max={3_650}
          className="input bg-base-100 mt-1 w-32"
          value={days}
          onChange={(event) => setDays(event.target.value)}
          onBlur={() => wanted > policy.days && keepDays()}
        />
      </label>
      {shorter && would !== undefined && (
        <p className="flex flex-wrap items-center gap-3">
          {t('officeRecording.would', { count: would })}
          <button type="button" className="btn btn-sm btn-primary" onClick={keepDays}>
            {t('dialog.keep')}
          </button>
        </p>
      )}
      {flag('emergencies')}
      {flag('mayRemove')}
      {flag('mayKeep')}
      <div role="alert">
        {error && <p className="text-error font-semibold">{sentence(error)}</p>}
      </div>
    </section>
  );
}

/** Who did what with anybody's recordings. */
function AllDeeds() {
  const { t } = useTranslation();
  const deed = useDeed();
  const [before, setBefore] = useState<number>();
  const { data } = useQuery({
    queryKey: ['recordings', 'log', before],
    queryFn: () =>
      get<RecordingLog>(`/api/office/recording-log${before ? `?before=${before}` : ''}`),
  });
  return (
    <section aria-label={t('officeRecording.log')} className="min-w-0">
      <h3 className="font-bold">{t('officeRecording.log')}</h3>
      {data?.entries.length === 0 && <p className="quiet">{t('officeRecording.nothing')}</p>}
      <ul className="mt-1 max-h-96 overflow-y-auto text-sm">
        {data?.entries.map(({ deed: each, owner, other, began }) => (
          <li key={each.id} className="py-0.5">
            <span className="quiet">{dayAndTime(each.at)}</span> {deed(each)}
            <span className="quiet block pl-4">
              {t('officeRecording.of', {
                owner,
                other: nameOf(other, t('party.withheld')),
                at: dayAndTime(began),
              })}
            </span>
          </li>
        ))}
      </ul>
      {data?.next && (
        <button
          type="button"
          className="btn btn-xs btn-plain"
          onClick={() => setBefore(data.next ?? undefined)}
        >
          {t('older')}
        </button>
      )}
    </section>
  );
}
